"use client";

/** Reading what somebody has already, loaded when something is brought: a file, or a paste. */
import {
  findSignatures,
  ImportFileError,
  importHtml,
  readImportFile,
  type FileReading,
  type SignatureBlock,
} from "@/core/importing";
import { embeddedPictures } from "../../importing/take-in";
import { dataAddress } from "../../parts/files/data-address";

/** A picture that came along, in a file beside the HTML or within it. */
export interface Brought {
  readonly file: File;
  /** What stands for its address until it is taken in. */
  readonly standIn: string;
  /** A `data:` address that shows it here. */
  readonly shown: string;
  /** Its own size, px; null for what the browser draws none of. */
  readonly size: { readonly width: number; readonly height: number } | null;
}

/** A file, or a paste, that was read. */
export interface Existing {
  readonly name: string;
  readonly reading: FileReading;
  /** The blocks of a message that may be the signature; empty for what is no message. */
  readonly blocks: readonly SignatureBlock[];
  /** Its pictures, by the addresses that the HTML names them with. */
  readonly brought: ReadonlyMap<string, Brought>;
}

async function sizeOf(file: Blob): Promise<Brought["size"]> {
  try {
    const { width, height } = await createImageBitmap(file);
    return { width, height };
  } catch {
    // Shown at the size that the message says, or at none that is known.
    return null;
  }
}

async function withPictures(name: string, reading: FileReading): Promise<Existing> {
  const files = new Map<string, File>();
  for (const [address, { name: own, type, bytes }] of reading.pictures)
    files.set(address, new File([Uint8Array.from(bytes)], own, { type }));
  for (const { address, file } of embeddedPictures(importHtml(reading.html).pictures))
    files.set(address, file);
  const brought = new Map<string, Brought>();
  for (const [address, file] of files)
    brought.set(address, {
      file,
      standIn: `brought:${brought.size}`,
      shown: await dataAddress(file),
      size: await sizeOf(file),
    });
  const blocks = reading.isMessage ? findSignatures(reading.html) : [];
  return { name, reading, blocks, brought };
}

/** Rejects with an ImportFileError that can be shown. */
export async function readExistingFile(file: File): Promise<Existing> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  return withPictures(file.name, await readImportFile(file.name, bytes));
}

/** HTML that was pasted: a copied signature, or its source. */
export function readExistingPaste(html: string, plain: string): Promise<Existing> {
  const source = html || plain;
  if (source.trim() === "")
    return Promise.reject(new ImportFileError("Nothing was pasted that could be read."));
  return readImportFile("pasted", new TextEncoder().encode(source)).then((reading) =>
    withPictures("What was pasted", reading),
  );
}

/** What is said where something could not be read. */
export const troubleOf = (error: unknown): string =>
  error instanceof ImportFileError ? error.message : `It could not be read: ${(error as Error).message}`;
