/**
 * What a kind of node or mark is. Each kind lives in one file that holds its structure, attributes, checks,
 * parse rule, drawing for the Bench and HTML writer side by side; the schema, the validator and the compiler
 * are derived from these descriptions and know nothing else of the document.
 */
import type { DOMOutputSpec, Mark, MarkSpec, Node, NodeSpec, TagParseRule } from "prosemirror-model";
import { flag, type Check } from "./values";
import type { ReadPieces } from "./inline";
import type { Writing } from "./writing";

export interface Attribute {
  /** Left out when the attribute must be given. */
  readonly default?: unknown;
  readonly check: Check;
}

/** What every row and every part of a cell has: whether a reply's short form holds it. */
export const partAttributes: Readonly<Record<"inShortForm", Attribute>> = {
  inShortForm: { default: true, check: flag },
};

interface Kind {
  readonly name: string;
  /** The word for it in places and breadcrumbs: "row", "picture". */
  readonly word: string;
  readonly structure: Omit<NodeSpec, "attrs" | "parseDOM" | "toDOM" | "toDebugString">;
  readonly attributes: Readonly<Record<string, Attribute>>;
  /** Other HTML that reads as this kind, beside what `draw` writes. */
  readonly parse?: readonly TagParseRule[];
  /** How the Bench draws it; 0 marks where the content goes. Absent for text. */
  readonly draw?: (node: Node) => DOMOutputSpec;
}

/** A kind that stands by itself: it writes its own HTML and plain text, in reading order, lines parted by "\n". */
export interface BlockKind extends Kind {
  readonly write: (node: Node, writing: Writing) => string;
  readonly writePlain: (node: Node, writing: Writing) => string;
}

/** A kind that stands in a line: it says what it contributes, and the line writes it with its neighbours. */
export interface InlineKind extends Kind {
  readonly read: ReadPieces;
}

export type NodeKind = BlockKind | InlineKind;

export interface MarkKind {
  readonly name: string;
  readonly attributes: Readonly<Record<string, Attribute>>;
  readonly structure?: Omit<MarkSpec, "attrs" | "parseDOM" | "toDOM">;
  readonly parse: MarkSpec["parseDOM"];
  readonly draw: (mark: Mark) => DOMOutputSpec;
}

const dataName = "data-still-line";

/** Attributes that let our own drawing be read back, so that copy and paste on the Bench lose nothing. */
export const marked = (node: Node): Record<string, string> => ({
  [dataName]: `${node.type.name} ${JSON.stringify(node.attrs)}`,
});

/**
 * The parse rule that reads `marked` back. What comes from a clipboard is not to be trusted, so each value is
 * checked, and one that fails falls to its default.
 */
export function markedRule(kind: Pick<NodeKind, "name" | "attributes">): TagParseRule {
  return {
    tag: `[${dataName}^="${kind.name} "]`,
    priority: 60,
    getAttrs(element) {
      try {
        const given = JSON.parse(element.getAttribute(dataName)!.slice(kind.name.length + 1)) as Record<
          string,
          unknown
        >;
        const attributes: Record<string, unknown> = {};
        for (const [name, attribute] of Object.entries(kind.attributes))
          if (name in given && attribute.check(given[name]) === null) attributes[name] = given[name];
          else if (!("default" in attribute)) return false;
        return attributes;
      } catch {
        return false;
      }
    },
  };
}
