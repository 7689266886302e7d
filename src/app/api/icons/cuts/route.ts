import { array, mixed, number, object, string } from "yup";
import { hashField, taggedField } from "@/server/http/fields";
import { readBody, route } from "@/server/http/route";
import { drawIcons, type IconChoice } from "@/server/icons/icons";
import { readLook } from "@/server/icons/look-schema";

const kinds = {
  glyph: object({ kind: string().required(), glyph: string().required().max(60) }),
  own: object({
    kind: string().required(),
    hash: hashField("Name an icon."),
  }),
  placed: object({ kind: string().required(), source: string().required().max(2000) }),
};

const choice = taggedField("kind", kinds);

const asked = object({
  icons: array(choice).required().max(40, "At most 40 icons are drawn at once."),
  look: mixed().required(),
  size: number()
    .required()
    .integer()
    .min(8, "An icon is at least 8 px high.")
    .max(96, "An icon is at most 96 px high."),
});

/** Draws icons in one look and at one size. */
export const POST = route(async (request) => {
  const { icons, look, size } = await readBody(request, asked);
  return { icons: await drawIcons(icons as unknown as readonly IconChoice[], await readLook(look), size) };
});
