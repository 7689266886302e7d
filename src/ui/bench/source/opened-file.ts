/** A file from disk as the signature: read by the importer, with its pictures taken in. */
import type { Transaction } from "prosemirror-state";
import { findHosted, groupNotes, importHtml, readImportFile, type NoteGroup } from "@/core/importing";
import { replaceDocument } from "../../signature/editing/replace-document";
import { inShort } from "../../importing/report-words";
import { embeddedPictures, takeIn } from "../../importing/take-in";

export interface OpenedFile {
  /** Puts it in place of the document, as one step. */
  readonly onto: (tr: Transaction) => Transaction;
  readonly groups: readonly NoteGroup[];
  /** What was left out, in short. */
  readonly said: string;
}

/** Rejects with a sentence for what cannot be read, or holds more than a signature. */
export async function openedFile(file: File): Promise<OpenedFile> {
  const reading = await readImportFile(file.name, new Uint8Array(await file.arrayBuffer()));
  if (reading.isMessage)
    throw new Error(
      `${file.name} is a whole message. Start from it with “What you have already”, where its signature is found.`,
    );
  const { document } = reading;
  if (document) return { onto: (tr) => replaceDocument(tr, document), groups: [], said: "" };
  const { found, problems } = await takeIn(embeddedPictures(importHtml(reading.html).pictures));
  const imported = importHtml(reading.html, {
    findPicture: (address) => found.get(address) ?? findHosted(address),
  });
  const groups = groupNotes(imported.notes);
  return {
    onto: (tr) => replaceDocument(tr, imported.document),
    groups,
    said: [inShort(groups), ...problems].filter(Boolean).join(" "),
  };
}
