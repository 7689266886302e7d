import { zipPictures } from "@/server/addresses/publish";
import { route } from "@/server/http/route";

export const GET = route<{ id: string }>(
  async (_request, { id }) =>
    new Response(new Uint8Array(await zipPictures(id)), {
      headers: {
        "content-type": "application/zip",
        "content-disposition": 'attachment; filename="signature-pictures.zip"',
      },
    }),
);
