"use client";

/** Everything that a graft needs once a file is brought, loaded then: reading it, drawing it, and writing it again. */
import type { Node } from "prosemirror-model";
import { asItWas } from "@/core/importing";
import {
  findWords,
  GraftError,
  graftedHtml,
  lineAttribute,
  readHost,
  withLinesMarked,
  wholeLine,
  type GraftPlace,
  type HostFile,
  type HostForm,
} from "@/core/graft";
import {
  graftFiles,
  graftFragment,
  graftPictures,
  picturesOfKit,
  zipKit,
  type Graft,
  type KitPicture,
  type KitPictures,
} from "@/core/install";
import type { PicturesIn } from "@/core/install-kinds";
import type { Person } from "@/core/people";
import { hasShortForm, parseSignature, shortForm } from "@/core/signature";
import { saveFile } from "../../parts/files/save-file";

/** What is put in, as the page of the signature knows it. */
export interface Grafting {
  readonly name: string;
  /** The document's JSON. */
  readonly document: unknown;
  readonly person: Person | null;
  readonly base: string;
}

export interface ClientFile {
  readonly name: string;
  readonly bytes: Uint8Array;
  readonly host: HostFile;
}

/** Rejects with an Error that can be shown. */
export async function readClientFile(file: File): Promise<ClientFile> {
  let bytes: Uint8Array;
  try {
    bytes = new Uint8Array(await file.arrayBuffer());
  } catch {
    throw new Error(`${file.name} could not be read: close the mail program, and choose the file again.`);
  }
  return { name: file.name, bytes, host: readHost(bytes) };
}

/** Why a file could not be taken, in a sentence. */
export const troubleOf = (error: unknown): string =>
  error instanceof GraftError || error instanceof Error ? error.message : "This file could not be read.";

const formNames: Readonly<Record<HostForm, string>> = {
  page: "a page",
  archive: "a web archive",
  listed: "a web archive, written as XML",
  entity: "a small message",
};

/** What kind of file it is, in words. */
export const whatItIs = ({ host }: ClientFile): string => `${formNames[host.form]} in ${host.encoding}`;

export const picturesFor = ({ host }: ClientFile): readonly PicturesIn[] => graftPictures[host.form];

/** Where words stand; all places are given. */
export const placesOf = ({ host }: ClientFile, words: string): readonly GraftPlace[] =>
  findWords(host, words);

/** The place that is all of a line, or of the file. */
export const placeOfLine = ({ host }: ClientFile, line: number | null): GraftPlace =>
  line === null ? { kind: "body" } : wholeLine(host, line);

/** The file as it looks, each of its lines to be pointed at. */
export const drawnFile = ({ host }: ClientFile): string => asItWas(withLinesMarked(host.html, host.lines));

/** The line of what was pointed at. */
export function lineAt(element: Element): number | null {
  const line = element.closest(`[${lineAttribute}]`)?.getAttribute(lineAttribute);
  return line === undefined || line === null ? null : Number(line);
}

/** Rules that outline the lines, and the chosen one more than the others. */
export const lineOutlines = (line: number | null): string =>
  `[${lineAttribute}]{outline:1px dashed #8A9A94;outline-offset:2px}` +
  (line === null ? "" : `[${lineAttribute}="${line}"]{outline:2px solid #1F5B57}`);

const formOf = ({ document }: Grafting, short: boolean): Node => {
  const full = parseSignature(document);
  return short && hasShortForm(full) ? shortForm(full) : full;
};

const graftOf = (
  file: ClientFile,
  place: GraftPlace,
  from: Grafting,
  short: boolean,
  picturesIn: PicturesIn,
  pictures: KitPictures,
): Graft => ({
  host: file.host,
  fileName: file.name,
  place,
  document: formOf(from, short),
  source: { name: from.name, person: from.person, base: from.base, pictures },
  picturesIn,
});

/** The file as it will look. */
export function drawnResult(file: ClientFile, place: GraftPlace, from: Grafting, short: boolean): string {
  const { fragment } = graftFragment(graftOf(file, place, from, short, "hosted", new Map()));
  return asItWas(graftedHtml(file.host, place, fragment));
}

async function fetchPictures(from: Grafting): Promise<KitPictures> {
  const full = parseSignature(from.document);
  const paths = picturesOfKit({ full, short: null, person: from.person, base: from.base });
  const found = await Promise.all(
    paths.map(async (path): Promise<readonly (readonly [string, KitPicture])[]> => {
      const answer = await fetch(path);
      if (!answer.ok) return [];
      const type = answer.headers.get("content-type") ?? "image/png";
      return [[path, { type, bytes: new Uint8Array(await answer.arrayBuffer()) }]];
    }),
  );
  return new Map(found.flat());
}

/** How many bytes at the beginning and at the end of a file are as they were. */
function kept(before: Uint8Array, after: Uint8Array): { readonly begin: number; readonly end: number } {
  const least = Math.min(before.length, after.length);
  let [begin, end] = [0, 0];
  while (begin < least && before[begin] === after[begin]) begin += 1;
  while (end < least - begin && before[before.length - 1 - end] === after[after.length - 1 - end]) end += 1;
  return { begin, end };
}

const count = (bytes: number): string => `${bytes.toLocaleString("en")} ${bytes === 1 ? "byte" : "bytes"}`;

/** Saves the file with the signature in its place. Resolves to what was done, looked up in what was saved. */
export async function saveGrafted(
  file: ClientFile,
  place: GraftPlace,
  from: Grafting,
  short: boolean,
  picturesIn: PicturesIn,
): Promise<string> {
  const pictures: KitPictures = picturesIn === "carried" ? await fetchPictures(from) : new Map();
  const graft = graftOf(file, place, from, short, picturesIn, pictures);
  const [own, ...beside] = graftFiles(graft);
  if (!own) throw new Error("Nothing was written.");
  const { fragment } = graftFragment(graft);
  if (
    readHost(own.bytes).html.replace(/\s+/g, "") !==
    graftedHtml(file.host, place, fragment).replace(/\s+/g, "")
  )
    throw new Error(`${file.name} could not be written so that it reads as it should; nothing was saved.`);
  const { begin, end } = kept(file.bytes, own.bytes);
  const same =
    file.host.form === "page"
      ? `${count(begin)} before the signature and ${count(end)} behind it are as they were.`
      : "What else the file holds is as it was.";
  if (beside.length === 0) {
    saveFile(Uint8Array.from(own.bytes), own.path, "application/octet-stream");
    return `${own.path} is saved. ${same}`;
  }
  saveFile(Uint8Array.from(zipKit([own, ...beside])), `${own.path}.zip`, "application/zip");
  const folder = beside[0]?.path.split("/")[0] ?? "";
  return `${own.path} and its folder “${folder}” are saved in ${own.path}.zip: put both beside each other. ${same}`;
}
