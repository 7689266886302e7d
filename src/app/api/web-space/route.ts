import { largestArchive } from "@/core/pictures";
import { readFile } from "@/server/http/read-file";
import { route } from "@/server/http/route";
import { emptyWebSpace, listWebSpace, uploadToWebSpace } from "@/server/web/web-space";

export const GET = route(async () => ({ files: await listWebSpace() }));

export const POST = route(async (request) => {
  const { bytes, name } = await readFile(request, largestArchive);
  await uploadToWebSpace(bytes, name);
  return { files: await listWebSpace() };
});

export const DELETE = route(async () => emptyWebSpace());
