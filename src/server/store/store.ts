/** The store that the environment names: a bucket where one is set, else the data folder. */
import path from "node:path";
import { bucketSettings, pictureFolder } from "../configuration";
import { database } from "../database/database";
import { folderStore } from "./folder-store";
import { objectStore } from "./object-store";
import type { PictureStore } from "./picture-store";

/** The store of a data folder that is not the running application's: a bucket where one is set, as there. */
export function storeIn(folder: string): {
  readonly store: PictureStore;
  readonly bucket: PictureStore | null;
} {
  const settings = bucketSettings();
  const bucket = settings ? objectStore(settings) : null;
  return { store: bucket ?? folderStore(path.join(/*turbopackIgnore: true*/ folder, "pictures")), bucket };
}

const opened = new Map<string, PictureStore>();

/** The folder is made when the data folder is opened, so nothing is put before that. */
const ownFolder = (): PictureStore => {
  const store = folderStore(pictureFolder());
  return {
    ...store,
    put: async (key, bytes) => {
      await database();
      await store.put(key, bytes);
    },
  };
};

export function pictureStore(): PictureStore {
  const bucket = bucketSettings();
  const name = bucket ? JSON.stringify(bucket) : pictureFolder();
  let store = opened.get(name);
  if (!store) opened.set(name, (store = bucket ? objectStore(bucket) : ownFolder()));
  return store;
}

/** Where the bytes are, in words. */
export const storeInWords = (): string => {
  const bucket = bucketSettings();
  return bucket ? `in the bucket “${bucket.bucket}”` : "in Still Line's own folder";
};
