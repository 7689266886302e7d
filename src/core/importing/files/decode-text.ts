/** The text of a file of HTML: by its byte order mark, by what it declares, or by what it turns out to be (WHATWG HTML 13.2.3). */

/** The encoding that the first kilobyte of a file declares. */
function declared(bytes: Uint8Array): string | null {
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

/** Never throws: bytes that are no text of their encoding are shown as what stands for them. */
export function decodeText(bytes: Uint8Array): string {
  const marked =
    bytes[0] === 0xff && bytes[1] === 0xfe
      ? "utf-16le"
      : bytes[0] === 0xfe && bytes[1] === 0xff
        ? "utf-16be"
        : null;
  const said = marked ?? declared(bytes);
  // A file that says something else but is UTF-8 was saved again since.
  return (
    (marked ? null : decoded(bytes, "utf-8", true)) ??
    (said ? decoded(bytes, said, false) : null) ??
    decoded(bytes, "windows-1252", false) ??
    ""
  );
}
