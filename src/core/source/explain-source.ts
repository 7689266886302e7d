/** What stands at a place in the source, in the words of somebody who builds signatures: "the size of the name". */
import type { Node } from "prosemirror-model";
import { toHex } from "../color";
import { readDeclarationsAt, readValue, type Extent } from "../html";
import { fieldLabel, type Person } from "../people";
import { button, fieldText, iconRow, image, personField, placeStep, wordsIn } from "../signature";
import { attributeValue } from "./check-source";
import type { SourcePlace } from "./open-source";
import { elementAt, type SourceElement } from "./source-tree";
import { attributeWords, elementWords, propertyWords } from "./source-words";

/** A value that is better seen than read. */
export type Seen =
  | {
      readonly kind: "color";
      readonly hex: string;
      /** Where the colour begins in the source. */
      readonly from: number;
    }
  | { readonly kind: "picture"; readonly address: string }
  | { readonly kind: "link"; readonly href: string };

export interface Explanation extends Extent {
  /** A phrase without a full stop. */
  readonly says: string;
  readonly seen: Seen | null;
}

export interface ExplainedSource {
  readonly html: string;
  readonly elements: readonly SourceElement[];
  readonly document: Node;
  readonly places: readonly SourcePlace[];
  /** Whose details the source shows. */
  readonly person: Person | null;
}

const longestQuoted = 32;

const quoted = (text: string): string => {
  const plain = text.replace(/[\s\u00a0]+/g, " ").trim();
  return `“${plain.length > longestQuoted ? `${plain.slice(0, longestQuoted - 1)}…` : plain}”`;
};

/** A text in a line by what it is of the person, or quoted. */
function nameOfText(text: string, line: Node, person: Person | null): string {
  const plain = text.replace(/[\s\u00a0]+/g, " ").trim();
  const field = line.children.find(
    (child) => personField.is(child) && fieldText(child, person).toLowerCase() === plain.toLowerCase(),
  );
  if (field) return `the ${fieldLabel(personField.of(field).field).toLowerCase()}`;
  return plain === "" ? "the space" : quoted(text);
}

/** What a part is called where something is said of it. */
export function nameOfPart(
  { document, person }: Pick<ExplainedSource, "document" | "person">,
  position: number,
): string {
  const node = document.nodeAt(position);
  if (!node) return "the signature";
  const at = document.resolve(position);
  const step = placeStep(wordsIn(at.parent), at.index());
  if (image.is(node)) {
    const { alt } = image.of(node);
    const word = iconRow.is(at.parent) ? "icon" : "picture";
    return alt ? `the ${word} ${quoted(alt)}` : `the ${word}`;
  }
  switch (node.type.name) {
    case "table":
      return at.depth === 0 ? "the signature" : "the nested table";
    case "row":
      return step;
    case "cell":
      return `${step} of ${placeStep(wordsIn(at.node(-1)), at.index(-1))}`;
    case "line": {
      const text = node.textBetween(0, node.content.size, "", (leaf) =>
        personField.is(leaf) ? fieldText(leaf, person) : " ",
      );
      const fields = node.children.filter((child) => personField.is(child));
      return fields.length === 1 && node.childCount === 1
        ? nameOfText(text, node, person)
        : `the line ${quoted(text)}`;
    }
    case "iconRow":
      return "the row of icons";
    case "button":
      return button.is(node) ? `the button ${quoted(node.textContent)}` : "the button";
    case "divider":
      return "the divider";
    case "spacer":
      return "the gap";
    default:
      return step;
  }
}

const within = (inner: Extent, outer: Extent): boolean => outer.from <= inner.from && inner.to <= outer.to;

/** The words that an element shows. */
const textOf = (html: string, { from, to }: Extent): string =>
  html
    .slice(from, to)
    .replace(/<[^>]*>/g, "")
    .replace(/&nbsp;/g, " ")
    .replace(/&amp;/g, "&")
    .replace(/&lt;/g, "<")
    .replace(/&gt;/g, ">");

