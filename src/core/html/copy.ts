/** Copying a tree, so that each of several transforms has one of its own. */
import { isElement, isText, type ChildNode, type Element, type ParentNode } from "./tree";

/** A node without what is in it; its attributes are the copy's own. */
const copyOf = (node: ChildNode, parentNode: ParentNode | null): ChildNode =>
  isElement(node)
    ? { ...node, attrs: node.attrs.map((attribute) => ({ ...attribute })), childNodes: [], parentNode }
    : isText(node)
      ? { ...node, parentNode }
      : { ...node, parentNode };

/** A deep copy of an element, without a parent; `copied` hears of each element in it, parents first. */
export function copyTree(root: Element, copied?: (copy: Element, original: Element) => void): Element {
  const top = copyOf(root, null) as Element;
  copied?.(top, root);
  const waiting: { readonly from: Element; readonly to: Element }[] = [{ from: root, to: top }];
  for (let pair = waiting.pop(); pair; pair = waiting.pop()) {
    for (const child of pair.from.childNodes) {
      const copy = copyOf(child, pair.to);
      pair.to.childNodes.push(copy);
      if (!isElement(child) || !isElement(copy)) continue;
      copied?.(copy, child);
      waiting.push({ from: child, to: copy });
    }
  }
  return top;
}
