import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { drawOriginal } from "@/server/pictures/draw-original";

export const GET = handle(endpoints.pictureView, async ({ params, query }) =>
  drawOriginal(params.hash, { width: 1600, height: 1600, ...query }),
);
