/** Pictures by what their bytes are, whatever somebody says of them. */
import { sniffType } from "@/core/pictures";

/** Types that can run nothing when they are opened by themselves. */
const types: Readonly<Record<string, string>> = {
  png: "image/png",
  jpeg: "image/jpeg",
  gif: "image/gif",
  webp: "image/webp",
};

/** The MIME type of a picture; null for anything else. */
export const pictureType = (bytes: Uint8Array): string | null => types[sniffType(bytes)] ?? null;
