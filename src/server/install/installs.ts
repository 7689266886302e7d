/** Installs: recorded with all that they were made of, and set beside what their signatures are now. */
import { randomUUID } from "node:crypto";
import { and, desc, eq, inArray, isNull, type SQL } from "drizzle-orm";
import type { Node } from "prosemirror-model";
import type { ComparedInstall, Install } from "@/contract";
import type { Finding } from "@/core/checks";
import { readDocument } from "../signatures/read-document";
import { compile } from "@/core/compile";
import { toLookAt, whatChanged, type ToLookAt, type Told } from "@/core/install";
import type { InstallForm, InstallUse, KitKind } from "@/core/install-kinds";
import { readPerson, type Person } from "@/core/people";
import { hasShortForm, parseSignature, shortForm } from "@/core/signature";
import { publicBase } from "../addresses/public-address";
import { database } from "../database/database";
import { installs, signatures } from "../database/schema";
import { notFound, Refusal } from "../http/refusal";
import { directory } from "../people/directory";
import { allWithOwnPictures, withOwnPictures } from "../people/own-pictures";
import { findDetails } from "../people/people";
import { findSignature, type StoredSignature } from "../signatures/signatures";
import { lastArrivals, sightingsOf } from "./sightings";

type InstallRow = typeof installs.$inferSelect;

export interface NewInstall {
  readonly revision: number;
  readonly form: InstallForm;
  readonly kind: KitKind;
  readonly account: string;
  readonly use: InstallUse;
  readonly by: string;
  readonly note: string;
}

const formOf = (document: Node, form: InstallForm): Node =>
  form === "short" && hasShortForm(document) ? shortForm(document) : document;

/** What a signature is made of now, for a person. Refuses one that was changed since the revision that was installed. */
async function madeOf(
  { document, revision: current }: StoredSignature,
  personId: string | null,
  revision: number,
) {
  if (current !== revision)
    throw new Refusal(
      409,
      "changed-since",
      "The signature was changed since this page was opened: look at it once more, then record what is installed.",
    );
  const person = await withOwnPictures(parseSignature(document), await findDetails(personId));
  return {
    revision,
    personId: person && personId,
    person: person && JSON.stringify(person),
    document: JSON.stringify(document),
    base: await publicBase(),
  };
}

/** Records that a signature is installed as it is now, for somebody or else for whom it is drawn. */
export async function recordInstall(
  signatureId: string,
  { revision, ...said }: NewInstall,
  whose?: string,
): Promise<{ id: string }> {
  const id = randomUUID();
  const signature = await findSignature(signatureId);
  const made = await madeOf(signature, whose ?? signature.personId, revision);
  await (
    await database()
  )
    .insert(installs)
    .values({ id, signatureId, ...said, ...made, installedAt: Date.now() });
  return { id };
}

async function findRow(id: string): Promise<InstallRow> {
  const [row] = await (
    await database()
  )
    .select()
    .from(installs)
    .where(and(eq(installs.id, id), isNull(installs.removedAt)));
  if (!row) throw notFound("install");
  return row;
}

/** Records that an install was brought up to date, with what was looked at in it forgotten. */
export async function renewInstall(id: string, revision: number): Promise<void> {
  const { signatureId, personId } = await findRow(id);
  const made = await madeOf(await findSignature(signatureId), personId, revision);
  await (
    await database()
  )
    .update(installs)
    .set({ ...made, ticked: "[]", installedAt: Date.now() })
    .where(eq(installs.id, id));
}

/** Keeps that something in an install was looked at, or that it was not. */
export async function tickInstall(
  id: string,
  { says, seen }: { readonly says: string; readonly seen: boolean },
): Promise<void> {
  const db = await database();
  // Written over nothing but what was read, so that ticks that come together are all kept.
  for (;;) {
    const { ticked: before } = await findRow(id);
    const others = (JSON.parse(before) as string[]).filter((each) => each !== says);
    const written = await db
      .update(installs)
      .set({ ticked: JSON.stringify(seen ? [...others, says] : others) })
      .where(and(eq(installs.id, id), eq(installs.ticked, before)))
      .returning({ id: installs.id });
    if (written.length > 0) return;
  }
}

