/** Putting a signature in the place of words in a client's own file. */
import { toNumericReferences } from "../html";
import type { Edit } from "./byte-text";
import { GraftError } from "./graft-error";
import type { GraftedPicture, HostFile } from "./host-file";
import { editsFor } from "./written-lines";

/** Letters of one of a file's lines, or all of its body. */
export type GraftPlace =
  | { readonly kind: "body" }
  | { readonly kind: "words"; readonly line: number; readonly from: number; readonly to: number };

/** The place that is all of a line. */
export const wholeLine = (host: HostFile, line: number): GraftPlace => ({
  kind: "words",
  line,
  from: 0,
  to: host.lines[line]?.letters.length ?? 0,
});

const spaced = (words: string): string => words.replace(/[\s\u00a0]+/g, " ").trim();

/** Every place where words stand, letter by letter; where they stand nowhere so, without regard to capitals. */
export function findWords(host: HostFile, words: string): readonly GraftPlace[] {
  const wanted = spaced(words);
  if (wanted === "") return [];
  const exact = placesOf(host, wanted, (text) => text);
  return exact.length > 0 ? exact : placesOf(host, wanted, smallLetters);
}

/** In small letters, as many as before: a few letters become two. */
const smallLetters = (text: string): string =>
  [...text]
    .map((letter) => (letter.toLowerCase().length === letter.length ? letter.toLowerCase() : letter))
    .join("");

function placesOf(host: HostFile, words: string, read: (text: string) => string): readonly GraftPlace[] {
  const wanted = read(words);
  return host.lines.flatMap(({ text }, line) => {
    const found: GraftPlace[] = [];
    const searched = read(text);
    for (let at = searched.indexOf(wanted); at >= 0; at = searched.indexOf(wanted, at + wanted.length))
      found.push({ kind: "words", line, from: at, to: at + wanted.length });
    return found;
  });
}

/** The one place where words stand. Throws a GraftError that says what stands there, or how often they do. */
export function onlyPlace(host: HostFile, words: string): GraftPlace {
  const places = findWords(host, words);
  const [place] = places;
  if (place && places.length === 1) return place;
  const named = `“${spaced(words)}”`;
  if (places.length > 1)
    throw new GraftError(
      `${named} stands in this file ${places.length} times: choose the one that is meant, or use a word that stands there once.`,
    );
  const [first] = host.lines;
  throw new GraftError(
    first
      ? `${named} does not stand in this file. It begins with “${first.text.slice(0, 60)}”.`
      : `${named} does not stand in this file: it shows no words at all.`,
  );
}

/** What is replaced in the HTML of a file when a fragment is put in a place. */
export function graftEdits(host: HostFile, place: GraftPlace, fragment: string): readonly Edit[] {
  const text = toNumericReferences(fragment);
  if (place.kind === "body") return [{ ...host.body, text }];
  const line = host.lines[place.line];
  if (!line) throw new RangeError(`there is no line ${place.line} in ${host.lines.length}`);
  return editsFor(host.html, line, place.from, place.to, text);
}

/** The file with a fragment of HTML in a place, and with the pictures that it can hold. */
export const grafted = (
  host: HostFile,
  place: GraftPlace,
  fragment: string,
  pictures: readonly GraftedPicture[] = [],
): Uint8Array => host.written(graftEdits(host, place, fragment), pictures);

/** The HTML of a file as it will be. */
export function graftedHtml(host: HostFile, place: GraftPlace, fragment: string): string {
  let written = "";
  let at = 0;
  for (const edit of graftEdits(host, place, fragment)) {
    written += host.html.slice(at, edit.from) + edit.text;
    at = edit.to;
  }
  return written + host.html.slice(at);
}
