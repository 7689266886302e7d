/** Makes a document another one by the smallest steps, so that selections and undo stay where they are. */
import { Fragment, Mark, Slice, type Node } from "prosemirror-model";
import { ReplaceStep, type Transform } from "prosemirror-transform";
import { alignChildren } from "../merge/align";

/** The one stretch of a line that differs is replaced. */
function becomeInline(tr: Transform, at: number, before: Node, after: Node): void {
  const start = before.content.findDiffStart(after.content);
  if (start === null) return;
  const end = before.content.findDiffEnd(after.content);
  if (!end) return;
  // Both ends may claim one letter of a run of the same ones.
  const overlapping = Math.max(0, start - Math.min(end.a, end.b));
  const slice = after.slice(start, end.b + overlapping);
  tr.step(new ReplaceStep(at + 1 + start, at + 1 + end.a + overlapping, slice));
}

/** Replaces whole children, as they stand: nothing is fitted or closed. */
const put = (tr: Transform, from: number, to: number, nodes: readonly Node[]): void => {
  if (from !== to || nodes.length > 0)
    tr.step(new ReplaceStep(from, to, new Slice(Fragment.from(nodes), 0, 0)));
};

function becomeChildren(tr: Transform, at: number, before: Node, after: Node): void {
  if (before.inlineContent) {
    becomeInline(tr, at, before, after);
    return;
  }
  const starts: number[] = [];
  before.forEach((_child, offset) => void starts.push(at + 1 + offset));
  // From the last to the first, so that what comes earlier keeps its place. What goes and comes between two that stay
  // is one step, since a cell is never without a part.
  let end = at + 1 + before.content.size;
  let start = end;
  let coming: Node[] = [];
  for (const pair of [...alignChildren(before, after)].reverse()) {
    const place = pair.before === null ? start : (starts[pair.before] ?? start);
    const old = pair.before === null ? null : before.child(pair.before);
    const current = pair.after === null ? null : after.child(pair.after);
    if (old && current) {
      put(tr, start, end, coming);
      becomeNode(tr, place, old, current);
      coming = [];
      end = place;
    } else if (current) coming.unshift(current);
    start = place;
  }
  put(tr, start, end, coming);
}

function becomeAttributes(before: Node, after: Node, set: (name: string, value: unknown) => void): void {
  for (const [name, value] of Object.entries(after.attrs))
    if (JSON.stringify(before.attrs[name]) !== JSON.stringify(value)) set(name, value);
}

function becomeNode(tr: Transform, at: number, before: Node, after: Node): void {
  if (before.eq(after)) return;
  if (!Mark.sameSet(before.marks, after.marks)) {
    put(tr, at, at + before.nodeSize, [after]);
    return;
  }
  becomeChildren(tr, at, before, after);
  becomeAttributes(before, after, (name, value) => tr.setNodeAttribute(at, name, value));
}

/** Adds the steps that make the transform's document `wanted`; none where it is already. */
export function becomeDocument<T extends Transform>(tr: T, wanted: Node): T {
  const { doc } = tr;
  becomeChildren(tr, -1, doc, wanted);
  becomeAttributes(doc, wanted, (name, value) => tr.setDocAttribute(name, value));
  return tr;
}
