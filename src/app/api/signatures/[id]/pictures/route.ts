import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { findCut } from "@/server/pictures/cuts";
import { swapPicture } from "@/server/signatures/signatures";

export const PUT = handle(endpoints.swapPicture, async ({ params, body }) => {
  await swapPicture(params.id, body.from, await findCut(body.to));
});