/** What an element is of the signature, and whether it is the part itself. */
function subjectOf(
  source: ExplainedSource,
  element: SourceElement,
): { readonly name: string; readonly part: boolean } {
  const { places, document, html, person } = source;
  const own = places.findLast(({ from, to }) => from === element.from && to === element.to);
  if (own) return { name: nameOfPart(source, own.position), part: true };
  const inside = places.filter((place) => within(place, element));
  const [only] = inside;
  if (only && inside.length === 1 && !element.hasText)
    return { name: nameOfPart(source, only.position), part: false };
  let around: SourcePlace | null = null;
  for (const place of places)
    if (within(element, place) && (!around || within(place, around))) around = place;
  if (!around) return { name: "the signature", part: false };
  const node = document.nodeAt(around.position);
  const name =
    node?.type.name === "line"
      ? nameOfText(textOf(html, element), node, person)
      : nameOfPart(source, around.position);
  return { name, part: false };
}

function elementSays(
  { tag, hasText }: SourceElement,
  { name, part }: { name: string; part: boolean },
): string {
  const words = elementWords[tag.name];
  if (words && !part) return words.replace("{it}", name);
  if (!part && (tag.name === "td" || tag.name === "tr" || tag.name === "table") && !hasText)
    return `what holds ${name}`;
  return name;
}

/** What stands at an offset; null between elements. */
export function explainSource(source: ExplainedSource, offset: number): Explanation | null {
  const { html, elements } = source;
  const element = elementAt(elements, offset);
  if (!element) return null;
  const subject = subjectOf(source, element);
  const { tag } = element;
  if (offset >= tag.to) {
    const closing = html.lastIndexOf("</", element.to);
    if (tag.kind === "start" && offset >= closing)
      return {
        from: closing,
        to: element.to,
        says: `the end of ${elementSays(element, subject)}`,
        seen: null,
      };
    return { from: tag.to, to: Math.max(tag.to, closing), says: subject.name, seen: null };
  }
  const attribute = tag.attributes.find(({ from, to }) => from <= offset && offset < to);
  if (!attribute) return { from: tag.from, to: tag.to, says: elementSays(element, subject), seen: null };
  const say = (words: string | undefined, name: string): string =>
    (words ?? `“${name}” of {it}, which is not kept`).replace("{it}", subject.name);
  if (attribute.name === "style") {
    const declaration = readDeclarationsAt(html, attribute).declarations.find(
      ({ from, to }) => from <= offset && offset <= to,
    );
    if (declaration) {
      const { property, value, valueAt, from, to } = declaration;
      const words = property.startsWith("mso-")
        ? "read by document engines only, of {it}"
        : propertyWords[property];
      const hex = toHex(value);
      return {
        from,
        to,
        says: say(words, property),
        seen: hex ? { kind: "color", hex, from: valueAt.from } : null,
      };
    }
  }
  const { name, from, to } = attribute;
  const value = attributeValue(html, attribute).replaceAll("&amp;", "&");
  const hex = name === "bgcolor" || name === "color" ? toHex(value) : null;
  const seen: Seen | null =
    name === "href"
      ? { kind: "link", href: value }
      : name === "src"
        ? { kind: "picture", address: value }
        : hex
          ? { kind: "color", hex, from: html.indexOf(value, from + name.length) }
          : null;
  return { from, to, says: say(attributeWords[name], name), seen };
}

/** A colour where it is written. */
export interface SourceColor extends Extent {
  readonly hex: string;
}

/** Every colour in styles and attributes, in their order. */
export function colorsIn(html: string, elements: readonly SourceElement[]): readonly SourceColor[] {
  return elements.flatMap(({ tag }) =>
    tag.attributes.flatMap((attribute) => {
      if (attribute.name === "bgcolor" || attribute.name === "color") {
        const value = attributeValue(html, attribute);
        const hex = toHex(value);
        const from = html.indexOf(value, attribute.from + attribute.name.length);
        return hex ? [{ from, to: from + value.length, hex }] : [];
      }
      return attribute.name === "style" ? colorsOfStyle(html, attribute) : [];
    }),
  );
}

const colorsOfStyle = (html: string, attribute: SourceElement["tag"]["attributes"][number]): SourceColor[] =>
  readDeclarationsAt(html, attribute).declarations.flatMap(({ value, valueAt }) =>
    readValue(value).colors.flatMap(({ source, from, to }) => {
      const hex = toHex(source);
      return hex ? [{ from: valueAt.from + from, to: valueAt.from + to, hex }] : [];
    }),
  );
