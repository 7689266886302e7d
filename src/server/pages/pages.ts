/** Pages of people's own: made, found by the secret that their addresses end with, withdrawn, and what is done on them. */
import { randomBytes } from "node:crypto";
import { and, eq, isNotNull, isNull } from "drizzle-orm";
import { database } from "../database/database";
import { personPages } from "../database/schema";
import { notFound, Refusal } from "../http/refusal";
import { findPerson } from "../people/people";
import type { DirectoryPerson } from "@/contract";

export type PageRow = typeof personPages.$inferSelect;

/** 192 bits, as letters that stand in an address: nobody comes upon one by trying. */
const newSecret = (): string => randomBytes(24).toString("base64url");

/** All of them, by whose they are. */
export async function listPages(): Promise<ReadonlyMap<string, PageRow>> {
  const rows = await (await database()).select().from(personPages);
  return new Map(rows.map((row) => [row.personId, row]));
}

/** The page of somebody, made where they have none. One that was withdrawn stays so. */
export async function pageFor(personId: string): Promise<PageRow> {
  const db = await database();
  await db
    .insert(personPages)
    .values({ personId, secret: newSecret(), createdAt: Date.now() })
    .onConflictDoNothing();
  const [row] = await db.select().from(personPages).where(eq(personPages.personId, personId));
  if (!row) throw notFound("person");
  return row;
}

/** Makes somebody a page; instead of one that was withdrawn, another at a new address. Refuses who is not in the directory. */
export async function makePage(personId: string): Promise<{ secret: string }> {
  if (!(await findPerson(personId))) throw notFound("person");
  const { secret, withdrawnAt } = await pageFor(personId);
  if (withdrawnAt === null) return { secret };
  const db = await database();
  const another = { personId, secret: newSecret(), createdAt: Date.now() };
  // The letters that carried the old address go with it.
  await db.batch([
    db.delete(personPages).where(eq(personPages.personId, personId)),
    db.insert(personPages).values(another),
  ]);
  return { secret: another.secret };
}

async function setWithdrawn(personId: string, at: number | null): Promise<void> {
  const { withdrawnAt } = personPages;
  const changed = await (
    await database()
  )
    .update(personPages)
    .set({ withdrawnAt: at })
    .where(
      and(eq(personPages.personId, personId), at === null ? isNotNull(withdrawnAt) : isNull(withdrawnAt)),
    )
    .returning({ personId: personPages.personId });
  if (changed.length === 0) throw notFound("page");
}

/** From then on nothing is shown at the address. Refuses where there is no page. */
export const withdrawPage = (personId: string): Promise<void> => setWithdrawn(personId, Date.now());

/** Shows a page that was withdrawn at its address again. Refuses where there is none. */
export const restorePage = (personId: string): Promise<void> => setWithdrawn(personId, null);

/** What is said of an address at which there is nothing: the same whether there ever was something. */
const nothingThere = (): Refusal =>
  new Refusal(
    404,
    "not-found",
    "There is no page at this address any more: ask whoever gave it to you for another.",
  );

/** Whose page it is. Refuses a secret that is none, a page that was withdrawn, and that of who is not in the directory any more. */
export async function ownerOf(secret: string): Promise<DirectoryPerson> {
  const [row] = await (
    await database()
  )
    .select()
    .from(personPages)
    .where(and(eq(personPages.secret, secret), isNull(personPages.withdrawnAt)));
  const person = row && (await findPerson(row.personId));
  if (!person) throw nothingThere();
  return person;
}

const tell =
  (what: "openedAt" | "copiedAt") =>
  async (secret: string): Promise<void> => {
    await ownerOf(secret);
    await (
      await database()
    )
      .update(personPages)
      .set({ [what]: Date.now() })
      .where(eq(personPages.secret, secret));
  };

/** Keeps that a page was opened, in a browser that runs it: what looks through letters for harm does not count. */
export const tellOpened = tell("openedAt");

/** Keeps that a signature was copied or downloaded there. */
export const tellCopied = tell("copiedAt");
