/**
 * Writing a picture's density into its own header, and nothing else: the encoder would add a whole EXIF block
 * for it, a seventh of a small icon. Document engines draw pictures without sizes by this number.
 */
import { crc32 } from "node:zlib";

const pngSignature = 8;

/** A PNG's `pHYs` chunk: pixels per metre in both directions, unit 1 (W3C PNG 3, section 11.3.4.3). */
function physicalChunk(perInch: number): Buffer {
  const chunk = Buffer.alloc(4 + 4 + 9 + 4);
  const perMetre = Math.round(perInch / 0.0254);
  chunk.writeUInt32BE(9, 0);
  chunk.write("pHYs", 4, "latin1");
  chunk.writeUInt32BE(perMetre, 8);
  chunk.writeUInt32BE(perMetre, 12);
  chunk.writeUInt8(1, 16);
  chunk.writeUInt32BE(crc32(chunk.subarray(4, 17)), 17);
  return chunk;
}

/** Throws a RangeError for bytes that are no PNG. */
export function setPngDensity(png: Buffer, perInch: number): Buffer {
  if (png.subarray(1, 4).toString("latin1") !== "PNG") throw new RangeError("These bytes are no PNG");
  const parts: Buffer[] = [png.subarray(0, pngSignature)];
  for (let at = pngSignature; at + 12 <= png.length;) {
    const end = at + 12 + png.readUInt32BE(at);
    const type = png.subarray(at + 4, at + 8).toString("latin1");
    if (type !== "pHYs") parts.push(png.subarray(at, end));
    if (type === "IHDR") parts.push(physicalChunk(perInch));
    at = end;
  }
  return Buffer.concat(parts);
}

/** A JFIF segment without thumbnail: version 1.02, unit 1 (ITU-T T.871, section 10.1). */
function jfifSegment(perInch: number): Buffer {
  const segment = Buffer.alloc(18);
  segment.writeUInt16BE(0xffe0, 0);
  segment.writeUInt16BE(16, 2);
  segment.write("JFIF\0", 4, "latin1");
  segment.writeUInt16BE(0x0102, 9);
  segment.writeUInt8(1, 11);
  segment.writeUInt16BE(perInch, 12);
  segment.writeUInt16BE(perInch, 14);
  return segment;
}

/** Puts the density in a JFIF segment at the start, in place of one that is there. Throws a RangeError for no JPEG. */
export function setJpegDensity(jpeg: Buffer, perInch: number): Buffer {
  if (jpeg.length < 4 || jpeg.readUInt16BE(0) !== 0xffd8) throw new RangeError("These bytes are no JPEG");
  const hasOwn = jpeg.readUInt16BE(2) === 0xffe0;
  const rest = hasOwn ? 4 + jpeg.readUInt16BE(4) : 2;
  return Buffer.concat([jpeg.subarray(0, 2), jfifSegment(perInch), jpeg.subarray(rest)]);
}
