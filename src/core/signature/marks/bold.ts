/** Bold. Written as `<b>`, which every client draws. */
import { markKind, plainMark } from "../kind";

export const bold = plainMark("bold");

export const boldKind = markKind({
  name: "bold",
  attributes: {},
  parse: [
    { tag: "strong" },
    { tag: "b", getAttrs: (element) => element.style.fontWeight !== "normal" && null },
    // Weights under 600 are drawn normal by document engines, so they are not bold.
    { style: "font-weight", getAttrs: (value) => /^(bold(er)?|[6-9]\d{2})$/.test(value) && null },
  ],
  draw: () => ["b", 0],
});
