/** Taking the pictures out of a zip, with every limit kept while it is unpacked and not after. */
import { Unzip, UnzipInflate } from "fflate";
import { largestArchive, largestFile, mostInArchive } from "@/core/pictures";
import { Refusal } from "../http/refusal";

export interface UnpackedFile {
  /** Without its folders. */
  readonly name: string;
  readonly bytes: Uint8Array;
}

/** What file systems leave in archives. */
const leftOver = /(^|\/)(__MACOSX\/|\.|Thumbs\.db$|desktop\.ini$)/i;

/** Compressed bytes that are taken in at a time: a bomb is found after at most a thousand times as many. */
const sip = 32 * 1024;

/** Files of an archive in its order, folders and hidden files left out. Refuses bombs and damaged archives. */
export function unpackArchive(archive: Uint8Array, name: string): readonly UnpackedFile[] {
  const files: UnpackedFile[] = [];
  let total = 0;
  let refusal: Refusal | null = null;
  let open = 0;
  const unzip = new Unzip();
  unzip.register(UnzipInflate);
  unzip.onfile = (file) => {
    if (file.name.endsWith("/") || leftOver.test(file.name)) return;
    const chunks: Uint8Array[] = [];
    let size = 0;
    open++;
    file.ondata = (error, chunk, final) => {
      if (error || refusal) {
        refusal ??= damagedArchive(name);
        return;
      }
      size += chunk.length;
      total += chunk.length;
      if (size > largestFile || total > largestArchive || files.length >= mostInArchive) {
        refusal = tooLarge(name);
        file.terminate();
        return;
      }
      chunks.push(chunk);
      if (!final) return;
      open--;
      files.push({ name: file.name.split("/").at(-1) ?? file.name, bytes: Buffer.concat(chunks) });
    };
    file.start();
  };
  try {
    for (let at = 0; at < archive.length && !refusal; at += sip)
      unzip.push(archive.subarray(at, at + sip), at + sip >= archive.length);
  } catch {
    refusal ??= damagedArchive(name);
  }
  if (refusal) throw refusal;
  if (open > 0) throw damagedArchive(name);
  if (files.length === 0)
    throw new Refusal(422, "empty-archive", `“${name}” holds no file: choose another archive.`);
  return files;
}

const damagedArchive = (name: string): Refusal =>
  new Refusal(422, "damaged-archive", `“${name}” is damaged, cut short or locked: pack it again.`);

const tooLarge = (name: string): Refusal =>
  new Refusal(
    413,
    "archive-too-large",
    `“${name}” unpacks to more than ${mostInArchive} files, ${largestFile / 1024 / 1024} MB each or ${largestArchive / 1024 / 1024} MB together: pack fewer pictures.`,
  );
