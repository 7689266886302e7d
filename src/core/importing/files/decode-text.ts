/** The text of a file of HTML: by its byte order mark, by what it declares, or by what it turns out to be (WHATWG HTML 13.2.3). */

/** The encoding that the first kilobyte of a file declares (WHATWG HTML 13.2.3.2); null where it declares none. */
export function declaredEncoding(bytes: Uint8Array): string | null {
  const beginning = String.fromCharCode(...bytes.subarray(0, 1024));
  return /<meta[^>]+charset\s*=\s*["']?\s*([a-z0-9_-]+)/i.exec(beginning)?.[1] ?? null;
}

function decoded(bytes: Uint8Array, encoding: string, fatal: boolean): string | null {
  try {
    return new TextDecoder(encoding, { fatal }).decode(bytes);
  } catch {
    return null;
  }
}

/** The encoding that a file of text is read in: a label of the Encoding Standard, in small letters. */
export function encodingOf(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return "utf-16le";
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return "utf-16be";
  // A file that says something else but is UTF-8 was saved again since.
  if (decoded(bytes, "utf-8", true) !== null) return "utf-8";
  const said = declaredEncoding(bytes);
  return said !== null && decoded(bytes, said, false) !== null ? said.toLowerCase() : "windows-1252";
}

/** Never throws: bytes that are no text of their encoding are shown as what stands for them. */
export const decodeText = (bytes: Uint8Array): string => decoded(bytes, encodingOf(bytes), false) ?? "";
