/** The elements of a source as they are written: which is in which, and where each begins and ends. */
import type { Extent, Written, WrittenTag } from "../html";

export interface SourceElement extends Extent {
  readonly tag: WrittenTag;
  readonly parent: SourceElement | null;
  readonly children: readonly SourceElement[];
  /** Whether text that shows stands in it beside its children. */
  readonly hasText: boolean;
}

interface Growing extends SourceElement {
  to: number;
  hasText: boolean;
  readonly children: Growing[];
  readonly parent: Growing | null;
}

/** All elements in the order of their start tags. One that is not closed ends where what is around it ends. Linear. */
export function sourceElements(html: string, items: readonly Written[]): readonly SourceElement[] {
  const found: Growing[] = [];
  const open: Growing[] = [];
  for (const item of items) {
    const around = open.at(-1) ?? null;
    if (item.kind === "text") {
      if (around && /[^ \t\r\n\f]/.test(html.slice(item.from, item.to))) around.hasText = true;
    } else if (item.kind === "start" || item.kind === "void") {
      const { from, to } = item;
      const element: Growing = { tag: item, from, to, parent: around, children: [], hasText: false };
      around?.children.push(element);
      found.push(element);
      if (item.kind === "start") open.push(element);
    } else if (item.kind === "end" && open.some(({ tag }) => tag.name === item.name))
      for (let last = open.pop(); last; last = open.pop()) {
        last.to = item.to;
        if (last.tag.name === item.name) break;
        last.to = item.from;
      }
  }
  for (const element of open) element.to = html.length;
  return found;
}

/** The innermost element at an offset, or null. */
export function elementAt(elements: readonly SourceElement[], offset: number): SourceElement | null {
  let found: SourceElement | null = null;
  for (const element of elements) {
    if (element.from > offset) break;
    if (offset < element.to) found = element;
  }
  return found;
}
