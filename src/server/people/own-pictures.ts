/**
 * The pictures that places in signatures show of people: made when they are first asked for, as the picture in the place was made, and
 * kept by what they are of. A changed crop, frame or colour is another picture at another address.
 */
import { inArray } from "drizzle-orm";
import type { Node } from "prosemirror-model";
import pLimit from "p-limit";
import { cropOfFocus, plainRecipe, publicFileName, wholeCrop, type Recipe } from "@/core/pictures";
import type { Person } from "@/core/people";
import { pictureKey, picturesToMake, type PictureToMake } from "@/core/signature";
import { database } from "../database/database";
import { peoplesPictures } from "../database/schema";
import { Refusal } from "../http/refusal";
import { initialsSide } from "../imaging/draw-initials";
import { imaging } from "../imaging/imaging";
import { addCut, findCuts, makeCut } from "../pictures/cuts";
import { findOriginal } from "../pictures/originals";

/** Pictures that are made side by side. */
const together = 2;

/** Values that are asked for in one statement. */
const asked = 500;

/** How the picture in a place was made; the whole of it where that was not here. */
async function recipeOf({ source, width, height }: PictureToMake): Promise<Recipe> {
  const plain = plainRecipe(wholeCrop({ width, height }), { width, height });
  if (source === "") return plain;
  const [cut] = await findCuts([source]);
  return cut?.recipe ? { ...cut.recipe, width, height } : plain;
}

/** The picture of whoever is called so. Refuses what is not in the library any more. */
async function make(wanted: PictureToMake, name: string): Promise<string> {
  const { of } = wanted;
  const recipe: Recipe = { ...(await recipeOf(wanted)), use: null };
  if (of.kind === "detail") {
    const original = await findOriginal(of.original);
    const crop = cropOfFocus(of.focus, original, recipe);
    return (await makeCut({ hash: original.hash, name: name || original.name }, { ...recipe, crop })).source;
  }
  const drawing = { width: initialsSide, height: initialsSide };
  const crop = cropOfFocus({ x: initialsSide / 2, y: initialsSide / 2, side: initialsSide }, drawing, recipe);
  const lettered: Recipe = { ...recipe, crop, clear: null, tint: null };
  const rendered = await imaging.renderInitials(of, lettered);
  return (await addCut(rendered, publicFileName(`initials ${of.letters}`, rendered.type), null, lettered))
    .source;
}

async function keptPictures(keys: readonly string[]): Promise<Map<string, string>> {
  const db = await database();
  const kept = new Map<string, string>();
  for (let from = 0; from < keys.length; from += asked)
    for (const { key, path } of await db
      .select()
      .from(peoplesPictures)
      .where(inArray(peoplesPictures.key, keys.slice(from, from + asked))))
      kept.set(key, path);
  return kept;
}

/** Somebody, and what their pictures are shown in. */
export interface Shown {
  readonly document: Node;
  readonly person: Person | null;
}

const oneAfterAnother = pLimit(together);
const beingMade = new Map<string, Promise<string | null>>();

/** Made once, however many ask for it at the same time; null where it cannot be. */
function madeOnce(wanted: PictureToMake, name: string): Promise<string | null> {
  const key = pictureKey(wanted);
  const known = beingMade.get(key);
  if (known) return known;
  const making = oneAfterAnother(async () => {
    try {
      const path = await make(wanted, name);
      await (
        await database()
      )
        .insert(peoplesPictures)
        .values({ key, path })
        .onConflictDoUpdate({ target: peoplesPictures.key, set: { path } });
      return path;
    } catch (error) {
      // A photograph that was removed, or is damaged, leaves its place empty.
      if (error instanceof Refusal) return null;
      throw error;
    } finally {
      beingMade.delete(key);
    }
  });
  beingMade.set(key, making);
  return making;
}

/** Hosted paths of pictures by their keys, made where they are not there yet; those that cannot be made are left out. */
export async function madePictures(
  wanted: readonly { readonly picture: PictureToMake; readonly name: string }[],
): Promise<ReadonlyMap<string, string>> {
  const byKey = new Map(wanted.map((each) => [pictureKey(each.picture), each]));
  const kept = await keptPictures([...byKey.keys()]);
  await Promise.all(
    [...byKey].map(async ([key, { picture, name }]) => {
      const path = kept.get(key) ?? (await madeOnce(picture, name));
      if (path !== null) kept.set(key, path);
    }),
  );
  return kept;
}

/** Those people with the pictures that their documents show of them, in their order; the very same where nothing is their own. */
export async function allWithOwnPictures(all: readonly Shown[]): Promise<readonly (Person | null)[]> {
  const wanted = all.map(({ document, person }) =>
    picturesToMake(document, person).map((picture) => ({ picture, name: person?.name ?? "" })),
  );
  if (wanted.every((own) => own.length === 0)) return all.map(({ person }) => person);
  const made = await madePictures(wanted.flat());
  return all.map(({ person }, index) => {
    const own = wanted[index] ?? [];
    if (!person || own.length === 0) return person;
    const pictures = Object.fromEntries(
      own.flatMap(({ picture }) => {
        const key = pictureKey(picture);
        const path = made.get(key);
        return path === undefined ? [] : [[key, path] as const];
      }),
    );
    return { ...person, pictures };
  });
}

/** Somebody with the pictures that a document shows of them. */
export async function withOwnPictures(document: Node, person: Person | null): Promise<Person | null> {
  return (await allWithOwnPictures([{ document, person }]))[0] ?? null;
}
