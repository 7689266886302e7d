import { mixed, number, object } from "yup";
import { readBody, route } from "@/server/http/route";
import { previewLoopPicture } from "@/server/pictures/loops";
import { readLoop } from "@/server/pictures/recipe-schema";

const asked = object({ loop: mixed().required(), picture: number().required().integer().min(0) });

/** One picture of a loop by itself. */
export const POST = route(async (request) => {
  const { loop, picture } = await readBody(request, asked);
  const bytes = await previewLoopPicture(await readLoop(loop), picture);
  return { picture: `data:image/png;base64,${Buffer.from(bytes).toString("base64")}` };
});
