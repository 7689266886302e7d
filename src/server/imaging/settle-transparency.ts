/**
 * A palette's nearly clear entries made wholly clear, and nearly opaque ones opaque: searching for few colours moves
 * them a little, and a corner that is a hundredth opaque is a grey corner in dark mode (W3C PNG 3, section 11.3.1.1).
 */
import { crc32 } from "node:zlib";

/** Steps of 255 that nobody sees. */
const nearly = 8;

const chunkHead = 8;
const signatureLength = 8;

/** Changes the bytes in place, and answers with them. PNGs without a palette stay as they are. */
export function settleTransparency(png: Buffer): Buffer {
  for (let at = signatureLength; at + chunkHead <= png.length;) {
    const length = png.readUInt32BE(at);
    const type = png.subarray(at + 4, at + chunkHead).toString("latin1");
    const colorType = png[signatureLength + chunkHead + 9];
    if (type === "tRNS" && colorType === 3) {
      const entries = png.subarray(at + chunkHead, at + chunkHead + length);
      for (let index = 0; index < entries.length; index++)
        if (entries[index]! <= nearly) entries[index] = 0;
        else if (entries[index]! >= 255 - nearly) entries[index] = 255;
      png.writeUInt32BE(crc32(png.subarray(at + 4, at + chunkHead + length)), at + chunkHead + length);
      return png;
    }
    at += chunkHead + length + 4;
  }
  return png;
}