const setRemoved = async (id: string, removedAt: number | null): Promise<void> => {
  const rows = await (
    await database()
  )
    .update(installs)
    .set({ removedAt })
    .where(eq(installs.id, id))
    .returning({ id: installs.id });
  if (rows.length === 0) throw notFound("install");
};

/** Forgets an install; it can be taken back. */
export const removeInstall = (id: string): Promise<void> => setRemoved(id, Date.now());

export const restoreInstall = (id: string): Promise<void> => setRemoved(id, null);

const personOf = (json: string | null): Person | null =>
  json === null ? null : readPerson(JSON.parse(json));

const toldThen = (row: InstallRow): Told => ({
  document: formOf(parseSignature(JSON.parse(row.document)), row.form),
  person: personOf(row.person),
  base: row.base,
});

interface Beside {
  readonly row: InstallRow;
  readonly signature: typeof signatures.$inferSelect;
  /** Whose details it has, as they are now; null for nobody, and for who is not in the directory any more. */
  readonly person: Person | null;
}

const toldNow = ({ row, signature, person }: Beside, base: string): Told => ({
  document: formOf(parseSignature(JSON.parse(signature.document)), row.form),
  person: person ?? personOf(row.person),
  base,
});

/** What changed since; asked of the HTML only where something that it is made of did. */
function changesOf(beside: Beside, base: string): readonly string[] | null {
  const { row, signature, person } = beside;
  const details = person ? JSON.stringify(person) : row.person;
  if (row.document === signature.document && row.person === details && row.base === base) return null;
  return whatChanged(toldThen(row), toldNow(beside, base));
}

function toInstall(beside: Beside, base: string, arrivals: Arrivals): Install {
  const { row, signature } = beside;
  const { id, signatureId, form, revision, kind, account, use, by, note, installedAt } = row;
  const arrival = arrivals.get(id);
  return {
    ...{ id, signatureId, form, revision, kind, account, use, by, note, installedAt },
    signatureName: signature.name,
    personName: personOf(row.person)?.name ?? null,
    ticked: JSON.parse(row.ticked) as string[],
    changes: changesOf(beside, base),
    // What was seen of an earlier version says nothing of this one.
    arrived: arrival && arrival.at >= installedAt ? arrival.unstill : null,
  };
}

/** Of installs beside their signatures: neither is gone. */
const inThere = and(isNull(installs.removedAt), isNull(signatures.deletedAt));

/** Installs with their signatures as they are now; none that is removed, and none of a deleted signature. */
async function besides(wanted: SQL | undefined): Promise<readonly Beside[]> {
  const [{ drawnById }, rows] = await Promise.all([
    directory(),
    (await database())
      .select({ row: installs, signature: signatures })
      .from(installs)
      .innerJoin(signatures, eq(installs.signatureId, signatures.id))
      .where(and(inThere, wanted))
      .orderBy(desc(installs.installedAt)),
  ]);
  const people = await allWithOwnPictures(
    rows.map(({ row, signature }) => ({
      document: readDocument(signature.document),
      person: drawnById.get(row.personId ?? "")?.person ?? null,
    })),
  );
  return rows.map((each, index) => ({ ...each, person: people[index] ?? null }));
}

type Arrivals = Awaited<ReturnType<typeof lastArrivals>>;

const arrivalsOf = (rows: readonly Beside[]): Promise<Arrivals> =>
  lastArrivals(rows.map(({ row }) => row.id));

