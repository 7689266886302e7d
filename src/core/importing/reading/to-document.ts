/** Parts as nodes of a document: measures brought within what it holds, looks as marks beside its settings. */
import type { Node } from "prosemirror-model";
import type { Element } from "../../html";
import {
  border as borderValue,
  borderStyle,
  button,
  cell as cellKind,
  divider,
  iconRow,
  letterSpacing,
  schema,
  signatureSettings,
  spacer,
  strutOf,
  widestColumn,
  type Border,
  type Settings,
  type SideName,
  type Sides,
} from "../../signature";
import { textSize, within, type Range } from "../../values";
import type { Reporter } from "../report";
import type { BorderSide, Look } from "../style/look";
import { dominantSettings, heldRatio } from "./dominant-look";
import { InlineNodes, withoutControls } from "./inline-nodes";
import { buttonWidth } from "./measure-table";
import {
  isBlankLine,
  isBlankPart,
  type ButtonPart,
  type DividerPart,
  type IconsPart,
  type LinePart,
} from "./parts";
import { heightOfRow, lineHeight } from "./row-heights";
import { markOfSettings, readResidue, withResidue } from "./residue";
import type { SizedCell, SizedPart, SizedTable } from "./size-table";

const { nodes } = schema;

/** Where a part stands: what its cell hands down to it. */
interface Around {
  readonly align: Look["align"];
  /** Inner width of the cell; px. */
  readonly room: number;
}

export interface DocumentReading {
  readonly document: Node;
  /** The element that each part was read from. */
  readonly elements: ReadonlyMap<Node, Element>;
  /** The element of each picture in a line or in a row of icons. */
  readonly pictures: ReadonlyMap<Node, Element>;
  /** The settings as the HTML alone has them. */
  readonly settings: Settings;
}

class DocumentWriter {
  readonly elements = new Map<Node, Element>();
  readonly pictures = new Map<Node, Element>();
  private readonly inlineNodes: InlineNodes;

  constructor(
    private readonly settings: Settings,
    private readonly reporter: Reporter,
    private readonly believed: boolean,
  ) {
    this.inlineNodes = new InlineNodes(settings, this.pictures);
  }

  /** A measure as its description lets it be; what is brought nearer by more than rounding is told. */
  private held(range: Range, value: number, element: Element, what: string): number {
    const held = within(range, value);
    if (Math.abs(held - value) > range.step) {
      const { least, most, unit } = range;
      const reason = `it is from ${least} to ${most}${unit && ` ${unit}`} here`;
      this.reporter.say(
        element,
        "changed",
        "size",
        `${what} of ${Math.round(value * 100) / 100}${unit}`,
        reason,
      );
    }
    return held;
  }

  private told(node: Node, element: Element): Node {
    const made = this.believed ? withResidue(node, element) : node;
    this.elements.set(made, element);
    return made;
  }

  table(table: SizedTable, around: Around): Node {
    const byRow: SizedCell[][] = Array.from({ length: table.rows }, () => []);
    for (const cell of table.cells) byRow[cell.row]?.push(cell);
    const rows = byRow.map((cells) => this.row(table, cells, around));
    return this.told(nodes.table.create(null, rows), table.element);
  }

  private row(table: SizedTable, cells: readonly SizedCell[], around: Around): Node {
    const written = cells.map((cell) => this.cell(table, cell, around));
    const row = nodes.row.create(
      { height: heightOfRow(cells, this.expectedHeight(this.settings.size)) },
      written,
    );
    const element = rowElement(cells[0]?.element ?? null);
    return element ? this.told(row, element) : row;
  }

  private cell(table: SizedTable, cell: SizedCell, around: Around): Node {
    const { element } = cell;
    const widths = table.widths.slice(cell.column, cell.column + cell.colspan);
    const placed = cell.parts.length === 1 && cell.parts[0]?.kind === "sized" ? cell.parts[0].place : null;
    const align = placed ?? (cell.saysAlign || cell.look.align !== around.align ? cell.look.align : null);
    // What is around says another alignment, and this cell says none: it begins where lines begin.
    const own = align ?? (around.align !== null && cell.look.align === null ? startOf(this.settings) : null);
    const room = Math.max(
      1,
      widths.reduce((sum, width) => sum + width, 0) - cell.padding.left - cell.padding.right,
    );
    const inside: Around = { align: placed ? own : (cell.look.align ?? own), room };
    const attributes = {
      colspan: cell.colspan,
      rowspan: cell.rowspan,
      colwidth: widths.map((width) => Math.min(widestColumn, Math.max(1, width))),
      padding: this.padding(cell),
      border: this.borders(cell),
      background: cell.background,
      align: own,
      verticalAlign: cell.verticalAlign,
    };
    const parts =
      cell.parts.every(isBlankPart) && cell.parts.length <= 1
        ? [nodes.line.create()]
        : this.parts(cell.parts, inside);
    return this.told(
      nodes.cell.create(attributes, parts.length > 0 ? parts : [nodes.line.create()]),
      element,
    );
  }

