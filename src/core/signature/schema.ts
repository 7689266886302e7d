/** The one schema of the document, derived from the kinds. The Bench, the server and the compiler all use it. */
import { Schema, type AttributeSpec, type MarkSpec, type NodeSpec } from "prosemirror-model";
import { markedRule, type Attribute, type MarkKind, type NodeKind } from "./kind";
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
import { italicKind } from "./marks/italic";
import { letterSpacingKind } from "./marks/letter-spacing";
import { linkKind } from "./marks/link";
import { sizeKind } from "./marks/size";
import { underlineKind } from "./marks/underline";
import { upperCaseKind } from "./marks/upper-case";

/** The first block kind is what an empty cell is filled with, so the line stands before the others. */
const nodeKindList: readonly NodeKind[] = [
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
const markKindList: readonly MarkKind[] = [
  linkKind,
  colorKind,
  sizeKind,
  fontKind,
  letterSpacingKind,
  upperCaseKind,
  boldKind,
  italicKind,
  underlineKind,
];

export const nodeKinds: ReadonlyMap<string, NodeKind> = new Map(
  nodeKindList.map((kind) => [kind.name, kind]),
);
export const markKinds: ReadonlyMap<string, MarkKind> = new Map(
  markKindList.map((kind) => [kind.name, kind]),
);

const attributeSpecs = (attributes: Readonly<Record<string, Attribute>>): Record<string, AttributeSpec> =>
  Object.fromEntries(
    Object.entries(attributes).map(([name, attribute]) => [
      name,
      {
        ...("default" in attribute ? { default: attribute.default } : {}),
        validate: (value: unknown) => {
          const complaint = attribute.check(value);
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
    ...(draw ? { toDOM: draw, parseDOM: [markedRule(kind), ...(kind.parse ?? [])] } : {}),
  };
}

const markSpec = (kind: MarkKind): MarkSpec => ({
  ...kind.structure,
  attrs: attributeSpecs(kind.attributes),
  parseDOM: kind.parse,
  toDOM: kind.draw,
});

export const schema = new Schema({
  topNode: "signature",
  nodes: Object.fromEntries(nodeKindList.map((kind) => [kind.name, nodeSpec(kind)])),
  marks: Object.fromEntries(markKindList.map((kind) => [kind.name, markSpec(kind)])),
});
