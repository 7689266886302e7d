/** What stands side by side without a table: boxes in a line, rows of boxes, and what floats. It becomes tables of one row. */
import type { Element } from "../../html";
import { plainBox } from "../style/look";
import { openBoxed } from "./boxes";
import { onlyCell, resolve, type Frame, type OpenRow, type OpenTable, type StyledElement } from "./frames";
import { OpenFlow } from "./open-flow";
import { isDrawn, isPadded, type GridCell, type Part, type TablePart } from "./parts";
import { settleTable } from "./settle-table";
import { TableGrid } from "./table-grid";
import type { Walk } from "./walk";

/** Children side by side: a table of one row. */
export function openBoxes(walk: Walk, own: StyledElement, frame: Frame): void {
  const { element, look, box } = own;
  const around = walk.flowOf(frame);
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
  walk.reporter.say(
    element,
    "changed",
    "layout",
    "boxes side by side",
    "not every client lays out boxes: they are cells",
  );
  const loose = new OpenFlow();
  walk.open({ ...own, look: { ...look, verticalAlign: look.verticalAlign ?? "top" } }, loose, {
    own: false,
    room: table.room,
    table,
    close: () => {
      for (const part of loose.finish(true)) around.addPart(part);
      addRow(walk, table.grid.finish().cells, own, around);
      around.addMargin(box.margin.bottom, element);
    },
  });
}

function addRow(
  walk: Walk,
  cells: readonly GridCell[],
  { element, look, box }: StyledElement,
  around: OpenFlow,
): void {
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
export function openBeside(walk: Walk, own: StyledElement, frame: Frame): void {
  if (frame.row?.kind === "floats") return openBoxed(walk, own, frame, resolve(own.box.width, frame.room));
  walk.reporter.say(
    own.element,
    "changed",
    "layout",
    "a box in a line",
    "not every client lays out boxes: they are cells",
  );
  const row = openRow(walk, frame, own.element, "line");
  const words = row.rest.finish(false);
  if (words.length > 0) {
    row.before.push(restCell(frame, words));
    row.rest = new OpenFlow();
  }
  openSideways(walk, own, frame, row.before);
}

export function openFloating(walk: Walk, own: StyledElement, frame: Frame): void {
  sayFloat(walk, own);
  const row = openRow(walk, frame, own.element, "floats");
  openSideways(walk, own, frame, own.box.float === "right" ? row.after : row.before);
}

export function sayFloat(walk: Walk, { element, box }: StyledElement): void {
  const reason = "not every client floats: it is a cell beside the rest";
  walk.reporter.say(element, "changed", "layout", `float: ${box.float}`, reason);
}

/** Reads a box into a cell of those at one side; what floats to the right stands the farther right the earlier it comes. */
function openSideways(walk: Walk, own: StyledElement, frame: Frame, cells: GridCell[]): void {
  const { element, look, box } = own;
  const flow = new OpenFlow();
  walk.open(own, flow, {
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

export function openRow(walk: Walk, frame: Frame, element: Element, kind: OpenRow["kind"]): OpenRow {
  if (frame.row) return frame.row;
  const row: OpenRow = { kind, before: [], after: [], rest: new OpenFlow(), around: frame.flow, element };
  const begun = kind === "line" ? frame.flow.takeLine() : null;
  if (begun) row.before.push(restCell(frame, [begun]));
  frame.row = row;
  return row;
}

/** A cell of what stands between boxes. */
function restCell({ element, look }: Frame, parts: readonly Part[]): GridCell {
  return onlyCell({ element, look: { ...look, verticalAlign: "top" }, box: plainBox }, parts);
}

/** Ends what stands side by side: what came after the boxes in the meantime stands in a cell of its own. */
export function closeRow(walk: Walk, frame: Frame): void {
  const { row } = frame;
  if (!row) return;
  frame.row = null;
  const rest = row.rest.finish(true);
  const { look } = frame;
  const middle = rest.length === 0 ? [] : [restCell(frame, rest)];
  const cells = [...row.before, ...middle, ...row.after].map((cell, column) => ({ ...cell, column }));
  addRow(walk, cells, { element: row.element, look, box: plainBox }, row.around);
}
