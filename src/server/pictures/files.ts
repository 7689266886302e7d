/** The picture store's files, named by content hash. A file is written whole under its name or not at all. */
import { randomUUID } from "node:crypto";
import { mkdir, open, readFile, rename } from "node:fs/promises";
import path from "node:path";
import { dataFolder } from "../configuration";

export type Shelf = "originals" | "cuts";

/** Hashes are hex digits, so that no name can lead out of the folder. */
function fileOf(shelf: Shelf, hash: string): string {
  if (!/^[0-9a-f]{20}$/.test(hash)) throw new RangeError(`No content hash: ${JSON.stringify(hash)}`);
  return path.join(dataFolder(), "pictures", shelf, hash);
}

export async function writePicture(shelf: Shelf, hash: string, bytes: Uint8Array): Promise<void> {
  const file = fileOf(shelf, hash);
  await mkdir(path.dirname(file), { recursive: true });
  const unfinished = `${file}.${randomUUID()}`;
  const handle = await open(unfinished, "w");
  try {
    await handle.writeFile(bytes);
    await handle.sync();
  } finally {
    await handle.close();
  }
  await rename(unfinished, file);
}

export const readPicture = (shelf: Shelf, hash: string): Promise<Buffer> => readFile(fileOf(shelf, hash));
