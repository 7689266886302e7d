/**
 * What an archive of a data folder holds: a ZIP file (APPNOTE.TXT 6.3.10) with the database, the bytes of every picture that it
 * names, the key of what is sealed, and last a list of all that with sizes and SHA-256 sums, by which it is read back.
 */
import { array, number, object, string, type InferType } from "yup";
import { isContentHash } from "@/core/addresses";
import type { Database } from "../database/database";
import { cuts, hostedFiles, originals, sightings } from "../database/schema";
import type { StoreKey } from "../store/picture-store";

export const listEntry = "contents.json";
export const databaseEntry = "still-line.db";

/** Files of a data folder beside the database and the pictures, each of which may be missing. */
export const otherEntries = ["secret.key", "filled"] as const;

/** Where the bytes of a picture lie in an archive. Two cuts of the same bytes are one entry. */
export const entryOf = ({ kind, hash }: StoreKey): string => `pictures/${kind}s/${hash}`;

const pictureEntry = /^pictures\/(?:original|sighting|cut|file)s\/(?<hash>[^/]+)$/;

/** Whether an archive may hold an entry of this name: no other is ever written to a disk. */
export const isKnownEntry = (name: string): boolean =>
  name === databaseEntry ||
  (otherEntries as readonly string[]).includes(name) ||
  isContentHash(pictureEntry.exec(name)?.groups?.hash ?? "");

/** The list's own form; one that is made differently has another number. */
export const listForm = 1;

export const contentsList = object({
  form: number().required().oneOf([listForm]),
  /** ISO 8601. */
  madeAt: string().required(),
  entries: array(
    object({
      name: string()
        .required()
        .test("known", (name) => isKnownEntry(name)),
      bytes: number().required().integer().min(0),
      sha256: string()
        .required()
        .matches(/^[\da-f]{64}$/),
    }).required(),
  ).required(),
});

export type ContentsList = InferType<typeof contentsList>;
export type ListedEntry = ContentsList["entries"][number];

/** Every key that a database names bytes by; of what was removed as well, since that can be taken back. */
export async function keysNamedBy(database: Database): Promise<StoreKey[]> {
  const [ofOriginals, ofSightings, ofCuts, ofFiles] = await Promise.all([
    database.select({ hash: originals.hash }).from(originals),
    database.select({ hash: sightings.hash }).from(sightings),
    database.select({ hash: cuts.hash, fileName: cuts.fileName, type: cuts.type }).from(cuts),
    database.select({ hash: hostedFiles.hash, fileName: hostedFiles.fileName }).from(hostedFiles),
  ]);
  return [
    ...ofOriginals.map((key) => ({ kind: "original", ...key }) as const),
    ...ofSightings.map((key) => ({ kind: "sighting", ...key }) as const),
    ...ofCuts.map((key) => ({ kind: "cut", ...key }) as const),
    ...ofFiles.map((key) => ({ kind: "file", ...key }) as const),
  ];
}
