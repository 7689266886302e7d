/** Copying a tree, so that each of several transforms has one of its own. */
import { isElement, type ChildNode, type Element, type ParentNode } from "./tree";

/** A node without what is in it; its attributes are the copy's own. */
const copyOf = (node: ChildNode, parentNode: ParentNode | null): ChildNode =>
  isElement(node)
    ? {
        nodeName: node.nodeName,
        tagName: node.tagName,
        attrs: node.attrs.map(({ name, value }) => ({ name, value })),
        namespaceURI: node.namespaceURI,
        childNodes: [],
        parentNode,
      }
    : { ...node, parentNode };

interface Level {
  readonly from: Element;
  readonly to: Element;
  next: number;
}

/** A deep copy of an element, without a parent; `copied` hears of each element in it, in document order. */
export function copyTree(root: Element, copied?: (copy: Element) => void): Element {
  const top = copyOf(root, null) as Element;
  const levels: Level[] = [{ from: root, to: top, next: 0 }];
  for (let level = levels.at(-1); level; level = levels.at(-1)) {
    const child = level.from.childNodes[level.next++];
    if (child === undefined) {
      levels.pop();
      continue;
    }
    const copy = copyOf(child, level.to);
    level.to.childNodes.push(copy);
    if (!isElement(child) || !isElement(copy)) continue;
    copied?.(copy);
    levels.push({ from: child, to: copy, next: 0 });
  }
  return top;
}
