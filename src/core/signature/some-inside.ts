/** Whether anything in a node is so: asked once of each node, which never changes, so that after an edit only what is new is looked at. */
import type { Node } from "prosemirror-model";

/** Of the node itself and of the blocks in it; what stands in lines is not looked at. */
export function someInside(is: (node: Node) => boolean): (node: Node) => boolean {
  const known = new WeakMap<Node, boolean>();
  const some = (node: Node): boolean => {
    const before = known.get(node);
    if (before !== undefined) return before;
    const found = is(node) || (!node.isLeaf && !node.isTextblock && node.children.some(some));
    known.set(node, found);
    return found;
  };
  return some;
}
