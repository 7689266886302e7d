/** The store that the environment names: a bucket where one is set, else the data folder. */
import path from "node:path";
import { bucketSettings, dataFolder } from "../configuration";
import { folderStore } from "./folder-store";
import { objectStore } from "./object-store";
import type { PictureStore } from "./picture-store";

const opened = new Map<string, PictureStore>();

export function pictureStore(): PictureStore {
  const bucket = bucketSettings();
  const folder = path.join(dataFolder(), "pictures");
  const name = bucket ? JSON.stringify(bucket) : folder;
  let store = opened.get(name);
  if (!store) opened.set(name, (store = bucket ? objectStore(bucket) : folderStore(folder)));
  return store;
}

/** Where the bytes are, in words. */
export const storeInWords = (): string => {
  const bucket = bucketSettings();
  return bucket ? `in the bucket “${bucket.bucket}”` : "in Still Line's own folder";
};
