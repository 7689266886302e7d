import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { drawOriginal } from "@/server/pictures/draw-original";

export const GET = handle(endpoints.pictureThumbnail, async ({ params, query }) =>
  drawOriginal(params.hash, { width: 320, height: 240, ...query }),
);
