/**
 * What a kind of node or mark is. Each kind lives in one file that holds its structure, attributes, parse rule, drawing
 * for the Bench and HTML writer side by side; the schema, the validator and the compiler are derived from these
 * descriptions and know nothing else of the document.
 */
import type { DOMOutputSpec, Mark, MarkSpec, Node, NodeSpec, TagParseRule } from "prosemirror-model";
import { condition } from "../people";
import { flag, optional } from "../values";
import { attribute, describeAttributes, type Attributes, type Description } from "./description";
import type { ReadPieces } from "./piece";
import type { Writing } from "./writing";

/** What every row and every part of a cell has: whether a reply's short form holds it, and whom it is shown for. */
export const partAttributes = {
  inShortForm: attribute(flag, true),
  /** Null is for everybody. */
  shownFor: attribute(optional(condition), null),
};

/** The kinds that a reply's short form can leave out. */
export const part = describeAttributes(null, partAttributes);

export const isLeftOut = (node: Node): boolean => part.is(node) && !part.of(node).inShortForm;

interface Kind<N extends string> {
  readonly name: N;
  /** The word for it in places and breadcrumbs: "row", "picture". */
  readonly word: string;
  readonly structure: Omit<NodeSpec, "attrs" | "parseDOM" | "toDOM" | "toDebugString">;
  readonly attributes: Attributes;
  /** Other HTML that reads as this kind, beside what `draw` writes. */
  readonly parse?: readonly TagParseRule[];
  /** How the Bench draws it; 0 marks where the content goes. Absent for text. */
  readonly draw?: (node: Node) => DOMOutputSpec;
}

/** A kind that stands by itself: it writes its own HTML and plain text, in reading order, lines parted by "\n". */
export interface BlockKind<N extends string = string> extends Kind<N> {
  readonly write: (node: Node, writing: Writing) => string;
  readonly writePlain: (node: Node, writing: Writing) => string;
  /** The px that it takes at least, however narrow its cell; nothing where it wraps. */
  readonly leastWidth?: (node: Node) => number;
}

/** The px that a part takes at least, however narrow its cell: 0 where it wraps. */
export const leastWidth = (part: Node): number =>
  (part.type.spec.leastWidth as BlockKind["leastWidth"])?.(part) ?? 0;

/** A kind that stands in a line: it says what it contributes, and the line writes it with its neighbours. */
export interface InlineKind<N extends string = string> extends Kind<N> {
  readonly read: ReadPieces;
}

export type NodeKind<N extends string = string> = BlockKind<N> | InlineKind<N>;

export const blockKind = <const N extends string>(kind: BlockKind<N>): BlockKind<N> => kind;
export const inlineKind = <const N extends string>(kind: InlineKind<N>): InlineKind<N> => kind;

export interface MarkKind<N extends string = string> {
  readonly name: N;
  readonly attributes: Attributes;
  readonly structure?: Omit<MarkSpec, "attrs" | "parseDOM" | "toDOM">;
  readonly parse: MarkSpec["parseDOM"];
  readonly draw: (mark: Mark) => DOMOutputSpec;
}

export const markKind = <const N extends string>(kind: MarkKind<N>): MarkKind<N> => kind;

/** A mark that says only that it is there. */
export const plainMark = (name: string): Description<Record<never, never>> => describeAttributes([name], {});

const dataName = "data-still-line";

/** Attributes that let our own drawing be read back, so that copy and paste on the Bench lose nothing. */
export const marked = (node: Node): Record<string, string> => ({
  [dataName]: `${node.type.name} ${JSON.stringify(node.attrs)}`,
});

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === "object" && value !== null;

/**
 * The parse rule that reads `marked` back. What comes from a clipboard is not to be trusted, so each value is
 * checked, and one that fails falls to its default.
 */
export function markedRule(kind: Pick<NodeKind, "name" | "attributes">): TagParseRule {
  return {
    tag: `[${dataName}^="${kind.name} "]`,
    priority: 60,
    getAttrs(element) {
      let given: unknown;
      try {
        given = JSON.parse((element.getAttribute(dataName) ?? "").slice(kind.name.length + 1));
      } catch {
        return false;
      }
      if (!isRecord(given)) return false;
      const attributes: Record<string, unknown> = {};
      for (const [name, described] of Object.entries(kind.attributes))
        if (name in given && described.value.check(given[name]) === null) attributes[name] = given[name];
        else if (!("default" in described)) return false;
      return attributes;
    },
  };
}
