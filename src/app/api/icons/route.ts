import { object, string } from "yup";
import { largestArchive } from "@/core/pictures";
import { readFile } from "@/server/http/read-file";
import { route } from "@/server/http/route";
import { addIcons, listOwnIcons } from "@/server/icons/icons";

const facts = object({
  pack: string().trim().required("Give the pack a name.").max(60, "A pack's name has at most 60 characters."),
  note: string().trim().default("").max(300, "Where it came from has at most 300 characters."),
});

export const GET = route(async () => ({ icons: await listOwnIcons() }));

/** An icon, or an archive of them, for the pack that `?pack=` names; `?note=` says where they came from. */
export const POST = route(async (request) => {
  const asked = await facts.validate(Object.fromEntries(new URL(request.url).searchParams), {
    stripUnknown: true,
  });
  const { bytes, name } = await readFile(request, largestArchive);
  return addIcons(bytes, name, asked);
});
