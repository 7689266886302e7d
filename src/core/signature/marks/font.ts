/** The family of text; only web-safe families are taken from what is pasted. */
import type { MarkKind } from "../kind";
import { fontStack, webSafeFont } from "../fonts";
import { text } from "../values";

export const fontKind: MarkKind = {
  name: "font",
  attributes: { font: { check: text(60) } },
  parse: [
    {
      style: "font-family",
      getAttrs: (value) => {
        const family = value
          .split(",")[0]!
          .trim()
          .replace(/^['"]|['"]$/g, "");
        return webSafeFont(family) ? { font: family } : false;
      },
    },
  ],
  draw: (mark) => ["span", { style: `font-family:${fontStack(mark.attrs.font as string)}` }, 0],
};
