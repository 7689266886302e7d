/**
 * Who gets what: whom a signature is for and what it is for, and from that which signatures are somebody's. Departments are compared
 * as they are typed, without the space around them.
 */
import { choice, list, object, tagged, text, type TypeOf } from "../values";
import type { Person } from "./fields";
import { longestField } from "./read-person";

/** The most that one signature names one by one. */
export const mostNamed = 1000;

const department = text(longestField);
const personId = text(80);

/** Whom a signature is for. Until somebody says so, it is nobody's. */
export const audience = tagged("kind", {
  nobody: {},
  everybody: {},
  /** Who is in one of the departments, and those who are named by their ids. */
  some: {
    departments: list(department, { most: mostNamed, what: "departments" }),
    people: list(personId, { most: mostNamed, what: "people" }),
  },
});
export type Audience = TypeOf<typeof audience>;

/** What a signature is for: mails that are begun, answers, or an occasion beside those. */
export const purposes = ["full", "short", "occasion"] as const;
export type Purpose = (typeof purposes)[number];

/** Whom a signature is given to, and what for. */
export const giving = object({ audience, purpose: choice(...purposes) });
export type Giving = TypeOf<typeof giving>;

export interface GivenSignature extends Giving {
  readonly id: string;
  readonly name: string;
  /** A tag of BCP 47 as its settings have it; empty where it says none. */
  readonly language: string;
}

interface KnownPerson {
  readonly id: string;
  readonly person: Pick<Person, "department">;
}

/** Sets of what audiences list; they never change. */
const sets = new WeakMap<
  object,
  { readonly departments: ReadonlySet<string>; readonly people: ReadonlySet<string> }
>();

function listed(some: Extract<Audience, { kind: "some" }>) {
  const known = sets.get(some);
  if (known) return known;
  const made = {
    departments: new Set(some.departments.map((each) => each.trim())),
    people: new Set(some.people),
  };
  sets.set(some, made);
  return made;
}

/** Why a signature is somebody's; null where it is not. */
export type Because = "everybody" | "department" | "named";

export function becauseOf(of: Audience, { id, person }: KnownPerson): Because | null {
  if (of.kind !== "some") return of.kind === "everybody" ? "everybody" : null;
  const { departments, people } = listed(of);
  if (people.has(id)) return "named";
  return departments.has(person.department.trim()) ? "department" : null;
}

/** The signatures that are somebody's, in the order that they are given in. */
export const signaturesOf = <S extends Pick<Giving, "audience">>(
  given: readonly S[],
  person: KnownPerson,
): readonly S[] => given.filter(({ audience: of }) => becauseOf(of, person) !== null);

/** What two signatures of one person must not both be; null for occasions, of which there may be several. */
const sameness = ({ purpose, language }: Pick<GivenSignature, "purpose" | "language">): string | null =>
  purpose === "occasion" ? null : `${purpose} ${language.toLowerCase()}`;

/** Those of somebody's signatures that are two or more of the same: of one purpose in one language. */
export function doubled<S extends Pick<GivenSignature, "purpose" | "language">>(
  theirs: readonly S[],
): readonly S[] {
  const counts = new Map<string, number>();
  for (const each of theirs) {
    const same = sameness(each);
    if (same !== null) counts.set(same, (counts.get(same) ?? 0) + 1);
  }
  return theirs.filter((each) => (counts.get(sameness(each) ?? "") ?? 0) > 1);
}

/** What is wrong with what somebody has: nothing for every day, or two of the same; null where it is as it should be. */
export type GivingTrouble = "none" | "twice" | null;

/** Nothing for every day is no signature, or only such as are for an occasion. */
export function troubleOf(theirs: readonly Pick<GivenSignature, "purpose" | "language">[]): GivingTrouble {
  if (theirs.every(({ purpose }) => purpose === "occasion")) return "none";
  return doubled(theirs).length > 0 ? "twice" : null;
}
