/** The size of text in px. */
import type { MarkKind } from "../kind";
import { number } from "../values";

const check = number(6, 72, 0.5);

/** A CSS length in px or pt as px on the grid of half px (CSS Values 4: 1pt = 4/3 px); null for other units. */
export function sizeToPx(css: string): number | null {
  const found = /^(\d+(?:\.\d+)?)(px|pt)$/.exec(css.trim());
  if (!found) return null;
  const length = Number(found[1]) * (found[2] === "pt" ? 4 / 3 : 1);
  const size = Math.round(length * 2) / 2;
  return check(size) === null ? size : null;
}

export const sizeKind: MarkKind = {
  name: "size",
  attributes: { size: { check } },
  parse: [
    {
      style: "font-size",
      getAttrs: (value) => {
        const size = sizeToPx(value);
        return size === null ? false : { size };
      },
    },
  ],
  draw: (mark) => ["span", { style: `font-size:${mark.attrs.size}px` }, 0],
};
