/** A link. Its colour and underline are those of the signature, unless it or its text has its own. */
import type { MarkKind } from "../kind";
import { flag, hexColor, linkTarget, optional } from "../values";

export interface LinkAttributes {
  readonly href: string;
  /** Null is as in the whole signature. */
  readonly color: string | null;
  readonly underline: boolean | null;
}

export const linkKind: MarkKind = {
  name: "link",
  attributes: {
    href: { check: linkTarget },
    color: { default: null, check: optional(hexColor) },
    underline: { default: null, check: optional(flag) },
  },
  structure: { inclusive: false },
  parse: [
    {
      tag: "a[href]",
      getAttrs: (element) => {
        const href = element.getAttribute("href")!.trim();
        return linkTarget(href) === null ? { href } : false;
      },
    },
  ],
  // The Bench is for building: a link there is shown and not followed.
  draw(mark) {
    const { href, color, underline } = mark.attrs as LinkAttributes;
    const style = [
      color === null ? "" : `--link-color:${color}`,
      underline === null ? "" : `--link-decoration:${underline ? "underline" : "none"}`,
    ];
    return ["a", { href, rel: "noreferrer", style: style.filter((part) => part).join(";") || null }, 0];
  },
};