  private padding({ padding, element }: SizedCell): Sides<number> {
    const { fields } = cellKind.attributes.padding.value;
    const side = (name: SideName): number => this.held(fields[name], padding[name], element, "padding");
    return { top: side("top"), right: side("right"), bottom: side("bottom"), left: side("left") };
  }

  private borders({ border, element }: SizedCell): Sides<Border | null> {
    const side = (given: BorderSide | null): Border | null => {
      if (!given) return null;
      const style = borderStyle.check(given.style) === null ? (given.style as Border["style"]) : "solid";
      if (style !== given.style) {
        const reason = "clients draw it differently: it is solid";
        this.reporter.say(element, "changed", "border", `a ${given.style} border`, reason);
      }
      const width = this.held(borderValue.fields.width, given.width, element, "a border");
      const held: Border = { width, style, color: given.color };
      return borderValue.check(held) === null ? held : null;
    };
    return {
      top: side(border.top),
      right: side(border.right),
      bottom: side(border.bottom),
      left: side(border.left),
    };
  }

  private parts(parts: readonly SizedPart[], around: Around): readonly Node[] {
    return parts.flatMap((part) => {
      const node = this.part(part, around);
      return node ? [node] : [];
    });
  }

  part(part: SizedPart, around: Around): Node | null {
    switch (part.kind) {
      case "line":
        return this.line(part, around);
      case "picture":
        return this.picture(part, around);
      case "gap":
        return this.gap(part.height, part.element);
      case "divider":
        return this.divider(part, around);
      case "icons":
        return this.icons(part);
      case "button":
        return this.button(part);
      case "sized":
        return this.table(part, around);
    }
  }

  private gap(height: number, element: Element): Node | null {
    if (height < 0.5) return null;
    const held = this.held(spacer.attributes.height.value, height, element, "a gap");
    return this.told(nodes.spacer.create({ height: held }), element);
  }

  private expectedHeight(size: number): number {
    return Math.round(this.settings.lineHeight * size);
  }

  private line(part: LinePart, around: Around): Node | null {
    const height = lineHeight(part);
    if (isBlankLine(part.inlines)) {
      const breaks = part.inlines.filter(({ kind }) => kind === "break").length;
      const whole = height * (1 + breaks);
      return Math.round(whole) === this.expectedHeight(this.settings.size)
        ? this.told(nodes.line.create(), part.element)
        : this.gap(whole, part.element);
    }
    for (const inline of part.inlines)
      if (inline.kind === "text" && inline.text.trim() !== "") {
        this.held(textSize, inline.look.size, part.element, "type");
        this.held(
          letterSpacing.attributes.spacing.value,
          inline.look.letterSpacing,
          part.element,
          "letter spacing",
        );
      }
    const content = this.inlineNodes.of(part.inlines);
    const strut = strutOf(content, this.settings);
    const expected = this.expectedHeight(strut.size);
    const ratio = heldRatio(height / strut.size);
    const onlyPictures = part.inlines.every(({ kind }) => kind === "picture");
    const lineHeightOwn =
      Math.round(height) === expected || onlyPictures || ratio === this.settings.lineHeight ? null : ratio;
    const { align, direction } = part.look;
    return this.told(
      nodes.line.create(
        {
          align: align !== around.align && align !== null ? align : null,
          direction: direction === this.settings.direction ? null : direction,
          lineHeight: lineHeightOwn,
        },
        content,
      ),
      part.element,
    );
  }

  private picture({ picture, look, element }: SizedPart & { kind: "picture" }, around: Around): Node {
    // A picture that stands elsewhere than its cell says keeps its place in a line.
    if (look.align !== null && look.align !== around.align) {
      const line = nodes.line.create({ align: look.align }, [
        this.inlineNodes.picture(picture, look, element),
      ]);
      return this.told(line, element);
    }
    return this.told(nodes.picture.create({ ...picture, link: look.link }), element);
  }

