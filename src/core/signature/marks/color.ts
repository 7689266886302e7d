/** The colour of text, six hex digits. */
import { toHex } from "../../color";
import { color } from "../../values";
import { describeAttributes, needed } from "../description";
import { markKind } from "../kind";

export const textColor = describeAttributes(["color"], { color: needed(color) });

export const colorKind = markKind({
  name: "color",
  attributes: textColor.attributes,
  parse: [
    {
      style: "color",
      getAttrs: (value) => {
        const hex = toHex(value);
        return hex ? { color: hex } : false;
      },
    },
  ],
  draw: (mark) => ["span", { style: `color:${textColor.of(mark).color}` }, 0],
});
