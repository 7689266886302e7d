/** Where a single node leads: by its link mark, or by an attribute of its own. */
import type { Node } from "prosemirror-model";
import { attributesIn, type AttributesOf, type Description } from "../description";
import { button } from "../kinds/button";
import { picture } from "../kinds/picture";
import { link } from "../marks/link";

/** The kinds that lead somewhere by an attribute of their own. */
const leading: readonly Description<Pick<typeof picture.attributes, "link">>[] = [picture, button];

/** Which description says where a node leads by itself; null for what is linked by a mark only. */
export const leadingKind = (node: Node): (typeof leading)[number] | null =>
  leading.find(({ is }) => is(node)) ?? null;

/** Null where it leads nowhere of itself; what a field or bare text leads to is told by `linksOf`. */
export const hrefOf = (node: Node): AttributesOf<typeof picture.attributes>["link"] =>
  attributesIn(link, node.marks)?.href ?? leadingKind(node)?.of(node).link ?? null;
