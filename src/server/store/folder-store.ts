/** The default store: a folder, with a file for each content hash. The folder has to be there before anything is put. */
import { mkdir, open, readFile, rename, rm } from "node:fs/promises";
import path from "node:path";
import { DataTrouble } from "../database/data-trouble";
import { checkKey, type PictureStore, type StoreKey } from "./picture-store";
import { asStray } from "./strays";

export function folderStore(folder: string): PictureStore {
  const fileOf = (key: StoreKey): string => {
    checkKey(key);
    return path.join(/*turbopackIgnore: true*/ folder, `${key.kind}s`, key.hash);
  };
  return {
    put: async (key, bytes) => {
      const file = fileOf(key);
      await mkdir(path.dirname(file)).catch((error: NodeJS.ErrnoException) => {
        // A folder that was there and is gone is not made anew in silence: what lay in it would be missed too late.
        if (error.code === "ENOENT") throw new DataTrouble("no-pictures", folder);
        if (error.code !== "EEXIST") throw error;
      });
      await asStray(file, async (unfinished) => {
        const handle = await open(/*turbopackIgnore: true*/ unfinished, "w");
        try {
          await handle.writeFile(bytes);
          await handle.sync();
        } finally {
          await handle.close();
        }
        await rename(unfinished, file);
      });
    },
    get: (key) =>
      readFile(fileOf(key)).catch((error: NodeJS.ErrnoException) => {
        if (error.code === "ENOENT") return null;
        throw error;
      }),
    remove: (key) => rm(fileOf(key), { force: true }),
  };
}
