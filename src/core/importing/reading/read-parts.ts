/**
 * Reads a parsed message into parts. The tree is walked once, without recursion: each element opens a frame with its look,
 * and closing a frame hands what was gathered to the one around it. Nothing in the tree is changed. Lengths in px.
 */
import { attributeOf, isElement, isText, walkLeaves, type ChildNode, type Element } from "../../html";
import { noSides } from "../../signature";
import type { Reporter } from "../report";
import { Cascade } from "../style/cascade";
import { initialLook, plainBox, type Box, type Look } from "../style/look";
import type { StyleSheets } from "../style/style-sheets";
import {
  cellOf,
  onlyCell,
  resolve,
  type Frame,
  type OpenRow,
  type OpenTable,
  type StyledElement,
} from "./frames";
import { asking, left, Losses, wordsOf } from "./losses";
import { OpenFlow, type Paragraph } from "./open-flow";
import { isDrawn, isPadded, noPadding, type GridCell, type Part, type TablePart } from "./parts";
import { PictureMaps } from "./picture-maps";
import { readPicture, pictureKind, type FindPicture, type MentionedPicture } from "./read-pictures";
import { settleTable } from "./settle-table";
import { TableGrid } from "./table-grid";
import { placeOf, spaced } from "./table-looks";

export interface PartsReading {
  readonly parts: readonly Part[];
  readonly pictures: readonly MentionedPicture[];
  readonly look: Look;
}

export interface ReadPartsOptions {
  readonly body: Element;
  readonly sheets: StyleSheets;
  readonly reporter: Reporter;
  readonly find: FindPicture;
}

/** The ground behind a run of text is not that of a table in it. */
const unmarked = (look: Look): Look => (look.highlight === null ? look : { ...look, highlight: null });

/** Whether a box ends the line that it comes in. */
const beginsBlock = ({ display, float }: Box): boolean =>
  float === null && display !== "inline" && display !== "inline-block" && display !== "cell";

class PartsReader {
  private readonly frames: Frame[] = [];
  private readonly cascade: Cascade;
  private readonly losses: Losses;
  private readonly maps: PictureMaps;
  private readonly cells = new Map<string, Partial<Box>>();
  readonly pictures: MentionedPicture[] = [];

  constructor(private readonly options: ReadPartsOptions) {
    this.cascade = new Cascade(options.sheets, options.reporter);
    this.losses = new Losses(options.reporter);
    this.maps = new PictureMaps(options.body, options.reporter);
  }

  read(): PartsReading {
    const { body } = this.options;
    const { look, box } = this.cascade.read(body, initialLook);
    const root = new OpenFlow();
    // The margins of a body are those of a message, and no part of what stands in it.
    this.open({ element: body, look, box }, root, { own: false, room: null });
    for (let frame = this.frames.at(-1); frame; frame = this.frames.at(-1)) {
      const child = frame.children[frame.next++];
      if (child !== undefined) this.enter(child, frame);
      else {
        this.frames.pop();
        this.closeRow(frame);
        frame.close?.();
      }
    }
    const parts = root.finish(false);
    this.losses.loseLinks(body, parts);
    return { parts, pictures: this.pictures, look };
  }

  private open(
    { element, look, box }: { element: Element; look: Look; box: Box },
    flow: OpenFlow,
    more: {
      readonly own: boolean;
      readonly room: number | null;
      readonly close?: () => void;
      readonly table?: OpenTable | null;
      readonly paragraph?: Paragraph;
      readonly children?: readonly ChildNode[];
    },
  ): Frame {
    const frame: Frame = {
      element,
      look,
      box,
      flow,
      paragraph: more.paragraph ?? { element, look, own: more.own },
      table: more.table ?? null,
      room: more.room,
      children: more.children ?? element.childNodes,
      next: 0,
      close: more.close ?? null,
      number: element.tagName === "ol" ? Number(attributeOf(element, "start") ?? 1) || 1 : null,
      row: null,
    };
    this.frames.push(frame);
    return frame;
  }

  private enter(node: ChildNode, frame: Frame): void {
    if (isText(node)) this.text(node.value, frame);
    else if (isElement(node)) this.element(node, frame);
  }

