/**
 * What HTML cannot say of a part, beside the part: an attribute that names what the document has there, and what the HTML
 * alone comes to. Where somebody changed the HTML in between, the two no longer agree, and the HTML is believed.
 *
 * `a` are attributes and `c` is the content, beside `o`, the mark of the part as it was read without them. A number in
 * the content is that child as it is read; only what no child of the HTML says is written out. `s` are settings beside
 * their mark `t`. With `d` it is of the whole document, whose own table the HTML does not show as one. Nodes are `[kind, attributes, content or text, marks]`, as far as they say something, and text without
 * marks is a string. Quotes are turned, so that the attribute stays short.
 */
import { Fragment, type Node } from "prosemirror-model";
import { attributeOf, type Element } from "../../html";
import { schema } from "../../signature";

export const residueAttribute = "data-still";

type Json = Readonly<Record<string, unknown>>;

export interface Residue {
  readonly o?: string;
  readonly a?: Json;
  readonly c?: readonly unknown[];
  readonly t?: string;
  readonly s?: Json;
  readonly d?: boolean;
}

/** A short mark of a text: FNV-1a of 32 bits, in base 36. It tells changes, and keeps nobody out. */
export function markOf(text: string): string {
  let hash = 0x811c9dc5;
  for (let at = 0; at < text.length; at++) {
    hash ^= text.charCodeAt(at);
    hash = Math.imul(hash, 0x01000193);
  }
  return (hash >>> 0).toString(36);
}

/** Content as a residue has it: a child of the HTML by its number, or a node that is written out. */
export type ResidueContent = readonly unknown[];

/** The values of some attributes, as they were read. */
const valuesOf = (attributes: Json, names: Json | undefined): readonly unknown[] =>
  Object.keys(names ?? {}).map((name) => attributes[name]);

/**
 * The mark of a part as it was read: of the attributes that a residue replaces, and of the children that it takes out or
 * replaces. What else changes in the HTML does not touch it.
 */
export function markOfPart(node: Node, { a, c }: Pick<Residue, "a" | "c">): string {
  const content = c ?? null;
  const kept = new Set(content?.filter((item) => typeof item === "number"));
  return markOf(
    JSON.stringify([
      node.type.name,
      valuesOf(node.attrs, a),
      content
        ? node.children.map((child, index): unknown => (kept.has(index) ? child.type.name : child.toJSON()))
        : node.childCount,
    ]),
  );
}

export const markOfSettings = (attributes: Json, { s }: Pick<Residue, "s">): string =>
  markOf(JSON.stringify(valuesOf(attributes, s)));

/** JSON without a double quote: those are turned, and the single ones in its strings are escaped. */
export const writeResidue = (residue: Residue): string =>
  JSON.stringify(residue).replaceAll("'", "\\u0027").replaceAll('"', "'");

const isRecord = (value: unknown): value is Json =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/** The residue beside a part; null where there is none, or it is not ours. Never throws. */
export function readResidue(element: Element): Residue | null {
  const written = attributeOf(element, residueAttribute);
  if (written === null) return null;
  try {
    const read: unknown = JSON.parse(written.replaceAll("'", '"'));
    if (!isRecord(read)) return null;
    const { o, t, a, c, s, d } = read;
    return {
      ...(typeof o === "string" ? { o } : {}),
      ...(typeof t === "string" ? { t } : {}),
      ...(isRecord(a) ? { a } : {}),
      ...(Array.isArray(c) ? { c: c as unknown[] } : {}),
      ...(isRecord(s) ? { s } : {}),
      ...(d === true ? { d } : {}),
    };
  } catch {
    return null;
  }
}

/** Attributes that are not as everywhere. */
function ownAttributes(
  attrs: Json,
  specs: Readonly<Record<string, { default?: unknown }>> | null | undefined,
): Json {
  return Object.fromEntries(
    Object.entries(attrs).filter(([name, value]) => {
      const spec = specs?.[name] ?? {};
      return !("default" in spec) || JSON.stringify(value) !== JSON.stringify(spec.default);
    }),
  );
}

/** A node in the fewest letters. */
export function writeNode(node: Node): unknown {
  const marks = Object.fromEntries(
    node.marks.map((mark) => [mark.type.name, ownAttributes(mark.attrs, mark.type.spec.attrs)]),
  );
  const marked = Object.keys(marks).length > 0;
  if (node.isText && !marked) return node.text;
  const attributes = ownAttributes(node.attrs, node.type.spec.attrs);
  const whole: unknown[] = [
    node.type.name,
    Object.keys(attributes).length > 0 ? attributes : 0,
    node.isText ? node.text : node.childCount > 0 ? node.children.map(writeNode) : 0,
    marked ? marks : 0,
  ];
  while (whole.at(-1) === 0) whole.pop();
  return whole;
}

/** Throws a RangeError for what is no node. */
function readNode(written: unknown): Node {
  if (typeof written === "string") return schema.text(written);
  const [name, attributes, content, given] = Array.isArray(written) ? (written as unknown[]) : [];
  const marks = isRecord(given)
    ? Object.entries(given).map(([mark, own]) => schema.mark(mark, isRecord(own) ? own : null))
    : [];
  if (name === "text") return schema.text(String(content), marks);
  return schema.node(
    String(name),
    isRecord(attributes) ? attributes : null,
    Array.isArray(content) ? content.map(readNode) : [],
    marks,
  );
}

/** The part as its residue has it, or as it was read where that says otherwise. Never throws. */
export function withResidue(node: Node, element: Element, ofDocument = false): Node {
  const residue = readResidue(element);
  if (!residue || (!residue.a && !residue.c) || (residue.d ?? false) !== ofDocument) return node;
  const { c } = residue;
  try {
    if (markOfPart(node, residue) !== residue.o) return node;
    const content = c
      ? Fragment.from(c.map((item) => (typeof item === "number" ? node.child(item) : readNode(item))))
      : node.content;
    const told = node.type.create({ ...node.attrs, ...residue.a }, content, node.marks);
    told.check();
    return told;
  } catch {
    // What is no node was not written here.
    return node;
  }
}
