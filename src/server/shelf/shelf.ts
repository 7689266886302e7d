/** The Shelf: what is found on it, and the cards of what is in view. */
import { setImmediate } from "node:timers/promises";
import { isNull } from "drizzle-orm";
import { mostAtOnce, type ShelfCard, type ShelfOrder } from "@/contract";
import { openFindings, type Finding } from "@/core/checks";
import { wordsOf } from "@/core/signature";
import { database } from "../database/database";
import { signatures } from "../database/schema";
import { countOutOfDate } from "../install/installs";
import { directory } from "../people/directory";
import { openSignatures } from "../signatures/open-signature";
import { readDocument } from "../signatures/read-document";
import { findStillness } from "../signatures/stillness";
import { orderShelf, type OnShelf } from "./order-shelf";

const countOf = (findings: readonly Finding[]) => ({
  findings: openFindings(findings).length,
  breaking: findings.filter(({ severity }) => severity === "break").length,
});

type Counts = ReturnType<typeof countOf>;

/** Of all of them, some at a time: others are answered between. */
async function countAll(ids: readonly string[]): Promise<ReadonlyMap<string, Counts>> {
  const counted = new Map<string, Counts>();
  for (let from = 0; from < ids.length; from += mostAtOnce) {
    for (const { id, findings } of await openSignatures(ids.slice(from, from + mostAtOnce)))
      counted.set(id, countOf(findings));
    await setImmediate();
  }
  return counted;
}

export interface Looked {
  /** Words that a signature has to hold; empty for all. */
  readonly look: string;
  readonly order: ShelfOrder;
}

export interface FoundOnShelf {
  /** Of what was found, in order. */
  readonly ids: readonly string[];
  /** How many signatures there are. */
  readonly all: number;
}

/** Texts and findings are looked at only where they are asked for. */
export async function findOnShelf({ look, order }: Looked): Promise<FoundOnShelf> {
  const searched = look.trim() !== "";
  const [{ drawnById }, rows] = await Promise.all([
    directory(),
    (await database())
      .select({
        ...{ id: signatures.id, name: signatures.name, updatedAt: signatures.updatedAt },
        personId: signatures.personId,
        ...(searched ? { document: signatures.document } : {}),
      })
      .from(signatures)
      .where(isNull(signatures.deletedAt)),
  ]);
  const counts = order === "findings" ? await countAll(rows.map(({ id }) => id)) : null;
  const onShelf = rows.map(({ id, name, updatedAt, ...row }): OnShelf => {
    const person = drawnById.get(row.personId ?? "")?.person ?? null;
    const document = "document" in row ? (row.document as string) : null;
    return {
      ...{ id, name, updatedAt, personName: person?.name ?? null },
      words: document === null ? "" : wordsOf(readDocument(document), person),
      ...(counts?.get(id) ?? { findings: 0, breaking: 0 }),
    };
  });
  return { ids: orderShelf(onShelf, look, order).map(({ id }) => id), all: rows.length };
}

/** The cards of those of some signatures that are on the Shelf, in the order that they are named in. */
export async function shelfCards(ids: readonly string[]): Promise<readonly ShelfCard[]> {
  const [opened, outOfDate] = await Promise.all([openSignatures(ids), countOutOfDate(ids)]);
  const still = await findStillness(opened);
  return opened.map(({ id, name, person, html, base, weight, findings }) => ({
    ...{ id, name, html, base, weight },
    personName: person?.name ?? null,
    ...countOf(findings),
    stillness: still.get(id) ?? null,
    lateInstalls: outOfDate.get(id) ?? 0,
  }));
}
