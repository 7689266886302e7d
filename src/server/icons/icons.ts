/** Icons that rows are made of: drawn glyphs, and icons of the user's own, kept in packs. */
import { and, asc, eq, isNull } from "drizzle-orm";
import type { AddedIcons, DrawnIcon, IconChoice, Original, OwnIcon, RefusedFile } from "@/contract";
import {
  bestOfEach,
  glyphLabel,
  glyphSvg,
  glyphWeight,
  iconName,
  iconRecipe,
  isGlyph,
  mayBeIcon,
  shownName,
  type IconFile,
  type IconLook,
} from "@/core/icons";
import { sniffType, type Rectangle } from "@/core/pictures";
import { database } from "../database/database";
import { icons, originals } from "../database/schema";
import type { UploadedFile } from "../http/read-file";
import { notFound, Refusal } from "../http/refusal";
import { imaging } from "../imaging/imaging";
import { findCuts, makeCut } from "../pictures/cuts";
import { addOriginal, findOriginal, listOriginals, readOriginal } from "../pictures/originals";

type Row = typeof icons.$inferSelect;

/** All icons of the user's own, pack by pack in the order in which they came. */
export async function listOwnIcons(): Promise<readonly OwnIcon[]> {
  const rows = await (
    await database()
  )
    .select()
    .from(icons)
    .innerJoin(originals, eq(icons.originalHash, originals.hash))
    .orderBy(asc(icons.pack), asc(icons.createdAt), asc(icons.name));
  return rows
    .filter((row) => row.icons.glyph === null && row.originals.removedAt === null)
    .map(({ icons: icon, originals: { hash, type, width, height } }) => ({
      hash,
      name: icon.name,
      pack: icon.pack,
      note: icon.note,
      type,
      width,
      height,
    }));
}

/** Uploaded pictures that may be icons and are in no pack, as if they were; drawn glyphs are none. */
export async function listMayBeIcons(): Promise<readonly OwnIcon[]> {
  const known = await (await database()).select({ hash: icons.originalHash }).from(icons);
  const taken = new Set(known.map(({ hash }) => hash));
  return (await listOriginals())
    .filter((original) => !taken.has(original.hash) && mayBeIcon(original))
    .map(({ hash, name, type, width, height }) => ({
      hash,
      name: shownName(iconName(name)),
      pack: "",
      note: "",
      type,
      width,
      height,
    }));
}

/** What is drawn in an original, as JSON. */
const boxOf = async ({ hash }: Original): Promise<string> =>
  JSON.stringify(await imaging.findContent(await readOriginal(hash)));

async function keepIcon(
  original: Original,
  facts: Pick<Row, "name"> & Partial<Pick<Row, "pack" | "glyph" | "weight" | "note">>,
): Promise<Row> {
  const box = await boxOf(original);
  const db = await database();
  await db
    .insert(icons)
    .values({ originalHash: original.hash, box, createdAt: Date.now(), ...facts })
    .onConflictDoUpdate({ target: icons.originalHash, set: { box, ...facts } });
  const icon = await findIcon(original.hash);
  if (!icon) throw notFound("icon");
  return icon;
}

async function findIcon(hash: string): Promise<Row | null> {
  const [row] = await (await database()).select().from(icons).where(eq(icons.originalHash, hash));
  return row ?? null;
}

interface Candidate extends IconFile {
  readonly bytes: Uint8Array;
}

/** The files of an upload that can be icons; what cannot be used is said file by file. */
async function candidates({
  bytes,
  name: fileName,
}: UploadedFile): Promise<{ files: readonly Candidate[]; refused: readonly RefusedFile[] }> {
  const given =
    sniffType(bytes) === "zip" ? await imaging.unpackArchive(bytes, fileName) : [{ name: fileName, bytes }];
  const files: Candidate[] = [];
  const refused: RefusedFile[] = [];
  for (const file of given)
    try {
      files.push({ ...file, ...(await imaging.inspectPicture(file.bytes, file.name)), bytes: file.bytes });
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      refused.push({ name: file.name, message: error.message });
    }
  return { files, refused };
}

/**
 * Keeps a file, or the best file of each icon of a zip, in a pack. An icon of the same name that the pack has already
 * gives way to a better file, and stays before a worse one.
 */
