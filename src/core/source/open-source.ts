/**
 * A signature's HTML as it is read and changed beside its sheet: laid out by tags, each part of the document with its place
 * in it, and whatever is typed read back as the document that it makes. Offsets count UTF-16 code units; positions are those
 * of the document.
 */
import type { Node } from "prosemirror-model";
import { compile } from "../compile";
import type { Element, Extent } from "../html";
import { pairChildren, readHtml, type ImportReading, type ToldNote } from "../importing";
import type { Person } from "../people";
import { line, readSignature, settingsOf, type Settings } from "../signature";
import { formatSource } from "./format-source";
import { byWords, keepUnsaid } from "./keep-unsaid";

/** A part of the document where it is written. */
export interface SourcePlace extends Extent {
  readonly position: number;
}

/** Something that the document cannot hold as it is written, and what becomes of it. */
export interface SourceNote extends Omit<ToldNote, "element"> {
  /** The element that it is about; null for all of the source. */
  readonly extent: Extent | null;
}

export interface SourceReading {
  readonly document: Node;
  /** Of every part that the source shows, what is around another before it. */
  readonly places: readonly SourcePlace[];
  readonly notes: readonly SourceNote[];
}

export interface OpenedSource {
  readonly text: string;
  /** The document that the source was made from. */
  readonly document: Node;
  readonly person: Person | null;
  /** What the source says by itself. */
  readonly before: ImportReading;
}

interface SourceOptions {
  /** Whose details are drawn. */
  readonly person: Person | null;
  /** The public address of hosted pictures. */
  readonly base: string;
}

const read = (text: string, settings: Settings): ImportReading => readHtml(text, { settings, located: true });

/** The source of a signature as it is built. */
export function openSource(document: Node, { person, base }: SourceOptions): OpenedSource {
  const text = formatSource(compile(document, { destination: "webmail-paste", person, base }));
  return { text, document, person, before: read(text, settingsOf(document)) };
}

/** How much a document says beside its settings: marks, and line heights of lines. */
function saysBeside(document: Node): number {
  let says = 0;
  document.descendants((node) => {
    says += node.marks.length;
    if (line.is(node) && line.of(node).lineHeight !== null) says += 1;
  });
  return says;
}

/**
 * What a changed source reads as. Its type belongs to the settings only where all that followed a setting follows the new
 * one: where all lines are set in another font the setting is, and where one of them is, that line says so.
 */
function readChanged(opened: OpenedSource, text: string): ImportReading {
  const settings = settingsOf(opened.document);
  const asBefore = read(text, settings);
  const changed = Object.fromEntries(
    Object.entries(asBefore.settings).filter(
      ([name, value]) => value !== opened.before.settings[name as keyof Settings],
    ),
  );
  if (Object.keys(changed).length === 0) return asBefore;
  const moved = read(text, { ...settings, ...changed });
  const allowed = Math.min(
    saysBeside(opened.before.imported.document),
    saysBeside(asBefore.imported.document) - 1,
  );
  const said = "direction" in changed || "language" in changed || "maxWidth" in changed;
  return saysBeside(moved.imported.document) <= allowed || said ? moved : asBefore;
}

const extentOf = (element: Element | null | undefined): Extent | null => {
  const location = element?.sourceCodeLocation;
  return location ? { from: location.startOffset, to: location.endOffset } : null;
};

/** Where each part of a document stands in the source that it was read from. */
function placesOf(document: Node, reading: ImportReading, person: Person | null): readonly SourcePlace[] {
  const places: SourcePlace[] = [];
  const worth = byWords(person);
  const put = (position: number, read: Node): void => {
    const extent = extentOf(reading.elements.get(read) ?? reading.pictures.get(read));
    if (extent) places.push({ position, ...extent });
  };
  const walk = (own: Node, read: Node, inside: number): void => {
    const starts: number[] = [];
    own.forEach((_child, offset) => void starts.push(inside + offset));
    if (own.inlineContent) {
      const pictures = (node: Node): number[] =>
        node.children.flatMap((child, index) => (child.isLeaf && reading.pictures.has(child) ? [index] : []));
      const shown = pictures(read);
      const owned = own.children.flatMap((child, index) =>
        child.type.name === "inlinePicture" ? [index] : [],
      );
      owned.forEach((index, at) => {
        const readAt = shown[at];
        if (readAt !== undefined) put(starts[index] ?? 0, read.child(readAt));
      });
      return;
    }
    for (const [ownIndex, readIndex] of pairChildren(own, read, worth)) {
      const [child, other] = [own.child(ownIndex), read.child(readIndex)];
      const at = starts[ownIndex] ?? 0;
      put(at, other);
      walk(child, other, at + 1);
    }
  };
  walk(document, reading.imported.document, 0);
  return places;
}

/** What a source says now: the document that it makes, and what that cannot hold. Never throws. */
export function readSource(opened: OpenedSource, text: string): SourceReading {
  const reading = text === opened.text ? opened.before : readChanged(opened, text);
  const { document: before } = opened.before.imported;
  const kept = keepUnsaid(opened.document, before, reading.imported.document, opened.person);
  // What comes of both may not go together; the source alone always does.
  const document =
    kept === opened.document || readSignature(kept.toJSON()).ok ? kept : reading.imported.document;
  return {
    document,
    places: placesOf(document, reading, opened.person),
    notes: reading.told.map(({ element, ...note }) => ({ ...note, extent: extentOf(element) })),
  };
}

/** The innermost part at an offset, or null. */
export function placeAtOffset(places: readonly SourcePlace[], offset: number): SourcePlace | null {
  let found: SourcePlace | null = null;
  for (const place of places)
    if (
      place.from <= offset &&
      offset <= place.to &&
      (!found || place.to - place.from <= found.to - found.from)
    )
      found = place;
  return found;
}

/** The innermost part around a stretch of the document, or null. */
export function placeAtPosition(
  places: readonly SourcePlace[],
  document: Node,
  from: number,
  to: number,
): SourcePlace | null {
  let found: SourcePlace | null = null;
  for (const place of places) {
    const end = place.position + (document.nodeAt(place.position)?.nodeSize ?? 0);
    if (place.position <= from && to <= end && (!found || place.position >= found.position)) found = place;
  }
  return found;
}
