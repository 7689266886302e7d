/** Where a single node leads: by its link mark, or by an attribute of its own. */
import type { Node } from "prosemirror-model";

/** Null where it leads nowhere of itself; what a field or bare text leads to is told by `linksOf`. */
export const hrefOf = (node: Node): string | null =>
  (node.marks.find(({ type }) => type.name === "link")?.attrs.href as string | undefined) ??
  (node.attrs.link as string | null | undefined) ??
  null;
