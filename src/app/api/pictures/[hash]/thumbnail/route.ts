import { route } from "@/server/http/route";
import { thumbnail } from "@/server/pictures/thumbnail";

export const GET = route<{ hash: string }>(
  async (_request, { hash }) =>
    new Response(new Uint8Array(await thumbnail(hash)), {
      headers: { "content-type": "image/webp", "cache-control": "private, max-age=31536000, immutable" },
    }),
);
