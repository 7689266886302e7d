/** The size of text in px; a size that was set in points is kept to a hundredth. */
import { textSize } from "../../values";
import { describeAttributes, needed } from "../description";
import { markKind } from "../kind";
import {} from "../values";

/** A CSS length in px or pt as px, to a hundredth (CSS Values 4: 1pt = 4/3 px); null for other units. */
export function lengthToPx(css: string): number | null {
  const found = /^(-?\d+(?:\.\d+)?)(px|pt)$/.exec(css.trim());
  if (!found) return null;
  const length = Number(found[1]) * (found[2] === "pt" ? 4 / 3 : 1);
  return Math.round(length * 100) / 100;
}

/** A CSS font size as px, or null when it is none that a document may hold. */
export function sizeToPx(css: string): number | null {
  const length = lengthToPx(css);
  return length !== null && textSize.check(length) === null ? length : null;
}

export const size = describeAttributes(["size"], { size: needed(textSize) });

export const sizeKind = markKind({
  name: "size",
  attributes: size.attributes,
  parse: [
    {
      style: "font-size",
      getAttrs: (value) => {
        const length = sizeToPx(value);
        return length === null ? false : { size: length };
      },
    },
  ],
  draw: (mark) => ["span", { style: `font-size:${size.of(mark).size}px` }, 0],
});
