import { largestFile } from "@/core/pictures";
import { Refusal } from "@/server/http/refusal";
import { route } from "@/server/http/route";
import { addOriginal, listOriginals } from "@/server/pictures/pictures";

/** Room for the form's own lines around the file. */
const formRoom = 64 * 1024;

export const GET = route(async () => ({ originals: await listOriginals() }));

export const POST = route(async (request) => {
  const length = Number(request.headers.get("content-length") ?? NaN);
  if (!(length <= largestFile + formRoom))
    throw new Refusal(413, "too-many-bytes", "This file is larger than 20 MB: save it smaller first.");
  let file: FormDataEntryValue | null;
  try {
    file = (await request.formData()).get("file");
  } catch {
    throw new Refusal(400, "bad-input", "The upload was cut short: choose the file again.");
  }
  if (!(file instanceof File)) throw new Refusal(400, "bad-input", "There is no file in the upload.");
  return { original: await addOriginal(new Uint8Array(await file.arrayBuffer()), file.name) };
});
