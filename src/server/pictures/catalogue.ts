/** Originals with their cuts and where each is used, as the Pictures views list them. */
import { and, asc, desc, eq, inArray, isNull } from "drizzle-orm";
import type { Catalogue, CatalogueCut, CatalogueEntry, Cut } from "@/contract";
import { database } from "../database/database";
import { cuts, originals } from "../database/schema";
import { holdsWords } from "../shelf/words";
import { cutsOfOriginals, listLoops, madeOf } from "./cuts";
import { inLibrary, toOriginal } from "./originals";
import { usageInSignatures, type Usage } from "./usage";

const withUsage = (all: readonly Cut[], usage: Usage): readonly CatalogueCut[] =>
  all.map((cut) => ({ ...cut, usedIn: [...(usage.get(cut.source) ?? [])] }));

/** Those of some originals that stand in the library, in the order that they are named in; a loop with each that it is made of. */
export const pictureEntries = async (hashes: readonly string[]): Promise<readonly CatalogueEntry[]> =>
  hashes.length === 0 ? [] : entriesOf(hashes, await usageInSignatures());

async function entriesOf(hashes: readonly string[], usage: Usage): Promise<readonly CatalogueEntry[]> {
  const [rows, made] = await Promise.all([
    (await database())
      .select()
      .from(originals)
      .where(and(inArray(originals.hash, [...hashes]), inLibrary)),
    cutsOfOriginals(hashes),
  ]);
  const found = new Map(rows.map((row) => [row.hash, toOriginal(row)]));
  const byOriginal = new Map<string, CatalogueCut[]>(hashes.map((hash) => [hash, []]));
  for (const cut of withUsage(made, usage)) for (const hash of madeOf(cut)) byOriginal.get(hash)?.push(cut);
  return hashes.flatMap((hash) => {
    const original = found.get(hash);
    return original ? [{ original, cuts: byOriginal.get(hash) ?? [] }] : [];
  });
}

export interface FoundPictures {
  /** Of the originals that were found, newest first. */
  readonly hashes: readonly string[];
  /** How many originals and cuts there are. */
  readonly all: { readonly originals: number; readonly cuts: number };
}

/** Originals whose name, or that of one of their cuts, holds all words that are looked for. */
export async function findPictures(look = ""): Promise<FoundPictures> {
  const db = await database();
  const [rows, made] = await Promise.all([
    db
      .select({ hash: originals.hash, name: originals.name })
      .from(originals)
      .where(inLibrary)
      .orderBy(desc(originals.createdAt), asc(originals.name)),
    db
      .select({ hash: cuts.originalHash, fileName: cuts.fileName })
      .from(cuts)
      .innerJoin(originals, eq(cuts.originalHash, originals.hash))
      .where(and(isNull(cuts.removedAt), inLibrary)),
  ]);
  const names = new Map(rows.map(({ hash, name }) => [hash, name]));
  for (const { hash, fileName } of made)
    if (hash !== null) names.set(hash, `${names.get(hash) ?? ""} ${fileName}`);
  const found = rows.filter(({ hash }) => holdsWords(names.get(hash) ?? "", look));
  return { hashes: found.map(({ hash }) => hash), all: { originals: rows.length, cuts: made.length } };
}

/** All loops, newest first. */
export async function loopEntries(): Promise<readonly CatalogueCut[]> {
  const [loops, usage] = await Promise.all([listLoops(), usageInSignatures()]);
  return withUsage(loops, usage);
}

/** As many as are chosen from without looking for one by its name. */
const mostToChooseFrom = 60;

/** The newest pictures that hold what is looked for, to choose one from, and how many there are. */
export async function pictureCatalogue(look = ""): Promise<Catalogue> {
  const [{ hashes }, loops, usage] = await Promise.all([
    findPictures(look),
    listLoops(),
    usageInSignatures(),
  ]);
  const foundLoops = loops.filter(({ fileName }) => holdsWords(fileName, look));
  return {
    entries: await entriesOf(hashes.slice(0, mostToChooseFrom), usage),
    loops: withUsage(foundLoops.slice(0, mostToChooseFrom), usage),
    found: hashes.length,
  };
}
