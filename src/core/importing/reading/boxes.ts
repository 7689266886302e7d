/** Elements that hold others, one below the other: blocks, runs of text, boxes that are drawn, and tables. Lengths in px. */
import { isElement, type Element } from "../../html";
import { noSides } from "../../signature";
import { plainBox, type Box, type Look } from "../style/look";
import { cellOf, onlyCell, resolve, type Frame, type OpenTable, type StyledElement } from "./frames";
import { OpenFlow } from "./open-flow";
import { isDrawn, isPadded, noPadding, type TablePart } from "./parts";
import { settleTable } from "./settle-table";
import { TableGrid } from "./table-grid";
import { placeOf, spaced } from "./table-looks";
import type { Walk } from "./walk";

/** The ground behind a run of text is not that of a table in it. */
const unmarked = (look: Look): Look => (look.highlight === null ? look : { ...look, highlight: null });

/** What stands by itself among boxes is a box of its own. */
export function openAnonymous(walk: Walk, element: Element, frame: Frame, table: OpenTable): void {
  const flow = new OpenFlow();
  const { look } = frame;
  const inner = {
    element,
    look: { ...look, verticalAlign: look.verticalAlign ?? ("top" as const) },
    box: plainBox,
  };
  walk.open(inner, flow, {
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

/** Whether a box that stands in a line is more than a run of text. */
export function isBox({ element, box, look }: StyledElement): boolean {
  if (box.background !== null && look.link !== null) return false;
  return (
    box.width !== null ||
    element.childNodes.some(
      (child) => isElement(child) && /^(table|div|p|img|ul|ol|h\d)$/.test(child.tagName),
    )
  );
}

export function openInline(walk: Walk, own: StyledElement, frame: Frame): void {
  const { look, box, element } = own;
  const filled = box.background !== null && isPadded(box);
  if (look.link !== null && (filled || (box.display !== "inline" && isDrawn(box))))
    return openFilled(walk, own, frame);
  if (
    element.tagName === "a" &&
    look.link !== null &&
    frame.look.link === null &&
    look.highlight &&
    isPadded(box)
  )
    return openFilled(
      walk,
      { ...own, box: { ...box, background: look.highlight }, look: unmarked(look) },
      frame,
    );
  walk.open(own, walk.flowOf(frame), {
    own: false,
    room: frame.room,
    paragraph: frame.paragraph,
    table: frame.table,
  });
}

/** A link with a ground of its own: a table of one cell, which is read as a button where it is one. */
function openFilled(walk: Walk, own: StyledElement, frame: Frame): void {
  openBoxed(walk, { ...own, look: { ...own.look, align: "center", highlight: null } }, frame, null);
}

export function openBlock(walk: Walk, own: StyledElement, frame: Frame): void {
  const { element, box } = own;
  const flow = walk.flowOf(frame);
  flow.addMargin(box.margin.top, element);
  const list = element.tagName === "ul" || element.tagName === "ol";
  if (element.tagName === "li") beginListItem(walk, own, frame, flow);
  const width = resolve(box.width, frame.room);
  // Lists are lines, each with its mark: clients set them in by different widths.
  const hanging = list || box.indent < 0;
  const sideways = !hanging && box.padding.left + box.padding.right + box.margin.left + box.margin.right > 0;
  if (isDrawn(box) || sideways || (box.width !== null && "px" in box.width && frame.flow !== flow)) {
    openBoxed(walk, own, frame, width);
    return;
  }
  flow.addSpace(box.padding.top, element);
  walk.open(own, flow, {
    own: true,
    room: width ?? frame.room,
    close: () => {
      flow.addSpace(box.padding.bottom, element);
      flow.addMargin(box.margin.bottom, element);
    },
  });
}

function beginListItem(walk: Walk, { element, look }: StyledElement, frame: Frame, flow: OpenFlow): void {
  const ordered = frame.element.tagName === "ol";
  if (!look.listMarks) return;
  const number = frame.number ?? 1;
  if (ordered) frame.number = number + 1;
  flow.setMarker(ordered ? `${number}.\u00a0` : "•\u00a0");
  walk.reporter.say(
    element,
    "changed",
    "list",
    ordered ? "the number of a list" : "the mark of a list",
    "clients indent lists each in their own way: it is written before the text",
  );
}

/** A box that is drawn or set in from the sides: a table of one cell. */
export function openBoxed(
  walk: Walk,
  { element, look, box }: StyledElement,
  frame: Frame,
  width: number | null,
): void {
  const around = walk.flowOf(frame);
  const flow = new OpenFlow();
  const padding = box.padding;
  const margin = { left: Math.max(0, box.margin.left), right: Math.max(0, box.margin.right) };
  const drawn = isDrawn(box);
  walk.open({ element, look, box }, flow, {
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

export function openTable(walk: Walk, own: StyledElement, frame: Frame): void {
  const { element, look, box } = own;
  const around = walk.flowOf(frame);
  around.addMargin(box.margin.top, element);
  const width = resolve(box.width, frame.room);
  const table: OpenTable = {
    grid: new TableGrid(),
    cells: cellsOf(walk, box),
    element,
    background: null,
    implied: false,
    gap: box.spacing,
    room: width ?? frame.room,
  };
  const place = box.centred ? "center" : placeOf(element);
  walk.open({ ...own, look: unmarked(look) }, around, {
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
          cells: spaced({ rows, columns, cells }, own, walk.reporter),
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
function cellsOf(walk: Walk, { cellPadding, cellBorder }: Box): Partial<Box> {
  const key = `${cellPadding ?? ""} ${cellBorder}`;
  let cells = walk.cells.get(key);
  if (!cells) {
    const line = cellBorder ? { width: 1, style: "solid", color: "#808080" } : null;
    cells = { padding: noSides(cellPadding ?? 1), border: noSides(line) };
    walk.cells.set(key, cells);
  }
  return cells;
}

export function openTableRow(walk: Walk, own: StyledElement, frame: Frame, table: OpenTable): void {
  const before = table.background;
  if (own.box.display === "row") table.grid.beginRow();
  table.background = own.box.background ?? before;
  walk.open(own, frame.flow, {
    own: false,
    room: frame.room,
    table,
    close: () => {
      table.background = before;
    },
  });
}

export function openCell(walk: Walk, own: StyledElement, frame: Frame, table: OpenTable): void {
  const { element, look, box } = own;
  const flow = new OpenFlow();
  const { background } = table;
  const rowHeight = frame.box.display === "row" ? frame.box.height : null;
  const width = resolve(box.width, table.room);
  const inner = width === null || !box.wholeWidth ? width : width - box.padding.left - box.padding.right;
  walk.open({ ...own, look: unmarked(look) }, flow, {
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
