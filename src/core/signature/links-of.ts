/** Every destination that a document names, in reading order. */
import type { Node } from "prosemirror-model";

export interface PlacedLink {
  readonly position: number;
  readonly href: string;
  /** The text or the alt text that leads there. */
  readonly text: string;
}

/** Neighbouring text under one link is one entry. */
export function linksOf(document: Node): readonly PlacedLink[] {
  const found: PlacedLink[] = [];
  let open: { href: string; end: number } | null = null;
  document.descendants((node, position) => {
    const mark = node.marks.find(({ type }) => type.name === "link");
    const href = (mark?.attrs.href as string | undefined) ?? (node.attrs.link as string | null | undefined);
    if (!href) return;
    const text = node.isText ? node.text! : String(node.attrs.alt ?? node.attrs.field ?? node.textContent);
    const last = found.at(-1);
    if (last && open?.href === href && open.end === position)
      found[found.length - 1] = { ...last, text: last.text + text };
    else found.push({ position, href, text });
    open = { href, end: position + node.nodeSize };
  });
  return found;
}