export async function addIcons(
  upload: UploadedFile,
  { pack, note }: { pack: string; note: string },
): Promise<AddedIcons> {
  const { files, refused } = await candidates(upload);
  const [first] = refused;
  if (files.length === 0 && refused.length === 1 && first) throw new Refusal(422, "no-icon", first.message);
  const kept = new Set<string>();
  for (const file of bestOfEach(files)) {
    const original = await addOriginal(file.bytes, file.name);
    await keepIcon(original, { name: shownName(iconName(file.name)), pack, note });
    kept.add(original.hash);
  }
  const together = (await listOwnIcons()).filter((icon) => icon.pack === pack);
  const best = new Set(bestOfEach(together).map(({ hash }) => hash));
  for (const { hash } of together) if (!best.has(hash)) await deleteIcon(hash);
  return {
    icons: together.filter(({ hash }) => kept.has(hash) && best.has(hash)),
    leftOut: files.length - [...kept].filter((hash) => best.has(hash)).length,
    refused,
  };
}

export async function describeIcon(hash: string, facts: { name: string; note: string }): Promise<void> {
  if (!(await findIcon(hash))) throw notFound("icon");
  await (await database()).update(icons).set(facts).where(eq(icons.originalHash, hash));
}

/** Takes an icon out of its pack; pictures that were made of it stay where they are. */
export async function deleteIcon(hash: string): Promise<void> {
  if (!(await findIcon(hash))) throw notFound("icon");
  await (await database()).delete(icons).where(eq(icons.originalHash, hash));
}

/** An icon with the original that it is drawn from. */
interface Source {
  readonly icon: Pick<Row, "name" | "glyph" | "box">;
  readonly original: Original;
}

/** The drawing of a glyph, which becomes an original when it is first used. */
export async function glyphSource(glyph: string, weight: "line" | "solid"): Promise<Source> {
  if (!isGlyph(glyph)) throw new Refusal(422, "no-glyph", `There is no glyph “${glyph}”.`);
  const [known] = await (
    await database()
  )
    .select()
    .from(icons)
    .innerJoin(originals, eq(icons.originalHash, originals.hash))
    .where(and(eq(icons.glyph, glyph), eq(icons.weight, weight), isNull(originals.removedAt)));
  if (known) return { icon: known.icons, original: known.originals };
  const original = await addOriginal(Buffer.from(glyphSvg(glyph, weight)), `${glyph}.svg`);
  return { icon: await keepIcon(original, { name: glyphLabel(glyph), glyph, weight }), original };
}

/** What an icon is drawn from: of a glyph, the drawing of the look's weight. Null for a picture from elsewhere. */
async function sourceOf(choice: IconChoice, look: IconLook): Promise<Source | null> {
  if (choice.kind === "glyph") return glyphSource(choice.glyph, glyphWeight(look));
  let hash = choice.kind === "own" ? choice.hash : null;
  if (choice.kind === "placed") hash = (await findCuts([choice.source]))[0]?.originalHash ?? null;
  if (!hash) return null;
  const icon = await findIcon(hash);
  if (icon?.glyph) return glyphSource(icon.glyph, glyphWeight(look));
  const original = await findOriginal(hash);
  return { icon: icon ?? (await measured(original)), original };
}

/** A picture of the library that stands in a row is measured like an icon, without being put into a pack. */
const measured = async (original: Original): Promise<Source["icon"]> => ({
  name: shownName(iconName(original.name)),
  glyph: null,
  box: await boxOf(original),
});

/** Draws icons in one look and at one size, CSS px, each a hosted file of its own. */
export async function drawIcons(
  choices: readonly IconChoice[],
  look: IconLook,
  size: number,
): Promise<readonly DrawnIcon[]> {
  return Promise.all(
    choices.map(async (choice) => {
      const source = await sourceOf(choice, look);
      if (!source) return { cut: null, name: "" };
      const { icon, original } = source;
      // A glyph has no colours of its own.
      const color = look.color ?? (icon.glyph ? "#333333" : null);
      const recipe = iconRecipe(JSON.parse(icon.box) as Rectangle, { ...look, color }, size);
      return { cut: await makeCut(original, recipe), name: icon.name };
    }),
  );
}
