/** Where on the sheet something that is dragged would go, with a mark that shows it. Client coordinates, px. */
import { nodeAt } from "@/core/signature";
import type { EditorView } from "prosemirror-view";

export interface Box {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

export interface DropPlace {
  /** A position between the parts of a cell, inside a line, or, for a row across, the row to go before. */
  readonly at: number;
  readonly form: "block" | "inline" | "across";
  readonly mark: Box;
}

const markWidth = 3;

/** A level mark at a height, over some width. */
const level = (left: number, y: number, width: number): Box => ({
  left,
  top: y - markWidth / 2,
  width,
  height: markWidth,
});

function elementAt(view: EditorView, position: number): HTMLElement | null {
  const dom = view.nodeDOM(position);
  return dom instanceof HTMLElement ? dom : null;
}

/** The innermost cell under a point: the position before it. */
function cellUnder(view: EditorView, x: number, y: number): number | null {
  const root = view.root as Document;
  for (const element of root.elementsFromPoint(x, y)) {
    const cell = element.closest("td");
    if (!cell || !view.dom.contains(cell)) continue;
    return view.state.doc.resolve(view.posAtDOM(cell, 0)).before();
  }
  return null;
}

/** A place between the parts of the cell under a point. */
export function placeBetween(view: EditorView, x: number, y: number): DropPlace | null {
  const cellPosition = cellUnder(view, x, y);
  if (cellPosition === null) return null;
  const cell = nodeAt(view.state.doc, cellPosition);
  const box = elementAt(view, cellPosition)!.getBoundingClientRect();
  if (cell.childCount === 1 && cell.firstChild!.content.size === 0 && cell.firstChild!.isTextblock)
    return {
      at: cellPosition + 1,
      form: "block",
      mark: { left: box.left, top: box.top, width: box.width, height: box.height },
    };
  let position = cellPosition + 1;
  let bottom = box.top;
  for (const part of cell.content.content) {
    const own = elementAt(view, position)?.getBoundingClientRect();
    if (own && y < own.top + own.height / 2)
      return { at: position, form: "block", mark: level(box.left, own.top, box.width) };
    if (own) bottom = own.bottom;
    position += part.nodeSize;
  }
  return { at: position, form: "block", mark: level(box.left, bottom, box.width) };
}

/** A place between the letters of the line under a point, or between parts where no text is. */
export function placeInLine(view: EditorView, x: number, y: number): DropPlace | null {
  const found = view.posAtCoords({ left: x, top: y });
  const at = found && view.state.doc.resolve(found.pos);
  if (!found || at?.parent.type.name !== "line" || at.parent.childCount === 0)
    return placeBetween(view, x, y);
  // The nearest text to a point between parts is not what the point is on.
  const line = elementAt(view, at.before())!.getBoundingClientRect();
  if (y < line.top || y > line.bottom) return placeBetween(view, x, y);
  const caret = view.coordsAtPos(found.pos);
  const height = caret.bottom - caret.top;
  return {
    at: found.pos,
    form: "inline",
    mark: { left: caret.left - markWidth / 2, top: caret.top, width: markWidth, height },
  };
}

/** A place between the rows of the outer table. */
export function placeAcross(view: EditorView, y: number): DropPlace {
  const rows = [...view.dom.querySelectorAll<HTMLTableRowElement>(":scope > table > tbody > tr")];
  const boxes = rows.map((row) => row.getBoundingClientRect());
  const before = boxes.findIndex((box) => y < box.top + box.height / 2);
  const at = before < 0 ? rows.length : before;
  const [first] = boxes;
  const edge = at < boxes.length ? boxes[at]!.top : boxes.at(-1)!.bottom;
  return { at, form: "across", mark: level(first!.left, edge, first!.width) };
}
