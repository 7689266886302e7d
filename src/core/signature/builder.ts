/** Writing documents by hand: short names for the nodes and marks, with every default filled in. Lengths in px. */
import type { Mark, Node } from "prosemirror-model";
import type { FieldName } from "../people";
import type { HorizontalAlignment, VerticalAlignment } from "./kinds/cell";
import type { PersonFieldAttributes } from "./kinds/person-field";
import type { Settings } from "./kinds/signature";
import { schema } from "./schema";
import { noSides, type Border, type Sides } from "./values";

const { nodes, marks } = schema;

/** The styling of text. */
export const style = {
  bold: marks.bold!.create(),
  italic: marks.italic!.create(),
  upperCase: marks.upperCase!.create(),
  size: (px: number): Mark => marks.size!.create({ size: px }),
  color: (hex: string): Mark => marks.color!.create({ color: hex }),
  link: (href: string): Mark => marks.link!.create({ href }),
} as const;

export interface CellPlan {
  /** The width of each column that it covers. */
  readonly width: readonly number[];
  readonly padding?: Partial<Sides<number>>;
  readonly border?: Partial<Sides<Border | null>>;
  readonly background?: string;
  readonly align?: HorizontalAlignment;
  readonly verticalAlign?: VerticalAlignment;
}

/** One function a kind of node. Each throws a RangeError for an attribute that the document may not hold. */
export const build = {
  text: (value: string, ...styles: Mark[]): Node => schema.text(value, styles),
  field: (
    field: FieldName,
    options: Partial<Omit<PersonFieldAttributes, "field">> = {},
    ...styles: Mark[]
  ): Node => nodes.personField!.create({ field, ...options }, null, styles),
  separator: (glyph: string, gap: number, ...styles: Mark[]): Node =>
    nodes.separator!.create({ glyph, gap }, null, styles),
  comma: (): Node => nodes.separator!.create({ glyph: ",", gap: 4, gapBefore: 0 }),
  line: (...content: Node[]): Node => nodes.line!.create(null, content),
  spacer: (height: number): Node => nodes.spacer!.create({ height }),
  divider: (attributes: Readonly<Record<string, unknown>> = {}): Node => nodes.divider!.create(attributes),
  button: (attributes: Readonly<Record<string, unknown>>, ...label: Node[]): Node =>
    nodes.button!.create(attributes, label),
  picture: (attributes: Readonly<Record<string, unknown>>): Node => nodes.picture!.create(attributes),
  /** The place of a picture that is not chosen yet. */
  picturePlace: (width: number, height: number): Node => nodes.picture!.create({ source: "", width, height }),
  cell: ({ width, padding, border, ...rest }: CellPlan, ...content: Node[]): Node =>
    nodes.cell!.create(
      {
        ...rest,
        colspan: width.length,
        colwidth: width,
        padding: { ...noSides(0), ...padding },
        border: { ...noSides(null), ...border },
      },
      content,
    ),
  row: (...cells: Node[]): Node => nodes.row!.create(null, cells),
  table: (...rows: Node[]): Node => nodes.table!.create(null, rows),
  signature: (settings: Partial<Settings>, table: Node): Node => nodes.signature!.create(settings, table),
} as const;
