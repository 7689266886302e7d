/** Italic. */
import type { MarkKind } from "../kind";

export const italicKind: MarkKind = {
  name: "italic",
  attributes: {},
  parse: [{ tag: "i" }, { tag: "em" }, { style: "font-style=italic" }],
  draw: () => ["i", 0],
};
