import { largestArchive } from "@/core/pictures";
import { readFile } from "@/server/http/read-file";
import { route } from "@/server/http/route";
import { pictureCatalogue } from "@/server/pictures/catalogue";
import { addUpload } from "@/server/pictures/originals";

export const GET = route(async () => pictureCatalogue());

/** A picture, or an archive of pictures. */
export const POST = route(async (request) => {
  const { bytes, name } = await readFile(request, largestArchive);
  return addUpload(bytes, name);
});
