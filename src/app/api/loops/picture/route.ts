import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { previewLoopPicture } from "@/server/pictures/loops";

export const POST = handle(endpoints.previewLoopPicture, async ({ body }) => ({
  picture: await previewLoopPicture(body.loop, body.picture),
}));
