/**
 * Going through a tree without recursion, so that no depth of nesting overflows the stack. Parents come before their
 * children; what a visit detaches, or moves elsewhere, is not entered.
 */
import { isElement, type ChildNode, type Element, type ParentNode } from "./tree";

export interface Visitor {
  readonly enter: (node: ChildNode, parent: ParentNode) => void;
  /** Called for elements once all that is in them has been visited. */
  readonly leave?: (element: Element) => void;
}

interface Level {
  readonly parent: ParentNode;
  /** As the children were when the parent was entered. */
  readonly children: readonly ChildNode[];
  next: number;
}

const levelOf = (parent: ParentNode): Level => ({ parent, children: [...parent.childNodes], next: 0 });

/** Visits every node below a parent, depth first. */
export function visitNodes(root: ParentNode, { enter, leave }: Visitor): void {
  const levels: Level[] = [levelOf(root)];
  for (let level = levels.at(-1); level; level = levels.at(-1)) {
    const node = level.children[level.next++];
    if (node === undefined) {
      levels.pop();
      if (level.parent !== root && "tagName" in level.parent) leave?.(level.parent);
      continue;
    }
    if (node.parentNode !== level.parent) continue;
    enter(node, level.parent);
    if (isElement(node) && node.parentNode === level.parent) levels.push(levelOf(node));
  }
}

/** Every node below a parent, in document order. */
export function nodesIn(root: ParentNode): readonly ChildNode[] {
  const found: ChildNode[] = [];
  visitNodes(root, { enter: (node) => found.push(node) });
  return found;
}

export const elementsIn = (root: ParentNode): readonly Element[] => nodesIn(root).filter(isElement);

/** Visits every element below a node, parents first. */
export const walkElements = (root: ParentNode, visit: (element: Element) => void): void =>
  visitNodes(root, {
    enter: (node) => {
      if (isElement(node)) visit(node);
    },
  });

/** Visits every text and comment below a node. */
export const walkLeaves = (root: ParentNode, visit: (node: ChildNode, parent: ParentNode) => void): void =>
  visitNodes(root, {
    enter: (node, parent) => {
      if (!isElement(node)) visit(node, parent);
    },
  });
