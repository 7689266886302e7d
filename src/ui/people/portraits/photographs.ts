"use client";

/** Photographs on their way to people, and those that a list of people held, from where it was read to where they are matched. */
import { useSyncExternalStore } from "react";
import type { ListedPhoto } from "@/core/people";

export interface Photograph {
  readonly file: File;
  /** What tells whose it is, as a file's name does. */
  readonly called: string;
}

export const photographsOf = (files: readonly File[]): readonly Photograph[] =>
  files.map((file) => ({ file, called: file.name }));

/** A file without a byte where the card holds no base64, which is then refused by its name. */
function bytesOf(base64: string): Uint8Array<ArrayBuffer> {
  try {
    return Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
  } catch {
    return new Uint8Array();
  }
}

/** Called by the mail address, since several people may have one name. */
export function photographOfCard({ name, mail, ending, base64 }: ListedPhoto): Photograph {
  const file = new File([bytesOf(base64)], `${(name || mail).replace(/[\\/]/g, " ")}.${ending}`);
  return { file, called: mail === "" ? file.name : `${mail}.${ending}` };
}

let handed: readonly Photograph[] | null = null;
const told = new Set<() => void>();

/** For the sheet of portraits, which has them until they are kept or let go; null for none. */
export function handPhotographs(photographs: readonly Photograph[] | null): void {
  handed = photographs;
  for (const tell of told) tell();
}

const listen = (tell: () => void): (() => void) => {
  told.add(tell);
  return () => told.delete(tell);
};

export const useHandedPhotographs = (): readonly Photograph[] | null =>
  useSyncExternalStore(
    listen,
    () => handed,
    () => null,
  );
