/** Where the bytes of pictures are kept. Keys name content by its hash, so that nothing is ever overwritten. */
import { isContentHash, isHostedFileName } from "@/core/addresses";
import type { HostedType } from "@/core/pictures";

export type StoreKey =
  | { readonly kind: "original"; readonly hash: string }
  /** A screenshot of what was received. */
  | { readonly kind: "sighting"; readonly hash: string }
  | { readonly kind: "cut"; readonly hash: string; readonly fileName: string; readonly type: HostedType }
  /** What links lead to; its media type goes by the ending of its name. */
  | { readonly kind: "file"; readonly hash: string; readonly fileName: string };

export interface PictureStore {
  /** Written whole under its key or not at all. */
  readonly put: (key: StoreKey, bytes: Uint8Array) => Promise<void>;
  /** Null when there is nothing under the key. */
  readonly get: (key: StoreKey) => Promise<Buffer | null>;
  /** Taking away what is not there is no error. */
  readonly remove: (key: StoreKey) => Promise<void>;
}

/** Hashes are hex digits and names are plain words, so that no key can lead out of its place. */
export function checkKey(key: StoreKey): void {
  if (!isContentHash(key.hash)) throw new RangeError(`No content hash: ${JSON.stringify(key.hash)}`);
  if ("fileName" in key && !isHostedFileName(key.fileName))
    throw new RangeError(`No file name of what is hosted: ${JSON.stringify(key.fileName)}`);
}