/** How many installs of each of some signatures are out of date, by its id; those that have none are left out. */
export async function countOutOfDate(ids: readonly string[]): Promise<ReadonlyMap<string, number>> {
  const [rows, base] = await Promise.all([besides(inArray(installs.signatureId, [...ids])), publicBase()]);
  const counts = new Map<string, number>();
  for (const beside of rows)
    if (changesOf(beside, base) !== null)
      counts.set(beside.signature.id, (counts.get(beside.signature.id) ?? 0) + 1);
  return counts;
}

/** Installs of all signatures that are not deleted; the newest first. */
export async function listInstalls(): Promise<readonly Install[]> {
  const [rows, base] = await Promise.all([besides(undefined), publicBase()]);
  const arrivals = await arrivalsOf(rows);
  return rows.map((each) => toInstall(each, base, arrivals));
}

/** Installs of one person's; the newest first. */
export async function installsOfPerson(personId: string): Promise<readonly Install[]> {
  const [rows, base] = await Promise.all([besides(eq(installs.personId, personId)), publicBase()]);
  const arrivals = await arrivalsOf(rows);
  return rows.map((each) => toInstall(each, base, arrivals));
}

/** Those of some people who have an install, of a signature that is not deleted. */
export async function peopleWithInstalls(personIds: readonly string[]): Promise<ReadonlySet<string>> {
  const rows = await (
    await database()
  )
    .selectDistinct({ personId: installs.personId })
    .from(installs)
    .innerJoin(signatures, eq(installs.signatureId, signatures.id))
    .where(and(inThere, inArray(installs.personId, [...personIds])));
  return new Set(rows.flatMap(({ personId }) => personId ?? []));
}

/** How many installs some people have, and how many of those are out of date, by whose they are; who has none is left out. */
export async function standingOfInstalls(
  personIds: readonly string[],
): Promise<ReadonlyMap<string, { readonly all: number; readonly late: number }>> {
  const [rows, base] = await Promise.all([besides(inArray(installs.personId, [...personIds])), publicBase()]);
  const standing = new Map<string, { all: number; late: number }>();
  for (const beside of rows) {
    const { all, late } = standing.get(beside.row.personId ?? "") ?? { all: 0, late: 0 };
    const changed = changesOf(beside, base) !== null;
    standing.set(beside.row.personId ?? "", { all: all + 1, late: late + (changed ? 1 : 0) });
  }
  return standing;
}

/** An install with what somebody has to look at in it. */
interface ListedInstall {
  readonly install: Install;
  readonly toLookAt: readonly ToLookAt[];
}

/** Installs of one signature; the newest first. What was found in it counts for whom it is drawn for. */
export async function installsOf(
  { id, personId }: Pick<StoredSignature, "id" | "personId">,
  findings: readonly Finding[],
): Promise<readonly ListedInstall[]> {
  const [rows, base, { drawnById }] = await Promise.all([
    besides(eq(installs.signatureId, id)),
    publicBase(),
    directory(),
  ]);
  const arrivals = await arrivalsOf(rows);
  // Who is not in the directory any more is nobody.
  const whose = (person: string | null): string | null =>
    person !== null && drawnById.has(person) ? person : null;
  return rows.map((each) => ({
    install: toInstall(each, base, arrivals),
    toLookAt: toLookAt({
      ...each.row,
      ...toldNow(each, base),
      findings: whose(each.row.personId) === whose(personId) ? findings : [],
    }),
  }));
}

/** One install as it looks, beside what its signature is now. Refuses one that is removed, or whose signature is deleted. */
export async function compareInstall(id: string): Promise<ComparedInstall> {
  const [[found], base] = await Promise.all([besides(eq(installs.id, id)), publicBase()]);
  if (!found) throw notFound("install");
  const html = ({ document, person }: Told): string =>
    compile(document, { destination: "webmail-paste", person, base });
  // Pictures that were at another address are still here.
  return {
    ...toInstall(found, base, await arrivalsOf([found])),
    sightings: await sightingsOf(found.row),
    before: html(toldThen(found.row)),
    after: html(toldNow(found, base)),
    base,
  };
}
