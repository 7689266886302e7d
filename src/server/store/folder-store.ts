/** The default store: a folder, with a file for each content hash. */
import { randomUUID } from "node:crypto";
import { mkdir, open, readFile, rename, rm } from "node:fs/promises";
import path from "node:path";
import { checkKey, type PictureStore, type StoreKey } from "./picture-store";

export function folderStore(folder: string): PictureStore {
  const fileOf = (key: StoreKey): string => {
    checkKey(key);
    return path.join(/*turbopackIgnore: true*/ folder, `${key.kind}s`, key.hash);
  };
  return {
    put: async (key, bytes) => {
      const file = fileOf(key);
      await mkdir(path.dirname(file), { recursive: true });
      const unfinished = `${file}.${randomUUID()}`;
      const handle = await open(/*turbopackIgnore: true*/ unfinished, "w");
      try {
        await handle.writeFile(bytes);
        await handle.sync();
      } finally {
        await handle.close();
      }
      await rename(unfinished, file);
    },
    get: (key) =>
      readFile(fileOf(key)).catch((error: NodeJS.ErrnoException) => {
        if (error.code === "ENOENT") return null;
        throw error;
      }),
    remove: (key) => rm(fileOf(key), { force: true }),
  };
}
