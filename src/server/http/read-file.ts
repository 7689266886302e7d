/** The one file of an upload, as bytes, refused before it is read when it is too large. */
import { Refusal } from "./refusal";

export interface UploadedFile {
  readonly bytes: Uint8Array;
  readonly name: string;
}

/** Room for the form's own lines around the file. */
const formRoom = 64 * 1024;

/** `most` is in bytes. */
export async function readFile(request: Request, most: number): Promise<UploadedFile> {
  const length = Number(request.headers.get("content-length") ?? NaN);
  if (!(length <= most + formRoom))
    throw new Refusal(
      413,
      "too-many-bytes",
      `This file is larger than ${Math.round(most / 1024 / 1024)} MB: save it smaller first.`,
    );
  let file: FormDataEntryValue | null;
  try {
    file = (await request.formData()).get("file");
  } catch {
    throw new Refusal(400, "bad-input", "The upload was cut short: choose the file again.");
  }
  if (!(file instanceof File)) throw new Refusal(400, "bad-input", "There is no file in the upload.");
  // A file of a folder is named with the way to it.
  const name = file.name.split(/[\\/]/).at(-1) ?? file.name;
  return { bytes: new Uint8Array(await file.arrayBuffer()), name };
}
