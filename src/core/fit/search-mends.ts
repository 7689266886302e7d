/**
 * Of all that may be tried of a line, what makes it fit for most: of each kind the mildest that helps as many as the strongest does, and where
 * none helps everybody two kinds together. Costs grow with the people for whom the line does not fit. px.
 */
import type { Node } from "prosemirror-model";
import { Transform } from "prosemirror-transform";
import type { Person } from "../people";
import { outerTable, settingsOf, tableMap } from "../signature";
import { largest } from "../values";
import { breakLine } from "./break-line";
import { linesAt, widthOf, type DrawnLine } from "./drawn-lines";
import { applyFitMends, type FitMend } from "./fit-mend";
import { narrowings, partings, shrinkings } from "./possible-mends";
import { roomsIn } from "./rooms";

/** A line of text, and those for whom it does not fit. */
export interface LineToMend {
  readonly document: Node;
  readonly position: number;
  readonly block: Node;
  readonly room: number;
  readonly people: readonly Person[];
}

export interface FoundMends {
  readonly mends: readonly FitMend[];
  /** For how many of them it fits then. */
  readonly fits: number;
}

type Kind = FitMend["kind"];

/** In the order in which they are tried; a column is widened by what the others leave to be wished for. */
const kinds: readonly Kind[] = ["narrow-separators", "shrink-type", "part-line", "widen-column"];

/** So many pairs are offered. */
const mostPairs = 2;

/** What changes least comes first: two lines are nearer to what was meant than type that is much smaller. */
function changeOf(mend: FitMend): number {
  switch (mend.kind) {
    case "narrow-separators":
      return 0;
    case "shrink-type":
      return mend.by > 1 ? 3 : 1;
    case "part-line":
      return 2;
    case "widen-column":
      return 4;
  }
}

const allChangesOf = ({ mends }: FoundMends): number =>
  mends.map(changeOf).reduce((sum, each) => sum + each, 0);

const mostFirst = (one: FoundMends, other: FoundMends): number =>
  other.fits - one.fits || allChangesOf(one) - allChangesOf(other);

/** Parting moves what comes after it in the document, and is the last. */
const inOrder = (mends: readonly FitMend[]): readonly FitMend[] =>
  [...mends].sort((one, other) => Number(one.kind === "part-line") - Number(other.kind === "part-line"));

/** The line once mends are carried out: two where it is parted. */
class MendedLine {
  readonly room: number;
  readonly #document: Node;
  readonly #positions: readonly number[];

  constructor({ document, position }: LineToMend, mends: readonly FitMend[]) {
    this.#document = applyFitMends(new Transform(document), inOrder(mends)).doc;
    const next = position + (this.#document.nodeAt(position)?.nodeSize ?? 0);
    this.#positions = mends.some(({ kind }) => kind === "part-line") ? [position, next] : [position];
    this.room = roomsIn(this.#document).get(position) ?? 0;
  }

  linesFor(person: Person): readonly DrawnLine[] {
    return this.#positions.flatMap((position) => linesAt(this.#document, position, person));
  }

  fits(person: Person): boolean {
    return this.linesFor(person).every((each) => {
      const { lines, over } = breakLine(each, this.room);
      return lines === 1 && over === 0;
    });
  }

  /** px. */
  widestFor(person: Person): number {
    return largest(this.linesFor(person).map(widthOf), 0);
  }
}

const fitsWith = (line: LineToMend, mends: readonly FitMend[]): number => {
  const mended = new MendedLine(line, mends);
  return line.people.filter((person) => mended.fits(person)).length;
};

/** A mend, and for how many the line fits with it and with what it was tried beside. */
interface Best {
  readonly mend: FitMend;
  readonly fits: number;
}

/** Of mends from the mildest to the strongest, the mildest that helps as many as the strongest does. */
function mildestOf(line: LineToMend, mends: readonly FitMend[], beside: readonly FitMend[]): Best | null {
  const strongest = mends.at(-1);
  if (!strongest) return null;
  const fits = fitsWith(line, [...beside, strongest]);
  let enough = mends.length - 1;
  for (let least = 0; least < enough;) {
    const middle = Math.floor((least + enough) / 2);
    const mend = mends[middle];
    if (mend && fitsWith(line, [...beside, mend]) === fits) enough = middle;
    else least = middle + 1;
  }
  return { mend: mends[enough] ?? strongest, fits };
}

/** Of places to part a line, the one that makes it fit for most, and of equals the one that leaves its lines shortest. */
function bestParting(line: LineToMend, beside: readonly FitMend[]): Best | null {
  const [best] = partings(line.position, line.block)
    .map((mend) => {
      const mended = new MendedLine(line, [...beside, mend]);
      const widest = largest(
        line.people.map((person) => mended.widestFor(person)),
        0,
      );
      return { mend, widest, fits: line.people.filter((person) => mended.fits(person)).length };
    })
    .sort((one, other) => other.fits - one.fits || one.widest - other.widest);
  return best ?? null;
}

/** A column as wide as most need it, as far as the signature may be that wide. */
function widening(line: LineToMend, beside: readonly FitMend[]): Best | null {
  const { document, position } = line;
  const most = settingsOf(document).maxWidth - tableMap(outerTable(document)).width;
  const mended = new MendedLine(line, beside);
  const needed = line.people.map((person) => Math.ceil(mended.widestFor(person) - mended.room));
  const by = largest(
    needed.filter((each) => each > 0 && each <= most),
    0,
  );
  if (by === 0) return null;
  const mend: FitMend = { kind: "widen-column", position, by };
  return { mend, fits: fitsWith(line, [...beside, mend]) };
}

const ladders = {
  "narrow-separators": ({ position, block }: LineToMend) => narrowings(position, block),
  "shrink-type": ({ position, block, document }: LineToMend) => shrinkings(position, block, document),
} as const;

/** The best mend of a kind, beside others that are done as well. */
function bestOf(line: LineToMend, kind: Kind, beside: readonly FitMend[]): Best | null {
  switch (kind) {
    case "part-line":
      return bestParting(line, beside);
    case "widen-column":
      return widening(line, beside);
    default:
      return mildestOf(line, ladders[kind](line), beside);
  }
}

/** What a second kind is tried beside: all that a first can do. */
const strongest = (line: LineToMend, kind: Kind): FitMend | undefined =>
  kind === "part-line" || kind === "widen-column" ? bestOf(line, kind, [])?.mend : ladders[kind](line).at(-1);

function pairOf(line: LineToMend, one: Kind, other: Kind): FoundMends | null {
  const most = strongest(line, one);
  const second = most && bestOf(line, other, [most]);
  // With the second beside it the first may be milder.
  const first = second && bestOf(line, one, [second.mend]);
  return first ? { mends: inOrder([first.mend, second.mend]), fits: first.fits } : null;
}

/** Those that make it fit for most first, and of equals what changes least; none that helps nobody. */
export function searchMends(line: LineToMend): readonly FoundMends[] {
  const single = kinds
    .flatMap((kind) => bestOf(line, kind, []) ?? [])
    .filter(({ fits }) => fits > 0)
    .map(({ mend, fits }) => ({ mends: [mend], fits }));
  const best = largest(
    single.map(({ fits }) => fits),
    0,
  );
  if (best === line.people.length) return single.sort(mostFirst);
  const pairs = kinds
    .flatMap((one, index) => kinds.slice(index + 1).map((other) => pairOf(line, one, other)))
    .flatMap((pair) => (pair && pair.fits > best ? [pair] : []))
    .sort(mostFirst)
    .slice(0, mostPairs);
  return [...pairs, ...single].sort(mostFirst);
}
