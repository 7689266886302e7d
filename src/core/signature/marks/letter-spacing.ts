/** Space added after each letter, in px; less than none draws letters closer. */
import type { MarkKind } from "../kind";
import { number } from "../values";
import { lengthToPx } from "./size";

const check = number(-2, 20, 0.1);

export const letterSpacingKind: MarkKind = {
  name: "letterSpacing",
  attributes: { spacing: { check } },
  parse: [
    {
      style: "letter-spacing",
      getAttrs: (value) => {
        const px = lengthToPx(value);
        const spacing = px === null ? null : Math.round(px * 10) / 10;
        return spacing !== null && spacing !== 0 && check(spacing) === null ? { spacing } : false;
      },
    },
  ],
  draw: (mark) => ["span", { style: `letter-spacing:${mark.attrs.spacing}px` }, 0],
};
