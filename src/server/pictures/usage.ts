/** Where hosted pictures are used: in signatures, and in all that may still be shown or sent. */
import { hostedPath, hostedPathsIn } from "@/core/addresses";
import { database } from "../database/database";
import {
  deskFiles,
  desks,
  drafts,
  messages,
  patterns,
  peoplesPictures,
  publishedCopies,
  refusedSaves,
  signatures,
  versions,
} from "../database/schema";
import { textOfLetter } from "../mailroom/read-letter";

/** What uses a picture, in words: a signature's name, or what keeps it. */
export type Usage = ReadonlyMap<string, ReadonlySet<string>>;

interface Text {
  readonly text: string;
  readonly user: string;
}

async function textsThatKeep(): Promise<readonly Text[]> {
  const db = await database();
  const [all, kept, refused, own, pasted, placed, begun, sent] = await Promise.all([
    db.select().from(signatures),
    db.select({ document: versions.document, signatureId: versions.signatureId }).from(versions),
    db.select({ document: refusedSaves.document }).from(refusedSaves),
    db.select().from(patterns),
    db.select({ settings: desks.settings }).from(desks),
    db.select({ bytes: deskFiles.bytes, held: deskFiles.held }).from(deskFiles),
    db.select({ letter: drafts.letter }).from(drafts),
    db.select({ raw: messages.raw }).from(messages),
  ]);
  const ofPeople = await db.select({ text: peoplesPictures.path }).from(peoplesPictures);
  const names = new Map(all.map(({ id, name }) => [id, name]));
  const mails = await Promise.all(sent.map(({ raw }) => textOfLetter(raw)));
  return [
    ...all
      .filter(({ deletedAt }) => deletedAt !== null)
      .map(({ name, document }) => ({ text: document, user: `${name}, deleted` })),
    ...kept.map(({ signatureId, document }) => ({
      text: document,
      user: `a version of ${names.get(signatureId) ?? "a signature"}`,
    })),
    ...refused.map(({ document }) => ({ text: document, user: "a refused save" })),
    ...own.map(({ name, document }) => ({ text: document, user: `the pattern ${name}` })),
    ...pasted.map(({ settings }) => ({ text: settings, user: "a signature in the Mailroom" })),
    ...placed.flatMap(({ bytes, held }) =>
      [bytes, ...(held ? [held] : [])].map((each) => ({
        text: each.toString("latin1"),
        user: "a signature in the Mailroom",
      })),
    ),
    ...begun.map(({ letter }) => ({ text: letter, user: "a letter that was begun" })),
    ...ofPeople.map(({ text }) => ({ text, user: "somebody’s own picture" })),
    ...mails.map((text) => ({ text, user: "a sent message" })),
  ];
}

async function collect(texts: readonly Text[]): Promise<Usage> {
  const copies = await (await database()).select().from(publishedCopies);
  const usage = new Map<string, Set<string>>();
  const record = (source: string, user: string): void => {
    usage.set(source, (usage.get(source) ?? new Set()).add(user));
  };
  for (const { text, user } of texts) {
    for (const source of hostedPathsIn(text)) record(source, user);
    for (const copy of copies) if (text.includes(copy.address)) record(hostedPath(copy), user);
  }
  return usage;
}

/** The names of the signatures on the Shelf that use each picture. */
export async function usageInSignatures(): Promise<Usage> {
  const rows = await (await database()).select().from(signatures);
  return collect(
    rows
      .filter(({ deletedAt }) => deletedAt === null)
      .map(({ name, document }) => ({ text: document, user: name })),
  );
}

/** Everything else that keeps a picture from being unused: versions, patterns, messages and what is deleted. */
export const usageElsewhere = async (): Promise<Usage> => collect(await textsThatKeep());
