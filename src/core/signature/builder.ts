/** Writing documents by hand: short names for the nodes and marks, with every default filled in. Lengths in px. */
import type { Mark, Node } from "prosemirror-model";
import type { FieldId } from "../people";
import type { AttributesOf, Description } from "./description";
import type { button } from "./kinds/button";
import type { cell } from "./kinds/cell-attributes";
import { type CellAttributes } from "./kinds/cell-attributes";
import type { divider } from "./kinds/divider";
import type { iconRow } from "./kinds/icon-row";
import type { personField } from "./kinds/person-field";
import { type PersonFieldAttributes } from "./kinds/person-field";
import type { image, picture } from "./kinds/picture";
import { type PictureAttributes } from "./kinds/picture";
import type { separator } from "./kinds/separator";
import type { spacer } from "./kinds/spacer";
import type { textColor } from "./marks/color";
import type { link } from "./marks/link";
import { type LinkAttributes } from "./marks/link";
import type { size } from "./marks/size";
import { schema } from "./schema";
import type { signatureSettings } from "./settings";
import { noSides, type Border, type Sides } from "./values";

const { nodes, marks } = schema;

type Given<D> = D extends Description<infer A> ? Partial<AttributesOf<A>> : never;
type Content = Node | readonly Node[] | null;

/** The styling of text. */
export const style = {
  bold: marks.bold.create(),
  italic: marks.italic.create(),
  upperCase: marks.upperCase.create(),
  size: (px: number): Mark => marks.size.create({ size: px } satisfies Given<typeof size>),
  color: (hex: string): Mark => marks.color.create({ color: hex } satisfies Given<typeof textColor>),
  link: (href: string, look: Partial<Omit<LinkAttributes, "href">> = {}): Mark =>
    marks.link.create({ ...look, href } satisfies Given<typeof link>),
} as const;

export interface CellPlan extends Partial<Pick<CellAttributes, "background" | "align" | "verticalAlign">> {
  /** The width of each column that it covers. */
  readonly width: readonly number[];
  readonly padding?: Partial<Sides<number>>;
  readonly border?: Partial<Sides<Border | null>>;
}

/** One function a kind of node. Each throws a RangeError for an attribute that the document may not hold. */
export const build = {
  text: (value: string, ...styles: readonly Mark[]): Node => schema.text(value, styles),
  field: (
    field: FieldId,
    options: Partial<Omit<PersonFieldAttributes, "field">> = {},
    ...styles: readonly Mark[]
  ): Node =>
    nodes.personField.create({ field, ...options } satisfies Given<typeof personField>, null, styles),
  separator: (glyph: string, gap: number, ...styles: readonly Mark[]): Node =>
    nodes.separator.create({ glyph, gap } satisfies Given<typeof separator>, null, styles),
  comma: (): Node =>
    nodes.separator.create({ glyph: ",", gap: 4, gapBefore: 0 } satisfies Given<typeof separator>),
  lineBreak: (): Node => nodes.break.create(),
  line: (...content: readonly Node[]): Node => nodes.line.create(null, content),
  spacer: (height: number): Node => nodes.spacer.create({ height } satisfies Given<typeof spacer>),
  divider: (attributes: Given<typeof divider> = {}): Node => nodes.divider.create(attributes),
  button: (attributes: Given<typeof button>, ...label: readonly Node[]): Node =>
    nodes.button.create(attributes, label),
  picture: (attributes: Given<typeof picture>): Node => nodes.picture.create(attributes),
  icon: (attributes: Given<typeof image>, ...links: readonly Mark[]): Node =>
    nodes.inlinePicture.create(attributes, null, links),
  iconRow: (attributes: Given<typeof iconRow> = {}, ...icons: readonly Node[]): Node =>
    nodes.iconRow.create(attributes, icons),
  /** The place of a picture that is not chosen yet. */
  picturePlace: (width: number, height: number): Node =>
    nodes.picture.create({ source: "", width, height } satisfies Partial<PictureAttributes>),
  cell: ({ width, padding, border, ...rest }: CellPlan, ...content: readonly Node[]): Node =>
    nodes.cell.create(
      {
        ...rest,
        colspan: width.length,
        colwidth: width,
        padding: { ...noSides(0), ...padding },
        border: { ...noSides(null), ...border },
      } satisfies Given<typeof cell>,
      content,
    ),
  row: (...cells: readonly Node[]): Node => nodes.row.create(null, cells),
  table: (...rows: readonly Node[]): Node => nodes.table.create(null, rows),
  signature: (settings: Given<typeof signatureSettings>, table: Node): Node =>
    nodes.signature.create(settings, table),
} as const;

/** A cell with its attributes as they are, and other content. */
export const cellWith = (attributes: CellAttributes, content: Content): Node =>
  nodes.cell.create(attributes, content);
