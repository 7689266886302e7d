/** What may be tried of a line so that it takes less room, from the mildest to the strongest, whoever it is for. px. */
import type { Node } from "prosemirror-model";
import { hasWords, personField, separator, settingsOf, textLook } from "../signature";
import { largest, smallestRead } from "../values";
import type { FitMend } from "./fit-mend";

/** Narrower than this, two things on a line are read as one. */
const leastGap = 3;
/** Type that is made smaller keeps so much of its size, so that a name is still a name. */
const leastShare = 0.75;

/** From the widest gap that narrows any to the least, px by px. */
export function narrowings(position: number, block: Node): readonly FitMend[] {
  const widestGap = largest(
    block.children.filter(separator.is).flatMap((node) => {
      const { gap, gapBefore } = separator.of(node);
      return [gap, gapBefore ?? 0];
    }),
    0,
  );
  const found: FitMend[] = [];
  for (let gap = Math.ceil(widestGap) - 1; gap >= leastGap; gap--)
    found.push({ kind: "narrow-separators", position, gap });
  return found;
}

/** From one px smaller to the smallest that can be read. */
export function shrinkings(position: number, block: Node, document: Node): readonly FitMend[] {
  const settings = settingsOf(document);
  const sizes = block.children
    .filter((node) => node.isText || personField.is(node))
    .map(({ marks }) => textLook(marks, settings).size);
  const found: FitMend[] = [];
  for (let by = 1; sizes.every((size) => size - by >= Math.max(smallestRead, leastShare * size)); by++)
    found.push({ kind: "shrink-type", position, by });
  return found;
}

/** Where a line may be parted: at what only keeps two things apart. */
export function partings(position: number, block: Node): readonly FitMend[] {
  const found: FitMend[] = [];
  block.forEach((node, offset, index) => {
    const parts =
      separator.is(node) || (node.isText && !hasWords(node.text ?? "") && /\s/.test(node.text ?? ""));
    if (!parts || index === 0 || index === block.childCount - 1) return;
    const from = position + 1 + offset;
    found.push({ kind: "part-line", position, from, to: from + node.nodeSize });
  });
  return found;
}
