import { createHash } from "node:crypto";

/**
 * The first 20 hex digits of the SHA-256 of some bytes. Twenty hex digits are 80 bits: short in the HTML, and no
 * two pictures of a lifetime share them.
 */
export const contentHash = (bytes: Uint8Array): string =>
  createHash("sha256").update(bytes).digest("hex").slice(0, 20);
