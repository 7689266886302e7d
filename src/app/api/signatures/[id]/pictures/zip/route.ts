import { endpoints } from "@/contract";
import { zipPictures } from "@/server/addresses/publish";
import { bytesAnswer, handle } from "@/server/http/handle";

export const GET = handle(endpoints.zipPictures, async ({ params }) =>
  bytesAnswer(await zipPictures(params.id), {
    "content-type": "application/zip",
    "content-disposition": 'attachment; filename="signature-pictures.zip"',
  }),
);
