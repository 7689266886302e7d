/** What is different between a signature as it was installed and as it is now, in sentences for whoever installed it. */
import type { Node } from "prosemirror-model";
import { compile } from "../compile";
import {
  fieldLabel,
  fieldsOf,
  isPictureField,
  readPictureDetail,
  typedValue,
  type FieldId,
  type Person,
} from "../people";
import { image, linksOf, picturesOf, settingsOf, type Settings } from "../signature";

/** A signature at one time: all that its HTML comes from. */
export interface Told {
  readonly document: Node;
  readonly person: Person | null;
  /** The public address of hosted pictures. */
  readonly base: string;
}

const quoted = (text: string): string => `“${text}”`;

/** How one value became another; either may be nothing. */
function became(what: string, before: string, after: string): string {
  if (before === "") return `${what} is ${quoted(after)} now; there was none.`;
  if (after === "") return `${what} ${quoted(before)} is gone.`;
  return `${what} is ${quoted(after)} now, no longer ${quoted(before)}.`;
}

/** How a picture became another, or another part of itself. */
function pictureBecame(field: FieldId, before: string, after: string): string {
  const [old, own] = [before, after].map(readPictureDetail);
  if (!old) return `${fieldLabel(field)} is there now; there was none.`;
  if (!own) return `${fieldLabel(field)} is gone.`;
  return old.original === own.original
    ? `${fieldLabel(field)} shows another part of the photograph.`
    : `${fieldLabel(field)} is another photograph.`;
}

const plain = (document: Node, person: Person | null, base: string): string =>
  compile(document, { destination: "plain-text", person, base });

const html = ({ document, person, base }: Told): string =>
  compile(document, { destination: "webmail-paste", person, base });

/** The details that show: those whose change alone changes the HTML. */
function ofDetails(before: Told, after: Told): readonly string[] {
  const [old, own] = [before.person, after.person];
  if (old === null && own === null) return [];
  if (old === null) return [`It is ${own?.name || "somebody"}’s now; it was nobody’s.`];
  if (own === null) return [`It is nobody’s now; it was ${old.name || "somebody"}’s.`];
  const shown = html(before);
  return fieldsOf([old, own]).flatMap((field) => {
    const [was, is] = [typedValue(old, field), typedValue(own, field)];
    if (was === is) return [];
    const pictures = { ...old.pictures, ...own.pictures };
    const changed = html({ ...before, person: { ...old, [field]: is, pictures } });
    if (changed === shown) return [];
    return [isPictureField(field) ? pictureBecame(field, was, is) : became(fieldLabel(field), was, is)];
  });
}

/** Lines of text that are there once more before or after, each with the one that took its place. */
function ofWords(before: Told, after: Told): readonly string[] {
  // Whose details they are is told by the details.
  const lines = ({ document }: Told): string[] =>
    plain(document, after.person, after.base)
      .split("\n")
      .map((line) => line.trim())
      .filter((line) => line !== "");
  const [old, own] = [lines(before), lines(after)];
  const without = (all: readonly string[], others: readonly string[]): string[] => {
    const left = [...others];
    return all.filter((line) => {
      const at = left.indexOf(line);
      if (at >= 0) left.splice(at, 1);
      return at < 0;
    });
  };
  const [gone, come] = [without(old, own), without(own, old)];
  return Array.from({ length: Math.max(gone.length, come.length) }, (_unused, index) =>
    became("A line", gone[index] ?? "", come[index] ?? ""),
  );
}

function ofPictures(before: Told, after: Told): readonly string[] {
  const pictures = ({ document }: Told) =>
    picturesOf(document, after.person).map(({ node }) => image.of(node));
  const [old, own] = [pictures(before), pictures(after)];
  const named = (alt: string): string => (alt === "" ? "A picture" : `The picture ${quoted(alt)}`);
  if (old.length !== own.length)
    return [
      `It has ${own.length} ${own.length === 1 ? "picture" : "pictures"} now, no longer ${old.length}.`,
    ];
  return own.flatMap(({ source, alt, width, height }, index) => {
    const was = old[index];
    if (!was) return [];
    if (was.source !== source) return [`${named(was.alt || alt)} is another file.`];
    if (was.width !== width || was.height !== height)
      return [`${named(alt)} is ${width} × ${height} px now, no longer ${was.width} × ${was.height}.`];
    return was.alt === alt ? [] : [became("What a picture says", was.alt, alt)];
  });
}

function ofLinks(before: Told, after: Told): readonly string[] {
  const links = (told: Told) => linksOf(told.document, after.person);
  const [old, own] = [links(before), links(after)];
  if (old.length !== own.length) return [`It has ${own.length} links now, no longer ${old.length}.`];
  return own.flatMap(({ href, text }, index) => {
    const was = old[index];
    if (!was || was.href === href) return [];
    const named = text === "" ? "A link" : quoted(text);
    return [`${named} leads to ${href} now, no longer to ${was.href}.`];
  });
}

const settingNames = {
  font: "The font",
  size: "The size of its text",
  textColor: "The colour of its text",
  linkColor: "The colour of its links",
} as const satisfies Partial<Record<keyof Settings, string>>;

function ofSettings(before: Told, after: Told): readonly string[] {
  const [old, own] = [settingsOf(before.document), settingsOf(after.document)];
  return (Object.keys(settingNames) as (keyof typeof settingNames)[]).flatMap((name) =>
    old[name] === own[name] ? [] : [became(settingNames[name], String(old[name]), String(own[name]))],
  );
}

/** Null where both give the same HTML; else at least one sentence. Throws a RangeError for a base that is no http address. */
export function whatChanged(before: Told, after: Told): readonly string[] | null {
  if (html(before) === html(after)) return null;
  const said = [
    ...ofDetails(before, after),
    ...ofWords(before, after),
    ...ofPictures(before, after),
    ...ofLinks(before, after),
    ...ofSettings(before, after),
  ];
  const onlyBase =
    before.base !== after.base && html({ ...before, base: after.base }) !== html(before)
      ? [`Its pictures are at ${after.base} now, no longer at ${before.base}.`]
      : [];
  const all = [...said, ...onlyBase];
  return all.length > 0 ? all : ["Spacing, borders, sizes or colours of its parts are others."];
}
