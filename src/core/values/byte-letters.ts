/** Bytes as letters, one for each, as formats have them that are of bytes and of ASCII at once. */

export function lettersOf(bytes: Uint8Array): string {
  let letters = "";
  // Not all at once: a call takes only so many arguments.
  for (let at = 0; at < bytes.length; at += 0x8000)
    letters += String.fromCharCode(...bytes.subarray(at, at + 0x8000));
  return letters;
}

/** The bytes of such letters; none is over 255. */
export const bytesOf = (letters: string): Uint8Array =>
  Uint8Array.from(letters, (letter) => letter.charCodeAt(0));
