/** The bytes of hosted pictures for a kit, from the store alone. */
import { wordTable } from "@/core/values";
import { endingOf, readPicturePath } from "@/core/addresses";
import type { KitPicture, KitPictures } from "@/core/install";
import type { HostedType } from "@/core/pictures";
import type { PictureStore } from "./picture-store";

const types = wordTable<HostedType>({ png: "png", jpg: "jpeg", gif: "gif" });

/** By their paths; those that are not there are left out. */
export async function kitPictures(store: PictureStore, paths: readonly string[]): Promise<KitPictures> {
  const found = new Map<string, KitPicture>();
  for (const path of paths) {
    const address = readPicturePath(path);
    const type = address && types[endingOf(address.fileName)];
    const bytes = type && (await store.get({ kind: "cut", ...address, type }));
    if (bytes) found.set(path, { bytes, type: `image/${type}` });
  }
  return found;
}
