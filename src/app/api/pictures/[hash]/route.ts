import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { describeOriginal } from "@/server/pictures/draw-original";
import { renameOriginal } from "@/server/pictures/originals";

export const GET = handle(endpoints.findPicture, async ({ params }) => describeOriginal(params.hash));

export const PATCH = handle(endpoints.renamePicture, async ({ params, body }) => ({
  original: await renameOriginal(params.hash, body.name),
}));
