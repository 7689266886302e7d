/** A signature of one line, for tests. */
import { Fragment, Slice, type Node } from "prosemirror-model";
import { blankSignature, build } from "../signature";

export function lineOf(...content: readonly Node[]): Node {
  const blank = blankSignature(1, 1);
  let at = 0;
  blank.descendants((node, position) => {
    if (node.type.name === "line") at = position;
  });
  return blank.replace(at, at + 2, new Slice(Fragment.from(build.line(...content)), 0, 0));
}
