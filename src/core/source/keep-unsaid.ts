/**
 * A document after its HTML was changed by hand. HTML says most of a document, and never all: fields of the directory are
 * words in it, what shows nothing is not there. So a change is read as the difference of two readings of HTML, before and
 * after it, and carried over to the document that the HTML was made from; all else stays as it was there.
 */
import { Fragment, type Mark, type Node } from "prosemirror-model";
import { pairChildren, type Worth } from "../importing";
import type { Person } from "../people";
import { alignChildren, fieldText, personField } from "../signature";
import { wholeWordAt, append } from "../values";
import { drawnWords } from "./drawn-words";

const same = (one: unknown, other: unknown): boolean => JSON.stringify(one) === JSON.stringify(other);

/** Attributes as the document has them, but for those that the change made others. */
function changedAttributes(own: Node, before: Node, after: Node): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(after.attrs).map(([name, value]) => [
      name,
      same(before.attrs[name], value) ? own.attrs[name] : value,
    ]),
  );
}

/** Children of the document, beside those of its HTML that they read as; both in order. */
interface Unit {
  readonly own: readonly Node[];
  /** Indexes of the HTML's children: from one to behind the last one. */
  readonly from: number;
  readonly to: number;
  /** Of the document alone, behind this one: what shows nothing. */
  readonly unsaid: readonly Node[];
  /** Whether one child reads as one. */
  readonly single: boolean;
}

/** How alike two parts of one kind are by their words; those without any are by their kind. */
export const byWords =
  (person: Person | null): Worth =>
  (own, read) => {
    const [one, other] = [drawnWords(own, person), drawnWords(read, person)];
    if (one === other) return 2;
    // A line whose words are others is another line; what holds lines may differ in one of them.
    return own.isTextblock || one === "" || other === "" ? 0 : 1;
  };

function unitsOf(own: Node, before: Node, worth: Worth): { leading: readonly Node[]; units: Unit[] } {
  const units: Unit[] = [];
  let leading: readonly Node[] = [];
  let [ownAt, readAt] = [0, 0];
  const between = (ownTo: number, readTo: number): void => {
    const apart = own.children.slice(ownAt, ownTo);
    if (readTo > readAt) units.push({ own: apart, from: readAt, to: readTo, unsaid: [], single: false });
    else if (apart.length > 0) {
      const last = units.pop();
      if (last) units.push({ ...last, unsaid: [...last.unsaid, ...apart] });
      else leading = apart;
    }
  };
  for (const [ownIndex, readIndex] of pairChildren(own, before, worth)) {
    between(ownIndex, readIndex);
    units.push({
      own: [own.child(ownIndex)],
      from: readIndex,
      to: readIndex + 1,
      unsaid: [],
      single: true,
    });
    [ownAt, readAt] = [ownIndex + 1, readIndex + 1];
  }
  between(own.childCount, before.childCount);
  return { leading, units };
}

function keepChildren(own: Node, before: Node, after: Node, person: Person | null): readonly Node[] {
  const { leading, units } = unitsOf(own, before, byWords(person));
  const pairs = alignChildren(before, after);
  const becomes = new Map(pairs.map((pair) => [pair.before, pair.after]));
  const unitAt = new Map<number, Unit>();
  for (const unit of units) for (let at = unit.from; at < unit.to; at++) unitAt.set(at, unit);
  /** Whether all that a unit reads as is still there, side by side. */
  const stays = ({ from, to }: Unit): boolean => {
    const first = becomes.get(from) ?? null;
    for (let at = from; at < to; at++) {
      const now = becomes.get(at) ?? null;
      if (first === null || now !== first + at - from || !before.child(at).eq(after.child(now))) return false;
    }
    return true;
  };
  const kept: Node[] = [...leading];
  for (const pair of pairs) {
    const current = pair.after === null ? null : after.child(pair.after);
    if (pair.before === null) {
      if (!current) continue;
      // A copy of something has what that has.
      const source = before.children.findIndex((child) => child.eq(current));
      const unit = unitAt.get(source);
      kept.push((unit?.single && unit.own[0]) || current);
      continue;
    }
    const unit = unitAt.get(pair.before);
    if (!unit) continue;
    const [only] = unit.own;
    if (unit.single && only && current)
      kept.push(keepUnsaid(only, before.child(pair.before), current, person));
    else if (!unit.single && stays(unit)) {
      if (pair.before === unit.from) append(kept, unit.own);
    } else if (current) kept.push(current);
    if (pair.before === unit.to - 1) append(kept, unit.unsaid);
  }
  return kept;
}

/** A line as text: each of its nodes that is no text is one character, so that places are the document's own. */
const flat = (line: Node): string =>
  line.children.map((child) => child.text ?? "\ufffc".repeat(child.nodeSize)).join("");

function findWhole(text: string, value: string, from: number): number {
  for (let at = text.indexOf(value, from); at >= 0; at = text.indexOf(value, at + 1))
    if (wholeWordAt(text, at, at + value.length)) return at;
  return -1;
}

const marksAt = (line: Node, at: number): readonly Mark[] => line.nodeAt(at)?.marks ?? [];

/** Marks as the document has them, but for those that the change made others. */
function changedMarks(
  own: readonly Mark[],
  before: readonly Mark[],
  after: readonly Mark[],
): readonly Mark[] {
  const markIn = (marks: readonly Mark[], name: string): Mark | undefined =>
    marks.find(({ type }) => type.name === name);
  const names = new Set([...own, ...before, ...after].map(({ type }) => type.name));
  return [...names].reduce<readonly Mark[]>((set, name) => {
    const [was, is] = [markIn(before, name), markIn(after, name)];
    const unchanged = was && is ? was.eq(is) : was === is;
    const mark = unchanged ? markIn(own, name) : is;
    return mark ? mark.addToSet(set) : set;
  }, []);
}

/** A line that was changed, with its fields where their values still stand. */
function keepLine(own: Node, before: Node, after: Node, person: Person | null): Fragment {
  const [was, is] = [flat(before), flat(after)];
  let content = Fragment.empty;
  let copied = 0;
  let [wasAt, isAt] = [0, 0];
  let unsaid: Node[] = [];
  for (const child of own.children) {
    if (!personField.is(child)) continue;
    const shown = fieldText(child, person);
    // What shows nothing stays behind what it stood behind.
    if (shown === "") {
      unsaid.push(child);
      continue;
    }
    const value = [shown, shown.toUpperCase()].find((written) => findWhole(was, written, wasAt) >= 0);
    if (value === undefined) continue;
    const stood = findWhole(was, value, wasAt);
    const stands = findWhole(is, value, isAt);
    wasAt = stood + value.length;
    if (stands < 0) continue;
    isAt = stands + value.length;
    content = content
      .append(after.content.cut(copied, stands))
      .append(Fragment.from(unsaid))
      .addToEnd(child.mark(changedMarks(child.marks, marksAt(before, stood), marksAt(after, stands))));
    copied = isAt;
    unsaid = [];
  }
  return content.append(after.content.cut(copied)).append(Fragment.from(unsaid));
}

/**
 * What a part of a document becomes when its HTML, which read as `before`, reads as `after`; `person` is whose details the HTML
 * shows. The very same part where nothing changed.
 */
export function keepUnsaid(own: Node, before: Node, after: Node, person: Person | null): Node {
  if (before.eq(after)) return own;
  if (own.type !== before.type || before.type !== after.type) return after;
  const content = own.isTextblock
    ? keepLine(own, before, after, person)
    : Fragment.from(keepChildren(own, before, after, person));
  return own.type.create(changedAttributes(own, before, after), content, own.marks);
}
