/** Space added after each letter, in px; less than none draws letters closer. */
import { px } from "../../values";
import { describeAttributes, needed } from "../description";
import { markKind } from "../kind";
import { lengthToPx } from "./size";

export const letterSpacing = describeAttributes(["letterSpacing"], { spacing: needed(px(-2, 20, 0.1)) });

export const letterSpacingKind = markKind({
  name: "letterSpacing",
  attributes: letterSpacing.attributes,
  parse: [
    {
      style: "letter-spacing",
      getAttrs: (value) => {
        const length = lengthToPx(value);
        const spacing = length === null ? null : Math.round(length * 10) / 10;
        const { value: range } = letterSpacing.attributes.spacing;
        return spacing !== null && spacing !== 0 && range.check(spacing) === null ? { spacing } : false;
      },
    },
  ],
  draw: (mark) => ["span", { style: `letter-spacing:${letterSpacing.of(mark).spacing}px` }, 0],
});
