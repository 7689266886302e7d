/** A link. Its colour and underline are settings of the signature, unless the text has a colour of its own. */
import type { MarkKind } from "../kind";
import { linkTarget } from "../values";

export const linkKind: MarkKind = {
  name: "link",
  attributes: { href: { check: linkTarget } },
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
  draw: (mark) => ["a", { href: mark.attrs.href as string, rel: "noreferrer" }, 0],
};
