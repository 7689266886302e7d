/** Content lines, as calendar files (RFC 5545, section 3.1) and contact cards (RFC 6350, section 3) are made of. */

/** Octets that a line may have before it is folded. */
const longest = 75;

const octets = (text: string): number => new TextEncoder().encode(text).length;

/** Folded before the 76th octet, never within a character; a folded line goes on after a space. */
function fold(line: string): string {
  const parts: string[] = [];
  let part = "";
  let size = 0;
  for (const character of line) {
    const more = octets(character);
    if (size + more > longest) {
      parts.push(part);
      part = " ";
      size = 1;
    }
    part += character;
    size += more;
  }
  return [...parts, part].join("\r\n");
}

/** A text value: backslashes, commas, semicolons and line breaks escaped, other control characters left out. */
export const escapeValue = (text: string): string =>
  text
    .toWellFormed()
    .replace(/\r\n?/g, "\n")
    .replace(/[\u0000-\u0009\u000b-\u001f\u007f]/g, "")
    .replace(/[\\,;]/g, "\\$&")
    .replaceAll("\n", "\\n");

/** Lines as a file: folded, and each ended with CRLF. */
export const contentLines = (lines: readonly string[]): string =>
  lines.map((line) => `${fold(line)}\r\n`).join("");
