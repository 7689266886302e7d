/** Italic. */
import { markKind, plainMark } from "../kind";

export const italic = plainMark("italic");

export const italicKind = markKind({
  name: "italic",
  attributes: {},
  parse: [{ tag: "i" }, { tag: "em" }, { style: "font-style=italic" }],
  draw: () => ["i", 0],
});
