/** A link. Its colour and underline are those of the signature, unless it or its text has its own. */
import type { Mark, Schema } from "prosemirror-model";
import { color, flag, optional } from "../../values";
import { attribute, describeAttributes, needed, type AttributesOf } from "../description";
import { markKind } from "../kind";
import { linkTarget } from "../values";

export const link = describeAttributes(["link"], {
  href: needed(linkTarget),
  /** Null is as in the whole signature. */
  color: attribute(optional(color), null),
  underline: attribute(optional(flag), null),
});
export type LinkAttributes = AttributesOf<typeof link.attributes>;

/** A link of a schema that looks as all links of the signature do. */
export function linkTo(schema: Schema, href: string): Mark {
  const { link: type } = schema.marks;
  if (!type) throw new RangeError("This schema has no links");
  return type.create({ href });
}

export const linkKind = markKind({
  name: "link",
  attributes: link.attributes,
  structure: { inclusive: false },
  parse: [
    {
      tag: "a[href]",
      getAttrs: (element) => {
        const href = (element.getAttribute("href") ?? "").trim();
        return linkTarget.check(href) === null ? { href } : false;
      },
    },
  ],
  // The Bench is for building: a link there is shown and not followed.
  draw(mark) {
    const { href, color: own, underline } = link.of(mark);
    const style = [
      own === null ? "" : `--link-color:${own}`,
      underline === null ? "" : `--link-decoration:${underline ? "underline" : "none"}`,
    ];
    return ["a", { href, rel: "noreferrer", style: style.filter((part) => part).join(";") || null }, 0];
  },
});
