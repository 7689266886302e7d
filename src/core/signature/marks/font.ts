/** The family of text; only web-safe families are taken from what is pasted. */
import { text } from "../../values";
import { describeAttributes, needed } from "../description";
import { fontStack, webSafeFont } from "../fonts";
import { markKind } from "../kind";

export const font = describeAttributes(["font"], { font: needed(text(60)) });

export const fontKind = markKind({
  name: "font",
  attributes: font.attributes,
  parse: [
    {
      style: "font-family",
      getAttrs: (value) => {
        const [first = ""] = value.split(",");
        const family = first.trim().replace(/^['"]|['"]$/g, "");
        return webSafeFont(family) ? { font: family } : false;
      },
    },
  ],
  draw: (mark) => ["span", { style: `font-family:${fontStack(font.of(mark).font)}` }, 0],
});