  /** Where what comes next goes: beside what floats, while something does. */
  private flowOf(frame: Frame): OpenFlow {
    return frame.row?.rest ?? frame.flow;
  }

  private text(value: string, frame: Frame): void {
    if (frame.table && !frame.table.implied) {
      // Only white space stands between the rows of a table; a parser moves all else out.
      if (value.trim() !== "") this.flowOf(frame).addText(value, frame.look, frame.paragraph);
      return;
    }
    if (frame.look.hidden) {
      if (wordsOf(value) !== "")
        this.options.reporter.say(frame.element, "lost", "hidden", wordsOf(value), "it is hidden");
      return;
    }
    if (frame.table?.implied && value.trim() === "") return;
    this.flowOf(frame).addText(value, frame.look, frame.paragraph);
  }

  private element(element: Element, frame: Frame): void {
    const { tagName } = element;
    const { say } = this.options.reporter;
    if (left.has(tagName)) return this.losses.lose(element);
    const isCell = tagName === "td" || tagName === "th";
    const styled = this.cascade.read(
      element,
      frame.look,
      isCell && !frame.table?.implied ? frame.table?.cells : undefined,
    );
    const { look, box } = styled;
    if (box.display === "none" && !["col", "colgroup", "area"].includes(tagName)) {
      say(element, "lost", "hidden", `<${tagName}>`, "it is hidden");
      return this.losses.loseWords(element, "it is hidden");
    }
    if (asking.has(tagName))
      say(
        element,
        "changed",
        "running",
        `<${tagName}>`,
        "nothing can be filled in in a mail: its words are kept",
      );
    const own = { element, look, box };
    if (frame.row && (box.clear || (frame.row.kind === "line" && (tagName === "br" || beginsBlock(box))))) {
      this.closeRow(frame);
      // The break that ends a line of boxes is the end of that line.
      if (tagName === "br") return;
    }
    if (frame.table?.implied && (tagName === "img" || box.display === "inline"))
      return this.anonymous(element, frame, frame.table);
    if (box.listMark) return this.wordMarker(element, frame);
    switch (tagName) {
      case "br":
        return this.flowOf(frame).addBreak(look, frame.paragraph);
      case "img":
        return this.picture(own, frame);
      case "hr":
        return this.divider(own, frame);
      case "input":
        return this.input(own, frame);
      case "wbr":
      case "col":
      case "colgroup":
      case "area":
        return;
    }
    if (box.float && !frame.table) return this.floating(own, frame);
    switch (box.display) {
      case "table":
        return this.table(own, frame);
      case "row-group":
      case "row":
        if (frame.table && !frame.table.implied) return this.row(own, frame, frame.table);
        return this.block(own, frame);
      case "cell":
        if (frame.table && !frame.table.implied) return this.cell(own, frame, frame.table);
        return this.beside(own, frame);
      case "flex":
        return this.boxes(own, frame);
    }
    if (frame.table?.implied) return this.cell(own, frame, frame.table);
    if (box.display === "inline-block" && this.isBox(own)) return this.beside(own, frame);
    if (box.display === "inline" || box.display === "inline-block") return this.inline(own, frame);
    return this.block(own, frame);
  }

  /** What stands by itself among boxes is a box of its own. */
  private anonymous(element: Element, frame: Frame, table: OpenTable): void {
    const flow = new OpenFlow();
    const { look } = frame;
    const inner = {
      element,
      look: { ...look, verticalAlign: look.verticalAlign ?? ("top" as const) },
      box: plainBox,
    };
    this.open(inner, flow, {
      own: false,
      room: null,
      children: [element],
      close: () => {
        const gap = table.grid.begun ? table.gap : 0;
        const cell = cellOf(inner, flow.finish(true));
        table.grid.add({ ...cell, padding: { ...noPadding, left: gap } }, null);
      },
    });
  }

