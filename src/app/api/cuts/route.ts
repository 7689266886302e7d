import { mixed, number, object, string } from "yup";
import { largestDisplay } from "@/core/pictures";
import { notFound, Refusal } from "@/server/http/refusal";
import { readBody, route } from "@/server/http/route";
import { findCuts, makeCut } from "@/server/pictures/cuts";
import { findOriginal } from "@/server/pictures/originals";
import { cutAgain, cutToFill, cutWhole } from "@/server/pictures/placing";
import { readRecipe } from "@/server/pictures/recipe-schema";

const side = number()
  .integer()
  .min(1, "A picture is at least 1 px.")
  .max(largestDisplay, "A picture is at most 1,200 px.");

const asked = object({
  original: string().matches(/^[0-9a-f]{20}$/),
  recipe: mixed(),
  widest: side,
  source: string().max(2000),
  width: side,
  height: side,
});

/** The cut at `?source=`. */
export const GET = route(async (request) => {
  const [cut] = await findCuts([new URL(request.url).searchParams.get("source") ?? ""]);
  if (!cut) throw notFound("cut");
  return { cut };
});

export const POST = route(async (request) => {
  const { original, recipe, widest, source, width, height } = await readBody(request, asked);
  if (original && recipe)
    return { cut: await makeCut(await findOriginal(original), await readRecipe(recipe)) };
  if (original && width && height) return { cut: await cutToFill(original, { width, height }) };
  if (original) return { cut: await cutWhole(original, widest ?? largestDisplay) };
  if (source && width) return { cut: await cutAgain(source, { width }) };
  if (source && height) return { cut: await cutAgain(source, { height }) };
  throw new Refusal(400, "bad-input", "Name an original, or a picture and its width or height.");
});
