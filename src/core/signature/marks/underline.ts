/** Underline of text that is not a link; whether links are underlined is a setting of the whole signature. */
import type { MarkKind } from "../kind";

export const underlineKind: MarkKind = {
  name: "underline",
  attributes: {},
  parse: [{ tag: "u" }, { style: "text-decoration=underline" }],
  draw: () => ["u", 0],
};
