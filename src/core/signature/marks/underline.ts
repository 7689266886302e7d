/** Underline of text that is not a link; whether links are underlined is a setting of the whole signature. */
import { markKind, plainMark } from "../kind";

export const underline = plainMark("underline");

export const underlineKind = markKind({
  name: "underline",
  attributes: {},
  parse: [{ tag: "u" }, { style: "text-decoration=underline" }],
  draw: () => ["u", 0],
});
