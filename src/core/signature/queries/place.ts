/** Saying where in a document something is: "row 2, cell 1, picture". */
import type { Node } from "prosemirror-model";
import { kindOf } from "../schema";

/** Rows and cells are always counted; other parts only where their parent holds several of them. */
const alwaysCounted = new Set(["row", "cell"]);

/** One step down to a child, given the words of all its siblings: "row 2", "line 3", "picture". */
export function placeStep(words: readonly string[], index: number): string {
  const word = words[index];
  if (word === undefined) throw new RangeError(`No part ${index + 1} (there are ${words.length})`);
  const same = words.filter((other) => other === word).length;
  if (same === 1 && !alwaysCounted.has(word)) return word;
  return `${word} ${words.slice(0, index + 1).filter((other) => other === word).length}`;
}

/** The words of a node's children, in order. */
export const wordsIn = (parent: Node): readonly string[] =>
  parent.content.content.map((child) => kindOf(child.type.name).word);

/** The place of a position in a document, from the outer table down; "signature" for the whole. */
export function placeOf(document: Node, position: number): string {
  const resolved = document.resolve(position);
  const steps: string[] = [];
  for (let depth = 2; depth <= resolved.depth; depth++)
    steps.push(placeStep(wordsIn(resolved.node(depth - 1)), resolved.index(depth - 1)));
  const after = resolved.nodeAfter;
  if (after && !after.isText && resolved.depth > 0)
    steps.push(placeStep(wordsIn(resolved.parent), resolved.index()));
  return steps.join(", ") || "signature";
}
