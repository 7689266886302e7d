/** Text that is struck through. */
import { markKind, plainMark } from "../kind";

export const strikethrough = plainMark("strikethrough");

export const strikethroughKind = markKind({
  name: "strikethrough",
  attributes: {},
  parse: [
    { tag: "s" },
    { tag: "strike" },
    { tag: "del" },
    { style: "text-decoration", getAttrs: (value) => /\bline-through\b/.test(value) && null },
  ],
  draw: () => ["s", 0],
});
