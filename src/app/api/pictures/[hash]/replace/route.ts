import { endpoints } from "@/contract";
import { handle } from "@/server/http/handle";
import { replaceOriginal, takeBackReplacement } from "@/server/pictures/replace-original";

export const POST = handle(endpoints.replacePicture, async ({ params, file }) =>
  replaceOriginal(params.hash, file().bytes, file().name),
);

export const DELETE = handle(endpoints.takeBackPicture, async ({ params }) =>
  takeBackReplacement(params.hash),
);