  private divider({ thickness, style, color, width, element }: DividerPart, around: Around): Node {
    const px = width === null ? null : "px" in width ? width.px : (around.room * width.percent) / 100;
    return this.told(
      nodes.divider.create({
        thickness: this.held(divider.attributes.thickness.value, thickness, element, "a rule"),
        style: borderStyle.check(style) === null ? style : "solid",
        color,
        width:
          px === null || px >= around.room - 1.5 ? null : within(divider.attributes.width.value.value, px),
      }),
      element,
    );
  }

  private icons({ icons, size, gap, columns, stacked, element }: IconsPart): Node {
    for (const { picture, element: icon } of icons)
      if (Math.abs(picture.height - size) > 0)
        this.reporter.say(
          icon,
          "changed",
          "size",
          `an icon of ${picture.width} × ${picture.height} px`,
          `all icons of a row are ${size} px high`,
        );
    return this.told(
      nodes.iconRow.create(
        {
          size: this.held(iconRow.attributes.size.value, size, element, "icons"),
          gap: this.held(iconRow.attributes.gap.value, gap, element, "the room between icons"),
          direction: stacked ? "column" : "row",
          columns: columns <= iconRow.attributes.columns.value.most ? columns : 0,
        },
        icons.map(({ picture, look, element: icon }) => this.inlineNodes.picture(picture, look, icon)),
      ),
      element,
    );
  }

  private button(part: ButtonPart): Node {
    const [first] = part.label;
    const ink = first?.look.color ?? part.look.color;
    const label = part.label.flatMap((inline) => {
      if (inline.kind !== "text" || inline.text === "") return [];
      const allowed = this.inlineNodes.marksOf({
        ...inline.look,
        link: null,
        underline: false,
        highlight: null,
        color: this.settings.textColor,
      });
      return [schema.text(withoutControls(inline.text), allowed)];
    });
    const { attributes: measures } = button;
    return this.told(
      nodes.button.create(
        {
          link: part.link,
          background: part.background,
          color: ink,
          paddingVertical: within(measures.paddingVertical.value, part.paddingVertical),
          paddingHorizontal: within(measures.paddingHorizontal.value, part.paddingHorizontal),
          radius: within(measures.radius.value, part.radius),
          width: this.held(measures.width.value, buttonWidth(part), part.element, "a button"),
        },
        label,
      ),
      part.element,
    );
  }
}

const startOf = ({ direction }: Settings): Look["align"] => (direction === "rtl" ? "right" : "left");

function rowElement(cell: Element | null): Element | null {
  for (let around = cell?.parentNode ?? null; around && "tagName" in around; around = around.parentNode)
    if (around.tagName === "tr") return around;
    else if (around.tagName === "table") return null;
  return null;
}

/**
 * A whole document, with settings of its own or with `given` ones. `believed` is whether what stands beside the HTML counts; `first` is the first element of the message,
 * beside which that of the whole document stands where its own table is not one there.
 */
export function toDocument(
  table: SizedTable,
  first: Element | null,
  reporter: Reporter,
  believed: boolean,
  given: Settings | null,
): DocumentReading {
  const read = signatureSettings.of(nodes.signature.create(dominantSettings(table), nodes.table.create()));
  const ofFirst = believed && first ? readResidue(first) : null;
  const ofWhole = first && ofFirst?.d ? first : null;
  const residue = ofWhole ? ofFirst : believed ? readResidue(table.element) : null;
  const told = residue?.s && markOfSettings(read, residue) === residue.t ? { ...read, ...residue.s } : read;
  let settings = given ?? read;
  try {
    if (!given) settings = signatureSettings.of(nodes.signature.createChecked(told, nodes.table.create()));
  } catch {
    // What is no setting was not written here.
  }
  const writer = new DocumentWriter(settings, reporter, believed);
  const outer = writer.table(table, { align: null, room: settings.maxWidth });
  const whole = ofWhole ? withResidue(outer, ofWhole, true) : outer;
  const document = nodes.signature.create(settings, whole);
  return { document, elements: writer.elements, pictures: writer.pictures, settings: read };
}

/** The parts as nodes for a cell of a document that has its own settings. */
export function toNodes(
  parts: readonly SizedPart[],
  settings: Settings,
  room: number,
  reporter: Reporter,
  believed: boolean,
): readonly Node[] {
  const writer = new DocumentWriter(settings, reporter, believed);
  return parts.flatMap((part) => writer.part(part, { align: null, room }) ?? []);
}
