/** Who gets what: whom signatures are given to, which are somebody's, and who has none or two of the same. */
import { asc, eq, isNull, sql } from "drizzle-orm";
import type { DirectoryPerson, GivingLook, ListedGiven, PersonGiven, WhoGetsWhat } from "@/contract";
import {
  becauseOf,
  doubled,
  troubleOf,
  signaturesOf,
  type Audience,
  type GivenSignature,
  type Giving,
} from "@/core/people";
import { remember } from "@/core/memory";
import { database } from "../database/database";
import { signatures } from "../database/schema";
import { findRow } from "../signatures/signatures";
import { directory } from "./directory";
import { findInDirectory } from "./find-people";
import { findPerson } from "./people";

/** The very same audience each time: what is worked out of it once is kept by its identity. */
const readAudience = remember((json: string) => JSON.parse(json) as Audience);

/** Every signature that is not deleted, with whom it is for; by name. */
export async function listGiven(): Promise<readonly GivenSignature[]> {
  const rows = await (
    await database()
  )
    .select({
      id: signatures.id,
      name: signatures.name,
      audience: signatures.audience,
      purpose: signatures.purpose,
      language: sql<string | null>`json_extract(${signatures.document}, '$.attrs.language')`,
    })
    .from(signatures)
    .where(isNull(signatures.deletedAt))
    .orderBy(asc(signatures.name));
  return rows.map(({ audience, language, ...row }) => ({
    ...row,
    audience: readAudience(audience),
    language: language ?? "",
  }));
}

/** Gives a signature to others, for something; answers with what was so before. Refuses one that is not there. */
export async function giveSignature(id: string, { audience, purpose }: Giving): Promise<Giving> {
  const before = await findRow(id);
  await (
    await database()
  )
    .update(signatures)
    .set({ audience: JSON.stringify(audience), purpose })
    .where(eq(signatures.id, id));
  return { audience: readAudience(before.audience), purpose: before.purpose };
}

/** The signatures that are somebody's, by name; none of who is not in the directory any more. */
export async function givenToPerson(personId: string): Promise<readonly GivenSignature[]> {
  const [given, of] = await Promise.all([listGiven(), findPerson(personId)]);
  return of ? signaturesOf(given, of) : [];
}

/** Everybody whom a signature is for, as they are drawn; by name. */
export async function peopleOf(signatureId: string): Promise<readonly DirectoryPerson[]> {
  const [{ audience }, { drawn }] = await Promise.all([findRow(signatureId), directory()]);
  const of = readAudience(audience);
  return drawn.filter((each) => becauseOf(of, each) !== null);
}

/** Whose details a signature is tried with: whoever it is given to, and everybody's while that is nobody. */
export async function peopleToTry(signatureId: string): Promise<readonly DirectoryPerson[]> {
  const theirs = await peopleOf(signatureId);
  return theirs.length > 0 ? theirs : (await directory()).drawn;
}

/** Whom one signature is for, by name as far as they are named, and how many that are. Refuses one that is not there. */
export async function givenOf(
  signatureId: string,
): Promise<Pick<ListedGiven, "audience" | "named" | "people">> {
  const [row, { typed, typedById }] = await Promise.all([findRow(signatureId), directory()]);
  const audience = readAudience(row.audience);
  return {
    audience,
    named: namedIn(audience, typedById),
    people: typed.filter((each) => becauseOf(audience, each) !== null).length,
  };
}

const namedIn = (of: Audience, people: ReadonlyMap<string, DirectoryPerson>): ListedGiven["named"] =>
  of.kind === "some" ? of.people.map((id) => ({ id, name: people.get(id)?.person.name ?? null })) : [];

function toGiven(given: readonly GivenSignature[], of: DirectoryPerson): PersonGiven {
  const { name, title, department } = of.person;
  const theirs = signaturesOf(given, of);
  const twice = new Set(doubled(theirs));
  return {
    ...{ id: of.id, name, title, department },
    signatures: theirs.map((each) => ({
      id: each.id,
      name: each.name,
      purpose: each.purpose,
      language: each.language,
      because: becauseOf(each.audience, of) ?? "everybody",
      twice: twice.has(each),
    })),
    trouble: troubleOf(theirs),
  };
}

/** What those of some people have who are in the directory, in the order that they are named in. */
export async function givenTo(ids: readonly string[]): Promise<readonly PersonGiven[]> {
  const [given, { typedById }] = await Promise.all([listGiven(), directory()]);
  return ids.flatMap((id) => {
    const of = typedById.get(id);
    return of ? [toGiven(given, of)] : [];
  });
}

/** All signatures with how many people each is for, and the people who are looked for. */
export async function whoGetsWhat({ shows, ...look }: GivingLook): Promise<WhoGetsWhat> {
  const [given, { typed, typedById }, found] = await Promise.all([
    listGiven(),
    directory(),
    findInDirectory(look),
  ]);
  const counts = new Map<string, number>();
  const troubles = new Map<string, PersonGiven["trouble"]>();
  for (const of of typed) {
    const theirs = signaturesOf(given, of);
    for (const { id } of theirs) counts.set(id, (counts.get(id) ?? 0) + 1);
    troubles.set(of.id, troubleOf(theirs));
  }
  const having = (trouble: PersonGiven["trouble"]): number =>
    [...troubles.values()].filter((each) => each === trouble).length;
  return {
    ...found,
    ids: found.ids.filter((id) => shows === "all" || troubles.get(id) === shows),
    signatures: given.map((each) => ({
      ...each,
      people: counts.get(each.id) ?? 0,
      named: namedIn(each.audience, typedById),
    })),
    none: having("none"),
    twice: having("twice"),
  };
}
