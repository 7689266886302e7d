import { mixed, object } from "yup";
import { readBody, route } from "@/server/http/route";
import { previewLoop } from "@/server/pictures/loops";
import { readLoop } from "@/server/pictures/recipe-schema";

const asked = object({ loop: mixed().required() });

/** A loop as it would be sent; nothing is kept. */
export const POST = route(async (request) => {
  const { bytes, hash, ...preview } = await previewLoop(
    await readLoop((await readBody(request, asked)).loop),
  );
  return {
    ...preview,
    hash,
    bytes: bytes.length,
    picture: `data:image/gif;base64,${Buffer.from(bytes).toString("base64")}`,
  };
});
