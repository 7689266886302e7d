/**
 * Two documents that were both made from a third, merged by node: what one of them left alone is taken from the other.
 * Lines, marks and single attributes are the smallest things; where both changed one of those, they overlap.
 */
import { append } from "../../values";
import { Fragment, Mark, type Attrs, type Node } from "prosemirror-model";
import { readSignature } from "../validate";
import { alignChildren } from "./align";

export type Merged = { readonly kind: "merged"; readonly document: Node } | { readonly kind: "overlap" };

/** What both sides changed, each in its own way. */
const overlap = Symbol("overlap");
type Overlap = typeof overlap;

const same = (one: unknown, other: unknown): boolean => JSON.stringify(one) === JSON.stringify(other);

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/** A value with parts, such as the padding of four sides, is merged part by part. */
function mergeValue(base: unknown, mine: unknown, theirs: unknown): unknown {
  if (same(mine, theirs) || same(base, theirs)) return mine;
  if (same(base, mine)) return theirs;
  if (!isRecord(base) || !isRecord(mine) || !isRecord(theirs)) return overlap;
  const names = Object.keys(base);
  if (!same(names.sort(), Object.keys(mine).sort()) || !same(names, Object.keys(theirs).sort()))
    return overlap;
  return mergeRecord(base, mine, theirs);
}

function mergeRecord(base: Attrs, mine: Attrs, theirs: Attrs): Attrs | Overlap {
  const merged: Record<string, unknown> = {};
  for (const name of Object.keys(base)) {
    const value = mergeValue(base[name], mine[name], theirs[name]);
    if (value === overlap) return overlap;
    merged[name] = value;
  }
  return merged;
}

function mergeMarks(base: Node, mine: Node, theirs: Node): readonly Mark[] | Overlap {
  if (Mark.sameSet(mine.marks, theirs.marks) || Mark.sameSet(base.marks, theirs.marks)) return mine.marks;
  return Mark.sameSet(base.marks, mine.marks) ? theirs.marks : overlap;
}

/** What one side made of the children: what stands before each old one, and what each became; null where it went. */
interface Changes {
  /** One more than there are old children: the last is what stands after all of them. */
  readonly before: readonly (readonly Node[])[];
  readonly became: readonly (Node | null)[];
}

function changesOf(base: Node, side: Node): Changes {
  const before: Node[][] = [[]];
  const became: (Node | null)[] = [];
  for (const pair of alignChildren(base, side)) {
    const after = pair.after === null ? null : side.child(pair.after);
    if (pair.before === null) {
      if (after) before.at(-1)?.push(after);
    } else {
      became.push(after);
      before.push([]);
    }
  }
  return { before, became };
}

const sameNodes = (one: readonly Node[], other: readonly Node[]): boolean =>
  one.length === other.length && one.every((node, index) => node.eq(other[index] as Node));

/** What stands in one gap: from the side that put something there, or once where both put in the same. */
function mergeGap(mine: readonly Node[], theirs: readonly Node[]): readonly Node[] | Overlap {
  if (mine.length === 0 || sameNodes(mine, theirs)) return theirs;
  return theirs.length === 0 ? mine : overlap;
}

function mergeChild(base: Node, mine: Node | null, theirs: Node | null): readonly Node[] | Overlap {
  if (mine && theirs) {
    const merged = mergeNode(base, mine, theirs);
    return merged === overlap ? overlap : [merged];
  }
  const left = mine ?? theirs;
  // Gone on one side and changed on the other: one of the two would be lost unseen.
  return left && !left.eq(base) ? overlap : [];
}

function mergeChildren(base: Node, mine: Node, theirs: Node): Fragment | Overlap {
  if (mine.content.eq(theirs.content) || base.content.eq(theirs.content)) return mine.content;
  if (base.content.eq(mine.content)) return theirs.content;
  if (base.inlineContent) return overlap;
  const [ours, others] = [changesOf(base, mine), changesOf(base, theirs)];
  const merged: Node[] = [];
  for (let index = 0; index <= base.childCount; index++) {
    const gap = mergeGap(ours.before[index] ?? [], others.before[index] ?? []);
    if (gap === overlap) return overlap;
    append(merged, gap);
    if (index === base.childCount) break;
    const child = mergeChild(base.child(index), ours.became[index] ?? null, others.became[index] ?? null);
    if (child === overlap) return overlap;
    append(merged, child);
  }
  return Fragment.from(merged);
}

function mergeNode(base: Node, mine: Node, theirs: Node): Node | Overlap {
  if (mine.eq(theirs) || base.eq(theirs)) return mine;
  if (base.eq(mine)) return theirs;
  const attributes = mergeRecord(base.attrs, mine.attrs, theirs.attrs);
  const marks = mergeMarks(base, mine, theirs);
  const children = mergeChildren(base, mine, theirs);
  if (attributes === overlap || marks === overlap || children === overlap) return overlap;
  return base.type.create(attributes, children, marks);
}

/**
 * Merges two documents that were made from `base`. Where nothing overlaps it does not matter which of the two comes
 * first, and the result is what both edits make one after the other. Both that change one line, attribute or place,
 * or that do not make a valid document together, overlap.
 */
export function mergeSignatures(base: Node, mine: Node, theirs: Node): Merged {
  const merged = mergeNode(base, mine, theirs);
  if (merged === overlap) return { kind: "overlap" };
  const read = readSignature(merged.toJSON());
  return read.ok ? { kind: "merged", document: merged } : { kind: "overlap" };
}
