/**
 * The signature as rich text (RTF 1.9), for messages that are written so: its lines in reading order, in its own font, size
 * and colour, with addresses as links. Sizes are half points.
 */
import { channelsOf } from "../color";
import { detectLinks } from "../links";
import { fontStack, type Settings } from "../signature";

/** A letter as RTF has it: ASCII as it is, all else by the number of its UTF-16 units. */
function escaped(text: string): string {
  let written = "";
  for (let at = 0; at < text.length; at++) {
    const letter = text.charAt(at);
    const code = text.charCodeAt(at);
    if (letter === "\\" || letter === "{" || letter === "}") written += `\\${letter}`;
    else if (letter === "\t") written += "\\tab ";
    else if (code >= 32 && code < 127) written += letter;
    else if (code >= 127) written += `\\u${code > 32767 ? code - 65536 : code}?`;
  }
  return written;
}

/** A line with what leads somewhere as links. */
function lineOf(line: string): string {
  let written = "";
  let from = 0;
  for (const { start, end, href } of detectLinks(line)) {
    if (href === null) continue;
    written += `${escaped(line.slice(from, start))}{\\field{\\*\\fldinst HYPERLINK "${escaped(href)}"}{\\fldrslt ${escaped(line.slice(start, end))}}}`;
    from = end;
  }
  return written + escaped(line.slice(from));
}

/** From a signature's plain text and its settings. ASCII only. */
export function richText(plainText: string, settings: Settings): string {
  const [family = "Arial"] = fontStack(settings.font).split(",");
  const [red, green, blue] = channelsOf(settings.textColor);
  const size = Math.round(settings.size * 0.75 * 2);
  const lines = plainText.trimEnd().split("\n").map(lineOf);
  return (
    `{\\rtf1\\ansi\\ansicpg1252\\deff0\\uc1{\\fonttbl{\\f0 ${family.replace(/["']/g, "").trim()};}}` +
    `{\\colortbl;\\red${red}\\green${green}\\blue${blue};}\r\n` +
    `\\pard\\f0\\fs${size}\\cf1 ${lines.join("\\line\r\n")}\\par}\r\n`
  );
}
