/** The colour of text, six hex digits. */
import type { MarkKind } from "../kind";
import { hexColor } from "../values";
import { toHex } from "./to-hex";

export const colorKind: MarkKind = {
  name: "color",
  attributes: { color: { check: hexColor } },
  parse: [
    {
      style: "color",
      getAttrs: (value) => {
        const color = toHex(value);
        return color ? { color } : false;
      },
    },
  ],
  draw: (mark) => ["span", { style: `color:${mark.attrs.color}` }, 0],
};
