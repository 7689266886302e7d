import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { removePictures, restorePictures } from "@/server/pictures/unused";

export const POST = handle(endpoints.removePictures, async ({ body }) => ({
  removed: await removePictures(body),
}));

export const PUT = handle(endpoints.restorePictures, async ({ body }) => restorePictures(body));
