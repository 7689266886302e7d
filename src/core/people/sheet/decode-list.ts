/** The text of a list that somebody keeps, whatever program wrote it: by its byte order mark, or by what it turns out to be. */

/** Encodings that lists are written in, by their labels in the Encoding Standard (WHATWG), as they are shown. */
export const encodings = {
  "utf-8": "Unicode (UTF-8)",
  "windows-1252": "Western European",
  "utf-16le": "Unicode (UTF-16)",
  "utf-16be": "Unicode (UTF-16, big end first)",
  "windows-1250": "Central European",
  "windows-1251": "Cyrillic",
  "windows-1253": "Greek",
  "windows-1254": "Turkish",
  "windows-1255": "Hebrew",
  "windows-1256": "Arabic",
  macintosh: "Western European (old desktop files)",
  shift_jis: "Japanese",
  gb18030: "Chinese, simplified",
  big5: "Chinese, traditional",
  "euc-kr": "Korean",
} as const;
export type ListEncoding = keyof typeof encodings;

/** Bytes that are looked at to tell text of two bytes a letter from others. */
const sampled = 4096;

function decoded(bytes: Uint8Array, encoding: ListEncoding, fatal: boolean): string | null {
  try {
    return new TextDecoder(encoding, { fatal }).decode(bytes);
  } catch {
    return null;
  }
}

/** Text of two bytes a letter without a mark has every other byte empty wherever its letters are Latin. */
function ofTwoBytes(bytes: Uint8Array): ListEncoding | null {
  const sample = bytes.subarray(0, sampled);
  const empty = [0, 0];
  sample.forEach((byte, at) => {
    if (byte === 0) empty[at % 2] = (empty[at % 2] ?? 0) + 1;
  });
  const [even = 0, odd = 0] = empty;
  if (odd > sample.length / 8 && odd > even * 4) return "utf-16le";
  return even > sample.length / 8 && even > odd * 4 ? "utf-16be" : null;
}

/** The encoding that a list is most likely written in. Never throws. */
export function listEncodingOf(bytes: Uint8Array): ListEncoding {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return "utf-16le";
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return "utf-16be";
  const wide = ofTwoBytes(bytes);
  if (wide) return wide;
  return decoded(bytes, "utf-8", true) === null ? "windows-1252" : "utf-8";
}

/** Bytes that are no text of the encoding are shown as what stands for them. */
export const decodeList = (bytes: Uint8Array, encoding: ListEncoding): string =>
  decoded(bytes, encoding, false) ?? "";