  /** The mark of a list that a word processor writes out beside the text. */
  private wordMarker(element: Element, frame: Frame): void {
    const written: string[] = [];
    walkLeaves(element, (node) => {
      if (isText(node)) written.push(node.value);
    });
    const mark = wordsOf(written.join(""));
    if (mark === "") return;
    const dot = !/^[\p{L}\p{N}]{1,3}[.)]?$/u.test(mark) || mark === "o";
    this.flowOf(frame).setMarker(`${dot ? "•" : mark}\u00a0`);
    this.options.reporter.say(
      element,
      "changed",
      "list",
      dot && mark.length > 1 ? mark : "the mark of a list",
      "clients indent lists each in their own way: it is written before the text",
    );
  }

  /** Whether a box that stands in a line is more than a run of text. */
  private isBox({ element, box, look }: StyledElement): boolean {
    if (box.background !== null && look.link !== null) return false;
    return (
      box.width !== null ||
      element.childNodes.some(
        (child) => isElement(child) && /^(table|div|p|img|ul|ol|h\d)$/.test(child.tagName),
      )
    );
  }

  private inline(own: StyledElement, frame: Frame): void {
    const { look, box, element } = own;
    const filled = box.background !== null && isPadded(box);
    if (look.link !== null && (filled || (box.display !== "inline" && isDrawn(box))))
      return this.filled(own, frame);
    if (
      element.tagName === "a" &&
      look.link !== null &&
      frame.look.link === null &&
      look.highlight &&
      isPadded(box)
    )
      return this.filled(
        { ...own, box: { ...box, background: look.highlight }, look: unmarked(look) },
        frame,
      );
    this.open(own, this.flowOf(frame), {
      own: false,
      room: frame.room,
      paragraph: frame.paragraph,
      table: frame.table,
    });
  }

  /** A link with a ground of its own: a table of one cell, which is read as a button where it is one. */
  private filled(own: StyledElement, frame: Frame): void {
    this.boxed({ ...own, look: { ...own.look, align: "center", highlight: null } }, frame, null);
  }

  private block(own: StyledElement, frame: Frame): void {
    const { element, box } = own;
    const flow = this.flowOf(frame);
    flow.addMargin(box.margin.top, element);
    const list = element.tagName === "ul" || element.tagName === "ol";
    if (element.tagName === "li") this.listItem(own, frame, flow);
    const width = resolve(box.width, frame.room);
    // Lists are lines, each with its mark: clients set them in by different widths.
    const hanging = list || box.indent < 0;
    const sideways =
      !hanging && box.padding.left + box.padding.right + box.margin.left + box.margin.right > 0;
    if (isDrawn(box) || sideways || (box.width !== null && "px" in box.width && frame.flow !== flow)) {
      this.boxed(own, frame, width);
      return;
    }
    flow.addSpace(box.padding.top, element);
    this.open(own, flow, {
      own: true,
      room: width ?? frame.room,
      close: () => {
        flow.addSpace(box.padding.bottom, element);
        flow.addMargin(box.margin.bottom, element);
      },
    });
  }

  private listItem({ element, look }: StyledElement, frame: Frame, flow: OpenFlow): void {
    const ordered = frame.element.tagName === "ol";
    if (!look.listMarks) return;
    const number = frame.number ?? 1;
    if (ordered) frame.number = number + 1;
    flow.setMarker(ordered ? `${number}.\u00a0` : "•\u00a0");
    this.options.reporter.say(
      element,
      "changed",
      "list",
      ordered ? "the number of a list" : "the mark of a list",
      "clients indent lists each in their own way: it is written before the text",
    );
  }

  /** A box that is drawn or set in from the sides: a table of one cell. */
  private boxed({ element, look, box }: StyledElement, frame: Frame, width: number | null): void {
    const around = this.flowOf(frame);
    const flow = new OpenFlow();
    const padding = box.padding;
    const margin = { left: Math.max(0, box.margin.left), right: Math.max(0, box.margin.right) };
    const drawn = isDrawn(box);
    this.open({ element, look, box }, flow, {
      own: element.tagName === "p" || /^h\d$/.test(element.tagName),
      room:
        width ??
        (frame.room === null ? null : frame.room - padding.left - padding.right - margin.left - margin.right),
      close: () => {
        const cell = onlyCell(
          {
            element,
            look: { ...look, verticalAlign: "top" },
            box: {
              ...box,
              padding: drawn
                ? padding
                : { ...padding, left: padding.left + margin.left, right: padding.right + margin.right },
            },
          },
          flow.finish(true),
        );
        const parts = settleTable({
          kind: "table",
          rows: 1,
          columns: 1,
          cells: [cell],
          width: null,
          place: box.centred ? "center" : null,
          look,
          element,
        });
        for (const part of parts) around.addPart(part);
        around.addMargin(box.margin.bottom, element);
      },
    });
  }

  private table(own: StyledElement, frame: Frame): void {
    const { element, look, box } = own;
    const around = this.flowOf(frame);
    around.addMargin(box.margin.top, element);
    const width = resolve(box.width, frame.room);
    const table: OpenTable = {
      grid: new TableGrid(),
      cells: this.cellsOf(box),
      element,
      background: null,
      implied: false,
      gap: box.spacing,
      room: width ?? frame.room,
    };
    const place = box.centred ? "center" : placeOf(element);
    this.open({ ...own, look: unmarked(look) }, around, {
      own: false,
      room: width ?? frame.room,
      table,
      close: () => {
        const { rows, columns, cells } = table.grid.finish();
        if (cells.length > 0) {
          const read: TablePart = {
            kind: "table",
            rows,
            columns,
            cells: spaced({ rows, columns, cells }, own, this.options.reporter),
            width: box.width,
            place,
            look,
            element,
          };
          for (const part of settleTable(read)) around.addPart(part);
        }
        around.addMargin(box.margin.bottom, element);
      },
    });
  }

  /** What cells have of themselves; the same for tables that say the same. */
  private cellsOf({ cellPadding, cellBorder }: Box): Partial<Box> {
    const key = `${cellPadding ?? ""} ${cellBorder}`;
    let cells = this.cells.get(key);
    if (!cells) {
      const line = cellBorder ? { width: 1, style: "solid", color: "#808080" } : null;
      cells = { padding: noSides(cellPadding ?? 1), border: noSides(line) };
      this.cells.set(key, cells);
    }
    return cells;
  }

  private row(own: StyledElement, frame: Frame, table: OpenTable): void {
    const before = table.background;
    if (own.box.display === "row") table.grid.beginRow();
    table.background = own.box.background ?? before;
    this.open(own, frame.flow, {
      own: false,
      room: frame.room,
      table,
      close: () => {
        table.background = before;
      },
    });
  }

  private cell(own: StyledElement, frame: Frame, table: OpenTable): void {
    const { element, look, box } = own;
    const flow = new OpenFlow();
    const { background } = table;
    const rowHeight = frame.box.display === "row" ? frame.box.height : null;
    const width = resolve(box.width, table.room);
    const inner = width === null || !box.wholeWidth ? width : width - box.padding.left - box.padding.right;
    this.open({ ...own, look: unmarked(look) }, flow, {
      own: false,
      room: inner,
      close: () => {
        const cell = cellOf(own, flow.finish(true));
        const first = table.implied && !table.grid.begun;
        const gap = table.implied && !first ? table.gap : 0;
        const shifted = table.implied
          ? {
              padding: {
                top: box.padding.top + box.margin.top,
                bottom: box.padding.bottom + box.margin.bottom,
                left: box.padding.left + box.margin.left + gap,
                right: box.padding.right + box.margin.right,
              },
              verticalAlign: look.verticalAlign ?? ("top" as const),
            }
          : {};
        table.grid.add(
          {
            ...cell,
            ...shifted,
            background: cell.background ?? background,
            height: cell.height ?? rowHeight,
          },
          table.implied ? null : element,
        );
      },
    });
  }

  /** Children side by side: a table of one row. */
  private boxes(own: StyledElement, frame: Frame): void {
    const { element, look, box } = own;
    const around = this.flowOf(frame);
    around.addMargin(box.margin.top, element);
    const table: OpenTable = {
      grid: new TableGrid(),
      cells: {},
      element,
      background: null,
      implied: true,
      gap: box.gap,
      room: resolve(box.width, frame.room) ?? frame.room,
    };
    this.options.reporter.say(
      element,
      "changed",
      "layout",
      "boxes side by side",
      "not every client lays out boxes: they are cells",
    );
    const loose = new OpenFlow();
    this.open({ ...own, look: { ...look, verticalAlign: look.verticalAlign ?? "top" } }, loose, {
      own: false,
      room: table.room,
      table,
      close: () => {
        for (const part of loose.finish(true)) around.addPart(part);
        this.addRow(table.grid.finish().cells, own, around);
        around.addMargin(box.margin.bottom, element);
      },
    });
  }

  private addRow(cells: readonly GridCell[], { element, look, box }: StyledElement, around: OpenFlow): void {
    if (cells.length === 0) return;
    const inner = {
      kind: "table" as const,
      rows: 1,
      columns: cells.length,
      cells,
      place: null,
      look,
      element,
    };
    const boxed = isDrawn(box) || isPadded(box);
    const table: TablePart = { ...inner, width: boxed ? null : box.width };
    const parts = settleTable(table);
    const shown = boxed
      ? settleTable({
          ...inner,
          columns: 1,
          width: null,
          cells: [onlyCell({ element, look, box }, parts)],
        })
      : parts;
    for (const part of shown) around.addPart(part);
  }

  /** A box that stands in a line: a cell among those of the words and boxes beside it. */
  private beside(own: StyledElement, frame: Frame): void {
    if (frame.row?.kind === "floats") return this.boxed(own, frame, resolve(own.box.width, frame.room));
    this.options.reporter.say(
      own.element,
      "changed",
      "layout",
      "a box in a line",
      "not every client lays out boxes: they are cells",
    );
    const row = this.openRow(frame, own.element, "line");
    const words = row.rest.finish(false);
    if (words.length > 0) {
      row.before.push(this.restCell(frame, words));
      row.rest = new OpenFlow();
    }
    this.sideways(own, frame, row.before);
  }

  private floating(own: StyledElement, frame: Frame): void {
    this.sayFloat(own);
    const row = this.openRow(frame, own.element, "floats");
    this.sideways(own, frame, own.box.float === "right" ? row.after : row.before);
  }

  private sayFloat({ element, box }: StyledElement): void {
    const reason = "not every client floats: it is a cell beside the rest";
    this.options.reporter.say(element, "changed", "layout", `float: ${box.float}`, reason);
  }

  /** Reads a box into a cell of those at one side; what floats to the right stands the farther right the earlier it comes. */
  private sideways(own: StyledElement, frame: Frame, cells: GridCell[]): void {
    const { element, look, box } = own;
    const flow = new OpenFlow();
    this.open(own, flow, {
      own: false,
      room: resolve(box.width, frame.room),
      close: () => {
        const { padding, margin } = box;
        const cell: GridCell = {
          ...onlyCell(
            { element, look: { ...look, verticalAlign: look.verticalAlign ?? "top" }, box },
            flow.finish(true),
          ),
          padding: {
            top: padding.top + margin.top,
            right: padding.right + margin.right,
            bottom: padding.bottom + margin.bottom,
            left: padding.left + margin.left,
          },
        };
        if (box.float === "right") cells.unshift(cell);
        else cells.push(cell);
      },
    });
  }

  private openRow(frame: Frame, element: Element, kind: OpenRow["kind"]): OpenRow {
    if (frame.row) return frame.row;
    const row: OpenRow = { kind, before: [], after: [], rest: new OpenFlow(), around: frame.flow, element };
    const begun = kind === "line" ? frame.flow.takeLine() : null;
    if (begun) row.before.push(this.restCell(frame, [begun]));
    frame.row = row;
    return row;
  }

  /** A cell of what stands between boxes. */
  private restCell({ element, look }: Frame, parts: readonly Part[]): GridCell {
    return onlyCell({ element, look: { ...look, verticalAlign: "top" }, box: plainBox }, parts);
  }

  /** Ends what stands side by side: what came after the boxes in the meantime stands in a cell of its own. */
  private closeRow(frame: Frame): void {
    const { row } = frame;
    if (!row) return;
    frame.row = null;
    const rest = row.rest.finish(true);
    const { look } = frame;
    const middle = rest.length === 0 ? [] : [this.restCell(frame, rest)];
    const cells = [...row.before, ...middle, ...row.after].map((cell, column) => ({ ...cell, column }));
    this.addRow(cells, { element: row.element, look, box: plainBox }, row.around);
  }

  private picture({ element, look, box }: StyledElement, frame: Frame): void {
    const { say } = this.options.reporter;
    if (look.hidden) return this.losses.loseWords(element, "it is hidden");
    const reading = readPicture(element, box, frame.room, this.options.find);
    const written = attributeOf(element, "src") ?? "";
    // What lies in the text itself is as long as the picture is.
    const address = written.startsWith("data:") ? `${written.slice(0, 40)}…` : written;
    const flow = this.flowOf(frame);
    if (reading.is === "nothing")
      return say(element, "lost", "picture", attributeOf(element, "alt") ?? "", "it has no address");
    if (reading.is === "pixel")
      return say(element, "lost", "picture", address, "it shows nothing: it counts who opens the mail");
    if (reading.is === "room") {
      say(element, "changed", "picture", address, "it only holds room: a spacer stands for it");
      if (reading.height > 1 && box.display !== "inline") flow.addSpace(reading.height, element);
      else if (reading.height > 4 && reading.width <= 4) flow.addSpace(reading.height, element);
      return;
    }
    const { picture } = reading;
    this.pictures.push({
      kind: pictureKind(reading.asked),
      address: reading.asked,
      alt: picture.alt,
      found: reading.found,
      width: picture.width,
    });
    if (!reading.found)
      say(element, "changed", "picture", address, "nobody else sees it there: it has to be taken in");
    if (!reading.sizeKnown)
      say(
        element,
        "changed",
        "size",
        address,
        `its size is not said: it is ${picture.width} × ${picture.height} px`,
      );
    const linked = this.maps.lookOf(element, look);
    const shown = { kind: "picture" as const, picture, look: linked, element };
    if (box.radius > 0)
      say(
        element,
        "lost",
        "style",
        "border-radius",
        "desktop mail draws no round pictures: cut it round in Pictures",
      );
    if (Object.values(box.border).some((side) => side !== null))
      say(
        element,
        "lost",
        "border",
        "the border of a picture",
        "a picture has none of its own: give its cell one",
      );
    if (box.float && frame.row?.kind !== "line") {
      this.sayFloat({ element, look, box });
      const row = this.openRow(frame, element, "floats");
      const cell = onlyCell(
        { element, look: { ...linked, verticalAlign: "top" }, box: { ...plainBox, padding: box.margin } },
        [shown],
      );
      if (box.float === "right") row.after.unshift(cell);
      else row.before.push(cell);
      return;
    }
    if (box.display === "block") {
      flow.addMargin(box.margin.top, element);
      flow.addPart(shown);
      flow.addMargin(box.margin.bottom, element);
    } else
      flow.addPicture(
        { ...shown, beside: Math.max(0, box.margin.left) + Math.max(0, box.margin.right) },
        frame.paragraph,
      );
  }

  private divider({ element, look, box }: StyledElement, frame: Frame): void {
    const flow = this.flowOf(frame);
    const { margin, border, background } = box;
    const side = border.top ?? border.bottom;
    // A rule of which nothing is said is grey; its own colour is that of its text.
    const own = look.color === frame.look.color ? "#808080" : look.color;
    flow.addMargin(margin.top, element);
    flow.addPart({
      kind: "divider",
      thickness: side?.width ?? box.height ?? 1,
      style: side?.style ?? "solid",
      color: side?.color ?? background ?? own,
      width: box.width,
      element,
    });
    flow.addMargin(margin.bottom, element);
  }

  private input({ element, look }: StyledElement, frame: Frame): void {
    const value = attributeOf(element, "value") ?? "";
    this.options.reporter.say(
      element,
      "changed",
      "running",
      "<input>",
      "nothing can be filled in in a mail: its words are kept",
    );
    if (value !== "" && attributeOf(element, "type") !== "hidden")
      this.flowOf(frame).addText(value, look, frame.paragraph);
  }
}

/** The parts of a message, in reading order. Never throws. */
export const readParts = (options: ReadPartsOptions): PartsReading => new PartsReader(options).read();
