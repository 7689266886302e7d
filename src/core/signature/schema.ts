/** The one schema of the document, derived from the kinds. The Bench, the server and the compiler all use it. */
import { Schema, type AttributeSpec, type MarkSpec, type NodeSpec } from "prosemirror-model";
import type { Attributes } from "./description";
import { markedRule, type MarkKind, type NodeKind } from "./kind";
import { breakKind } from "./kinds/break";
import { buttonKind } from "./kinds/button";
import { cellKind } from "./kinds/cell";
import { dividerKind } from "./kinds/divider";
import { iconRowKind } from "./kinds/icon-row";
import { inlinePictureKind } from "./kinds/inline-picture";
import { lineKind } from "./kinds/line";
import { personFieldKind } from "./kinds/person-field";
import { pictureKind } from "./kinds/picture";
import { rowKind } from "./kinds/row";
import { separatorKind } from "./kinds/separator";
import { signatureKind } from "./kinds/signature";
import { spacerKind } from "./kinds/spacer";
import { tableKind } from "./kinds/table";
import { textKind } from "./kinds/text";
import { boldKind } from "./marks/bold";
import { colorKind } from "./marks/color";
import { fontKind } from "./marks/font";
import { highlightKind } from "./marks/highlight";
import { italicKind } from "./marks/italic";
import { letterSpacingKind } from "./marks/letter-spacing";
import { linkKind } from "./marks/link";
import { subscriptKind, superscriptKind } from "./marks/script";
import { sizeKind } from "./marks/size";
import { strikethroughKind } from "./marks/strikethrough";
import { underlineKind } from "./marks/underline";
import { upperCaseKind } from "./marks/upper-case";

/** The first block kind is what an empty cell is filled with, so the line stands before the others. */
const nodeKindList = [
  signatureKind,
  lineKind,
  tableKind,
  rowKind,
  cellKind,
  pictureKind,
  iconRowKind,
  buttonKind,
  dividerKind,
  spacerKind,
  textKind,
  breakKind,
  personFieldKind,
  inlinePictureKind,
  separatorKind,
];

/** The order is the order in which marks nest: a link holds all the styling of its text. */
const markKindList = [
  linkKind,
  highlightKind,
  colorKind,
  sizeKind,
  fontKind,
  letterSpacingKind,
  upperCaseKind,
  boldKind,
  italicKind,
  underlineKind,
  strikethroughKind,
  superscriptKind,
  subscriptKind,
];

export type NodeName = (typeof nodeKindList)[number]["name"];
export type MarkName = (typeof markKindList)[number]["name"];

export const nodeKinds: ReadonlyMap<string, NodeKind> = new Map(
  nodeKindList.map((kind) => [kind.name, kind]),
);
export const markKinds: ReadonlyMap<string, MarkKind> = new Map(
  markKindList.map((kind) => [kind.name, kind]),
);

/** Throws a RangeError for a name that no kind has. */
export function kindOf(name: string): NodeKind {
  const kind = nodeKinds.get(name);
  if (!kind) throw new RangeError(`There is no kind of node ${JSON.stringify(name)}`);
  return kind;
}

const attributeSpecs = (attributes: Attributes): Record<string, AttributeSpec> =>
  Object.fromEntries(
    Object.entries(attributes).map(([name, attribute]) => [
      name,
      {
        ...("default" in attribute ? { default: attribute.default } : {}),
        validate: (value: unknown) => {
          const complaint = attribute.value.check(value);
          if (complaint) throw new RangeError(`${name} ${complaint}`);
        },
      },
    ]),
  );

function nodeSpec(kind: NodeKind): NodeSpec {
  const { draw } = kind;
  return {
    ...kind.structure,
    attrs: attributeSpecs(kind.attributes),
    ...("leastWidth" in kind ? { leastWidth: kind.leastWidth } : {}),
    ...(draw ? { toDOM: draw, parseDOM: [markedRule(kind), ...(kind.parse ?? [])] } : {}),
  };
}

const markSpec = (kind: MarkKind): MarkSpec => ({
  ...kind.structure,
  attrs: attributeSpecs(kind.attributes),
  parseDOM: kind.parse,
  toDOM: kind.draw,
});

const record = <N extends string, T>(entries: readonly (readonly [N, T])[]): Record<N, T> =>
  Object.fromEntries(entries) as Record<N, T>;

export const schema = new Schema<NodeName, MarkName>({
  topNode: "signature",
  nodes: record(nodeKindList.map((kind) => [kind.name, nodeSpec(kind)] as const)),
  marks: record(markKindList.map((kind) => [kind.name, markSpec(kind)] as const)),
});
