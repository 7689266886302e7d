/**
 * What would make the lines fit that do not, each tried with everybody for whom a line does not: narrower gaps, smaller type, two lines, a
 * wider column. None makes a line worse for anybody, since each only takes less room or gives more. px.
 */
import type { Node } from "prosemirror-model";
import { Transform } from "prosemirror-transform";
import type { Person } from "../people";
import { line, outerTable, settingsOf, tableMap } from "../signature";
import { largest } from "../values";
import { breakLine } from "./break-line";
import { designSize } from "./design-sizes";
import { drawnLines, linesAt, widthOf, type DrawnLine } from "./drawn-lines";
import { applyFitMend, type FitMend } from "./fit-mend";
import type { Fit, TightLine } from "./fit-of";
import { narrowings, partings, shrinkings } from "./possible-mends";
import { roomsIn } from "./rooms";
import { worstFirst } from "./strain";

export interface Tried {
  readonly person: Person;
  readonly fit: Fit;
}

export interface FitChoice {
  readonly mend: FitMend;
  /** For how many of those for whom the line does not fit it does then. */
  readonly fits: number;
  /** How much higher the signature is then for those for whom it fitted, and how much wider. */
  readonly higher: number;
  readonly wider: number;
}

/** A line that does not fit for some. */
export interface TightBlock<P> {
  readonly position: number;
  /** Those for whom it does not, whose details strain it most first. */
  readonly people: readonly P[];
  /** What it says of the first of them. */
  readonly worst: TightLine;
  /** Those that make it fit for most first; of equals, what changes least. */
  readonly choices: readonly FitChoice[];
}

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

/** The document once a mend is carried out in it. */
const mended = (document: Node, mend: FitMend): Node => applyFitMend(new Transform(document), mend).doc;

/** The lines that a mend leaves of one: two where it is parted. */
function linesAfter(document: Node, { kind, position }: FitMend, person: Person): readonly DrawnLine[] {
  const lines = linesAt(document, position, person);
  if (kind !== "part-line") return lines;
  const next = position + (document.nodeAt(position)?.nodeSize ?? 0);
  return [...lines, ...linesAt(document, next, person)];
}

interface Outcome {
  readonly fits: number;
  /** The widest line of anybody; px. */
  readonly widest: number;
}

/** For how many of those for whom a line does not fit it does once it is mended. */
function outcomeOf(document: Node, mend: FitMend, people: readonly Tried[]): Outcome {
  const after = mended(document, mend);
  const room = roomsIn(after).get(mend.position) ?? 0;
  let fits = 0;
  let widest = 0;
  for (const { person } of people) {
    const lines = linesAfter(after, mend, person);
    widest = largest([...lines.map(widthOf), widest]);
    const all = lines.every((each) => {
      const { lines: into, over } = breakLine(each, room);
      return into === 1 && over === 0;
    });
    if (all) fits++;
  }
  return { fits, widest };
}

interface Found {
  readonly mend: FitMend;
  readonly fits: number;
}

/** Of mends from the mildest to the strongest, the mildest that makes a line fit for as many as the strongest does. */
function mildestOf(document: Node, mends: readonly FitMend[], people: readonly Tried[]): readonly Found[] {
  const fitsAt = (index: number): number => {
    const mend = mends[index];
    return mend ? outcomeOf(document, mend, people).fits : 0;
  };
  let enough = mends.length - 1;
  const fits = fitsAt(enough);
  if (fits === 0) return [];
  for (let least = 0; least < enough;) {
    const middle = Math.floor((least + enough) / 2);
    if (fitsAt(middle) === fits) enough = middle;
    else least = middle + 1;
  }
  const mend = mends[enough];
  return mend ? [{ mend, fits }] : [];
}

/** Of places to part a line, the one that makes it fit for most, and of equals the one that leaves its lines shortest. */
function bestParting(document: Node, mends: readonly FitMend[], people: readonly Tried[]): readonly Found[] {
  return mends
    .map((mend) => ({ mend, ...outcomeOf(document, mend, people) }))
    .filter(({ fits }) => fits > 0)
    .sort((one, other) => other.fits - one.fits || one.widest - other.widest)
    .slice(0, 1);
}

/** A column as wide as most need it, as far as the signature may be that wide. */
function widening(
  document: Node,
  position: number,
  room: number,
  people: readonly Tried[],
): readonly FitMend[] {
  const most = settingsOf(document).maxWidth - tableMap(outerTable(document)).width;
  const needed = people.map(({ person }) =>
    Math.ceil(largest(linesAt(document, position, person).map(widthOf), 0) - room),
  );
  const by = largest(
    needed.filter((each) => each > 0 && each <= most),
    0,
  );
  return by > 0 ? [{ kind: "widen-column", position, by }] : [];
}

/** Somebody for whom a line fits, or where there is nobody whoever it strains least. */
const someoneElse = <P extends Tried>(
  document: Node,
  position: number,
  everybody: readonly P[],
  tight: readonly P[],
): P | undefined =>
  everybody.find(
    ({ person, fit }) =>
      !fit.tight.some((each) => each.position === position) &&
      drawnLines(document, person).some((each) => each.position === position),
  ) ?? tight.at(-1);

function choicesFor<P extends Tried>(
  document: Node,
  position: number,
  everybody: readonly P[],
  tight: readonly P[],
): readonly FitChoice[] {
  const block = document.nodeAt(position);
  const room = roomsIn(document).get(position);
  const other = someoneElse(document, position, everybody, tight);
  // The label of a button is as wide as the button.
  if (!block || !line.is(block) || room === undefined || !other) return [];
  const found = [
    ...mildestOf(document, narrowings(position, block), tight),
    ...mildestOf(document, shrinkings(position, block, document), tight),
    ...bestParting(document, partings(position, block), tight),
    ...mildestOf(document, widening(document, position, room, tight), tight),
  ];
  const before = designSize(document, other.person);
  return found
    .map(({ mend, fits }) => {
      const after = designSize(mended(document, mend), other.person);
      return { mend, fits, higher: after.height - before.height, wider: after.width - before.width };
    })
    .sort((one, next) => next.fits - one.fits || changeOf(one.mend) - changeOf(next.mend));
}

/** The lines that do not fit for some of those who were tried, those that do not for most first, and what would mend each. */
export function findFitMends<P extends Tried>(
  document: Node,
  everybody: readonly P[],
): readonly TightBlock<P>[] {
  const byPosition = new Map<number, P[]>();
  for (const each of everybody)
    for (const position of new Set(each.fit.tight.map((tight) => tight.position))) {
      const others = byPosition.get(position);
      if (others) others.push(each);
      else byPosition.set(position, [each]);
    }
  return [...byPosition]
    .flatMap(([position, tight]) => {
      const people = [...tight].sort((one, other) => worstFirst(one.fit, other.fit));
      const worst = people[0]?.fit.tight.find((each) => each.position === position);
      if (!worst) return [];
      return [{ position, people, worst, choices: choicesFor(document, position, everybody, people) }];
    })
    .sort((one, other) => other.people.length - one.people.length || one.position - other.position);
}
