import { number, object, string } from "yup";
import { Refusal } from "@/server/http/refusal";
import { readBody, route } from "@/server/http/route";
import { cutAgain, cutWhole } from "@/server/pictures/pictures";

const side = number()
  .integer()
  .min(1, "A picture is at least 1 px.")
  .max(1200, "A picture is at most 1,200 px.");

const asked = object({
  original: string().matches(/^[0-9a-f]{20}$/),
  widest: side,
  source: string().max(200),
  width: side,
  height: side,
});

export const POST = route(async (request) => {
  const { original, widest, source, width, height } = await readBody(request, asked);
  if (original) return { cut: await cutWhole(original, widest ?? 1200) };
  if (source && width) return { cut: await cutAgain(source, { width }) };
  if (source && height) return { cut: await cutAgain(source, { height }) };
  throw new Refusal(400, "bad-input", "Name an original, or a picture and its width or height.");
});
