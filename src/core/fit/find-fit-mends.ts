/**
 * What would make the lines fit that do not, each tried with everybody for whom a line does not: narrower gaps, smaller type, two lines, a
 * wider column, and two of them where none does alone. None makes a line worse for anybody, since each only takes less room or gives more. px.
 */
import type { Node } from "prosemirror-model";
import { Transform } from "prosemirror-transform";
import type { Person } from "../people";
import { line } from "../signature";
import { designSize } from "./design-sizes";
import { drawnLines } from "./drawn-lines";
import { applyFitMends, type FitMend } from "./fit-mend";
import type { Fit, TightLine } from "./fit-of";
import { roomsIn } from "./rooms";
import { searchMends } from "./search-mends";
import { worstFirst } from "./strain";

export interface Tried {
  readonly person: Person;
  readonly fit: Fit;
}

export interface FitChoice {
  /** One, or two that are carried out together. */
  readonly mends: readonly FitMend[];
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
  const found = searchMends({ document, position, block, room, people: tight.map(({ person }) => person) });
  const before = designSize(document, other.person);
  return found.map(({ mends, fits }) => {
    const after = designSize(applyFitMends(new Transform(document), mends).doc, other.person);
    return { mends, fits, higher: after.height - before.height, wider: after.width - before.width };
  });
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
