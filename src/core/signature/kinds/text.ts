/** Text. What clients would link by themselves is linked by us, in our colour. */
import { detectLinks } from "../../links";
import { styledText } from "../inline";
import { inlineKind } from "../kind";
import { link } from "../marks/link";
import type { Piece, ReadPieces } from "../piece";

const piece = (text: string, link: string | null, quietLink = false): Piece => ({
  role: text.trim() === "" ? "space" : "content",
  link,
  quietLink,
  leftToRight: link !== null && !quietLink,
  plain: text.replaceAll("\u00a0", " "),
  html: (style, writing) => styledText(text, style, writing),
});

export const readText: ReadPieces = (node, writing) => {
  const text = node.text ?? "";
  if (node.marks.some(link.is)) return [piece(text, null)];
  const pieces: Piece[] = [];
  let from = 0;
  for (const found of detectLinks(text)) {
    const quiet = found.href === null;
    const href = found.href ?? writing.settings.visitLink;
    if (href === null) continue;
    if (found.start > from) pieces.push(piece(text.slice(from, found.start), null));
    pieces.push(piece(text.slice(found.start, found.end), href, quiet));
    from = found.end;
  }
  if (from < text.length) pieces.push(piece(text.slice(from), null));
  return pieces;
};

export const textKind = inlineKind({
  name: "text",
  word: "text",
  structure: { group: "inline" },
  attributes: {},
  read: readText,
});
