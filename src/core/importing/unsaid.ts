/**
 * What compiled HTML does not say of its document (fields of the directory, parts that show nothing, what is in the short
 * form, letters before they were made capitals), said beside the parts that it belongs to, so that importing gives the
 * very document back. Written only where importing would give something else: most parts need nothing.
 */
import type { Node } from "prosemirror-model";
import { elementsIn, escapeAttribute, type Element } from "../html";
import { settingsOf } from "../signature";
import { openHtml, type ImportReading } from "./import-html";
import { pairChildren } from "./pair-children";
import {
  markOfPart,
  markOfSettings,
  residueAttribute,
  writeNode,
  writeResidue,
  type Residue,
} from "./reading/residue";

type Json = Record<string, unknown>;

/** Attributes in which a node differs from another of its kind; null where it does not. */
function differing(own: Readonly<Json>, other: Readonly<Json>): Json | null {
  const found: Json = {};
  for (const [name, value] of Object.entries(own))
    if (JSON.stringify(value) !== JSON.stringify(other[name])) found[name] = value;
  return Object.keys(found).length > 0 ? found : null;
}

/** The elements that parts may be told beside: those that one part alone was read from. */
function placesOf(reading: ImportReading): ReadonlyMap<Node, Element> {
  const counts = new Map<Element, number>();
  for (const element of reading.elements.values()) counts.set(element, (counts.get(element) ?? 0) + 1);
  const single = new Map<Node, Element>();
  for (const [node, element] of reading.elements) if (counts.get(element) === 1) single.set(node, element);
  return single;
}

/**
 * Gathers what must be said beside which element so that `read` comes to `own`. False where nothing beside it would do,
 * so that what is around it has to say it.
 */
function compare(
  own: Node,
  read: Node,
  places: ReadonlyMap<Node, Element>,
  said: Map<Element, Residue>,
): boolean {
  if (own.eq(read)) return true;
  if (own.type !== read.type) return false;
  const matched = new Map<number, number>();
  const inside = new Map<Element, Residue>();
  for (const [row, column] of pairChildren(own, read)) {
    const within = new Map<Element, Residue>();
    if (!compare(own.child(row), read.child(column), places, within)) continue;
    matched.set(row, column);
    for (const [element, residue] of within) inside.set(element, residue);
  }
  const content = own.children.map((child, index) => matched.get(index) ?? writeNode(child));
  const asRead = own.childCount === read.childCount && content.every((item, index) => item === index);
  const attributes = differing(own.attrs, read.attrs);
  const element = places.get(read);
  if (attributes || !asRead) {
    if (!element) return false;
    const differs = { ...(attributes ? { a: attributes } : {}), ...(asRead ? {} : { c: content }) };
    said.set(element, { o: markOfPart(read, differs), ...differs });
  }
  for (const [place, residue] of inside) said.set(place, residue);
  return true;
}

/** The HTML with an attribute put into the start tags of some of its elements, and no other byte changed. */
function spliced(html: string, places: ReadonlyMap<number, string>): string {
  let written = "";
  let from = 0;
  for (const [at, attribute] of [...places].sort(([one], [other]) => one - other)) {
    written += `${html.slice(from, at)} ${attribute}`;
    from = at;
  }
  return written + html.slice(from);
}

/** Where the start tag of an element ends, before its bracket; null for one that the HTML has no tag of. */
function startTagEnd({ sourceCodeLocation }: Element): number | null {
  const tag = sourceCodeLocation?.startTag ?? sourceCodeLocation;
  return tag ? tag.endOffset - 1 : null;
}

function told(html: string, said: ReadonlyMap<Element, Residue>): string {
  const places = new Map<number, string>();
  for (const [element, residue] of said) {
    const end = startTagEnd(element);
    if (end !== null) places.set(end, `${residueAttribute}="${escapeAttribute(writeResidue(residue))}"`);
  }
  return spliced(html, places);
}

interface Told {
  readonly reading: ImportReading;
  readonly outer: Node;
  /** Beside which the whole is told: its own table, or where the HTML shows none the first element. */
  readonly place: Element;
  readonly first: Element;
  readonly ofDocument: boolean;
}

function outerOf(reading: ImportReading): Told | null {
  const outer = reading.imported.document.firstChild;
  const own = outer && reading.elements.get(outer);
  const [first] = elementsIn(reading.body);
  if (!outer || !first) return null;
  const place = own && own !== reading.body ? own : first;
  return { reading, outer, first, place, ofDocument: place !== own };
}

/**
 * Compiled HTML of a document that importing gives back equal: for HTML destinations, whoever's details are drawn. HTML
 * without any element comes back as it is.
 */
export function withUnsaid(html: string, document: Node): string {
  const readAs = openHtml(html, { located: true });
  const first = outerOf(readAs(null));
  const own = document.firstChild;
  if (!first || !own) return html;
  // Settings come first: all looks are told from them.
  const differ = differing(document.attrs, first.reading.settings);
  const settings: Residue = differ
    ? { t: markOfSettings(first.reading.settings, { s: differ }), s: differ }
    : {};
  const whole: Residue = first.ofDocument ? { d: true } : {};
  const second = differ ? outerOf(readAs(settingsOf(document))) : first;
  if (!second) return html;
  const said = new Map<Element, Residue>();
  const places = new Map(placesOf(second.reading));
  places.delete(second.outer);
  if (!first.ofDocument) places.set(second.outer, second.place);
  if (compare(own, second.outer, places, said)) {
    const around: Residue = { ...whole, ...said.get(second.place), ...settings };
    if (Object.keys(around).some((name) => name !== "d")) said.set(second.place, around);
  } else {
    said.clear();
    const all = { a: own.attrs, c: own.children.map(writeNode) };
    said.set(second.first, { d: true, o: markOfPart(second.outer, all), ...all, ...settings });
  }
  return told(html, said);
}
