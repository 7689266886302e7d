import { mixed, object, string } from "yup";
import { readBody, route } from "@/server/http/route";
import { previewCut } from "@/server/pictures/cuts";
import { readRecipe } from "@/server/pictures/recipe-schema";

const asked = object({
  original: string()
    .required()
    .matches(/^[0-9a-f]{20}$/),
  recipe: mixed().required(),
});

/** What a recipe would come out as, with its bytes; nothing is kept. */
export const POST = route(async (request) => {
  const { original, recipe } = await readBody(request, asked);
  const { bytes, drawn, ...preview } = await previewCut(original, await readRecipe(recipe));
  return {
    ...preview,
    bytes: bytes.length,
    picture: `data:image/${preview.type};base64,${Buffer.from(bytes).toString("base64")}`,
    drawnBytes: drawn.length,
    drawn: `data:image/png;base64,${Buffer.from(drawn).toString("base64")}`,
  };
});
