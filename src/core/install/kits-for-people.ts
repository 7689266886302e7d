/** One signature's kits for many people: each with their own details, in a folder of their own. */
import { fieldValue, type Person } from "../people";
import type { KitKind, PicturesIn } from "../install-kinds";
import { keptApart } from "../pictures";
import { kitFiles, usualPlace, type KitFile, type KitSource } from "./kits";

export interface PersonKit {
  readonly person: Person;
  /** Named after them; no two are the same, whatever the case of letters. */
  readonly folder: string;
  readonly files: readonly KitFile[];
  /** Why it could not be made; null where it was. */
  readonly failed: string | null;
}

/** UTF-16 units. */
const longestFolder = 80;

/** What a folder can be called in every system that people have: no separators, no reserved characters, no dot at its ends. */
function folderName(person: Person): string {
  const named = fieldValue(person, "name") || fieldValue(person, "mail");
  const usable = named
    .normalize("NFC")
    .replace(/[\\/:*?"<>|\p{Cc}\p{Cf}]/gu, " ")
    .replace(/\s+/g, " ")
    .slice(0, longestFolder)
    .replace(/^[\s.]+|[\s.]+$/g, "")
    .toWellFormed();
  // Names of devices are no names of folders.
  return /^(?:con|prn|aux|nul|com\d|lpt\d)?$/i.test(usable) ? `person ${usable}`.trim() : usable;
}

/**
 * The kits of some people, one at a time, so that whoever makes thousands can tell how far it is, and stop. One that cannot be made
 * says why, and the others are. `source` is that of any person.
 */
export function* kitsForPeople(
  kind: KitKind,
  source: KitSource,
  people: readonly Person[],
  picturesIn: PicturesIn = usualPlace(kind),
): Generator<PersonKit> {
  const folders = foldersFor(people);
  for (const [index, person] of people.entries())
    yield kitOfPerson(kind, { ...source, person }, folders[index] ?? "", picturesIn);
}

/** A folder for each of some people. */
export const foldersFor = (people: readonly Person[]): readonly string[] =>
  // A dot in a name ends nothing.
  keptApart(people.map((person) => folderName(person).replaceAll(".", "\u2024"))).map((folder) =>
    folder.replaceAll("\u2024", "."),
  );

/** The kit of whose source it is, or why there is none. */
export function kitOfPerson(
  kind: KitKind,
  source: KitSource & { readonly person: Person },
  folder: string,
  picturesIn: PicturesIn,
): PersonKit {
  const own = { person: source.person, folder };
  try {
    return { ...own, files: kitFiles(kind, source, picturesIn), failed: null };
  } catch (error) {
    return { ...own, files: [], failed: (error as Error).message };
  }
}
