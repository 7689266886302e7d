/** The real type of a file by its first bytes, whatever its name says (WHATWG MIME Sniffing 6.1, and RFC 8259). */

export type SniffedType =
  "png" | "jpeg" | "gif" | "webp" | "avif" | "heic" | "svg" | "html" | "pdf" | "zip" | "unknown";

const ascii = (bytes: Uint8Array, from: number, to: number): string =>
  String.fromCharCode(...bytes.subarray(from, Math.min(to, bytes.length)));

const startsWith = (bytes: Uint8Array, ...signature: number[]): boolean =>
  bytes.length >= signature.length && signature.every((byte, index) => bytes[index] === byte);

/** Reads at most the first 512 bytes. */
export function sniffType(bytes: Uint8Array): SniffedType {
  if (startsWith(bytes, 0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a)) return "png";
  if (startsWith(bytes, 0xff, 0xd8, 0xff)) return "jpeg";
  if (/^GIF8[79]a/.test(ascii(bytes, 0, 6))) return "gif";
  if (ascii(bytes, 0, 4) === "RIFF" && ascii(bytes, 8, 12) === "WEBP") return "webp";
  if (ascii(bytes, 4, 8) === "ftyp") {
    const brand = ascii(bytes, 8, 12);
    return brand.startsWith("avi") ? "avif" : "heic";
  }
  if (ascii(bytes, 0, 5) === "%PDF-") return "pdf";
  // A file in it, or at once the end of its directory where it is empty.
  if (startsWith(bytes, 0x50, 0x4b, 0x03, 0x04) || startsWith(bytes, 0x50, 0x4b, 0x05, 0x06)) return "zip";
  const start = ascii(bytes, 0, 512)
    .replace(/^\u00ef\u00bb\u00bf/, "")
    .trimStart()
    .toLowerCase();
  if (start.startsWith("<!doctype html") || start.startsWith("<html")) return "html";
  if (start.startsWith("<svg") || (start.startsWith("<?xml") && start.includes("<svg"))) return "svg";
  return "unknown";
}

/** Types that are taken as originals. */
export const originalTypes = ["png", "jpeg", "gif", "webp", "avif", "svg"] as const;
export type OriginalType = (typeof originalTypes)[number];

/** Why a file of a type is not taken, in one sentence that says what to do; null when it is. */
export function typeRefusal(type: SniffedType, name: string): string | null {
  if ((originalTypes as readonly string[]).includes(type)) return null;
  const named = `“${name}”`;
  switch (type) {
    case "html":
      return `${named} is a web page and not a picture: open the page, save the picture itself, and upload that.`;
    case "pdf":
      return `${named} is a PDF: save its picture as PNG or JPEG first.`;
    case "zip":
      return `${named} is an archive: unpack it and upload the pictures in it.`;
    case "heic":
      return `${named} is a HEIC photo, which cannot be read here: share or save it as JPEG first.`;
    default:
      return `${named} is no picture that can be read here: upload a PNG, JPEG, GIF, WebP, AVIF or SVG.`;
  }
}
