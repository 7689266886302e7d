import { endpoints } from "@/contract";
import { hostHereAgain, publishPictures } from "@/server/addresses/publish";
import { handle } from "@/server/http/handle";

export const POST = handle(endpoints.publishPictures, async ({ params, body }) =>
  publishPictures(params.id, body.base),
);

export const DELETE = handle(endpoints.hostPicturesHere, async ({ params }) => hostHereAgain(params.id));
