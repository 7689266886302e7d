/**
 * What a picture says of its own density. Document engines draw a picture by that and not by the size that HTML gives it, unless it
 * is 96 to the inch, as CSS has it (CSS Values 4, 6.2).
 */
import { joinBytes } from "../values";

const crcTable = Uint32Array.from({ length: 256 }, (_unused, byte) => {
  let value = byte;
  for (let bit = 0; bit < 8; bit++) value = value & 1 ? (value >>> 1) ^ 0xedb88320 : value >>> 1;
  return value;
});

/** The check of a chunk (PNG 3, annex D). */
function crc(bytes: Uint8Array): number {
  let value = 0xffffffff;
  for (const byte of bytes) value = (crcTable[(value ^ byte) & 0xff] ?? 0) ^ (value >>> 8);
  return (value ^ 0xffffffff) >>> 0;
}

const fourBytes = (value: number): readonly number[] =>
  [24, 16, 8, 0].map((shift) => (value >>> shift) & 0xff);

/** A PNG's own chunks, each whole; null for what is none. */
function chunksOf(
  bytes: Uint8Array,
): readonly { readonly type: string; readonly whole: Uint8Array }[] | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const chunks: { type: string; whole: Uint8Array }[] = [];
  for (let at = 8; at + 12 <= bytes.length;) {
    const length = view.getUint32(at);
    const end = at + 12 + length;
    if (end > bytes.length) return null;
    chunks.push({
      type: String.fromCharCode(...bytes.subarray(at + 4, at + 8)),
      whole: bytes.subarray(at, end),
    });
    at = end;
  }
  return chunks[0]?.type === "IHDR" ? chunks : null;
}

/** A `pHYs` chunk (PNG 3, 11.3.4.3): so many px a metre in both directions. */
function physical(perInch: number): Uint8Array {
  const perMetre = Math.round(perInch / 0.0254);
  const typed = Uint8Array.from([0x70, 0x48, 0x59, 0x73, ...fourBytes(perMetre), ...fourBytes(perMetre), 1]);
  return Uint8Array.from([...fourBytes(9), ...typed, ...fourBytes(crc(typed))]);
}

function pngWith(bytes: Uint8Array, perInch: number): Uint8Array {
  const chunks = chunksOf(bytes);
  const [header, ...others] = chunks ?? [];
  if (!header) return bytes;
  return joinBytes([
    bytes.subarray(0, 8),
    header.whole,
    physical(perInch),
    // What a camera wrote of it goes before it in some readers.
    ...others.filter(({ type }) => type !== "pHYs" && type !== "eXIf").map(({ whole }) => whole),
  ]);
}

/** The density in a JFIF header (ITU-T T.871, 10.1), first; others, and what a camera wrote of it, are left out. */
function jpegWith(bytes: Uint8Array, perInch: number): Uint8Array {
  const density = [1, ...fourBytes(perInch).slice(2), ...fourBytes(perInch).slice(2)];
  const header = [0xff, 0xe0, 0, 16, 0x4a, 0x46, 0x49, 0x46, 0, 1, 1, ...density, 0, 0];
  const kept: Uint8Array[] = [];
  let at = 2;
  while (bytes[at] === 0xff && ((bytes[at + 1] ?? 0) & 0xf0) === 0xe0) {
    const end = at + 2 + (bytes[at + 2] ?? 0) * 256 + (bytes[at + 3] ?? 0);
    if (end > bytes.length) return bytes;
    const named = String.fromCharCode(...bytes.subarray(at + 4, at + 8));
    if (named !== "JFIF" && named !== "Exif") kept.push(bytes.subarray(at, end));
    at = end;
  }
  return joinBytes([bytes.subarray(0, 2), Uint8Array.from(header), ...kept, bytes.subarray(at)]);
}

/** The same picture, saying that it has so many px to the inch. Pictures of other kinds, and damaged ones, stay as they are. */
export function withDensity(bytes: Uint8Array, perInch: number): Uint8Array {
  if (bytes[0] === 0x89 && bytes[1] === 0x50) return pngWith(bytes, perInch);
  return bytes[0] === 0xff && bytes[1] === 0xd8 ? jpegWith(bytes, perInch) : bytes;
}
