/** What is selected on the Bench, as the breadcrumb and the measures need it. */
import type { Node } from "prosemirror-model";
import { NodeSelection, Selection, TextSelection, type EditorState } from "prosemirror-state";
import { CellSelection } from "prosemirror-tables";
import {
  placeAtOffset,
  placeStep,
  rectangleOf,
  tableMap,
  wordsIn,
  type CellPlace,
  type Rectangle,
  type TableMap,
} from "@/core/signature";

export interface Placed {
  readonly position: number;
  readonly node: Node;
}

export interface Step extends Placed {
  readonly label: string;
}

/** A cell, with where it lies in its table. */
export interface PlacedCell extends Placed {
  readonly map: TableMap;
  readonly place: CellPlace;
}

export interface BenchSelection {
  /** From the outer table down to what is selected. */
  readonly path: readonly Step[];
  /** The innermost table. */
  readonly table: Placed | null;
  /** The selected cells, or the one that the cursor is in. */
  readonly cells: readonly PlacedCell[];
  /** The part that is selected as a whole. */
  readonly part: Placed | null;
}

/** What is selected where a part of the document is gone to: a cell or a row by its cells, a line by the caret in it. */
export function selectionOfPart(document: Node, position: number): Selection {
  const node = document.nodeAt(position);
  if (!node) return Selection.atStart(document);
  if (node.type.name === "cell") return CellSelection.create(document, position);
  if (node.type.name === "row") {
    const last = position + node.nodeSize - 1 - (node.lastChild?.nodeSize ?? 0);
    return CellSelection.create(document, position + 1, last);
  }
  return node.isTextblock && node.type.name === "line"
    ? TextSelection.create(document, position + 1)
    : NodeSelection.create(document, position);
}

/** What a block of cells is called: "row 2", "columns 1–2", "2 × 3 cells", or "the whole table". */
function blockName({ rows, columns }: TableMap, { top, left, bottom, right }: Rectangle): string {
  const bands = (word: string, from: number, to: number): string =>
    to - from === 1 ? `${word} ${to}` : `${word}s ${from + 1}–${to}`;
  const [across, down] = [right - left === columns, bottom - top === rows];
  if (across && down) return "the whole table";
  if (across) return bands("row", top, bottom);
  if (down) return bands("column", left, right);
  return `${bottom - top} × ${right - left} cells`;
}

const label = (parent: Node, index: number): string => placeStep(wordsIn(parent), index);

export function describeSelection({ selection, doc }: EditorState): BenchSelection {
  const cells: PlacedCell[] = [];
  if (selection instanceof CellSelection)
    selection.forEachCell((_node, position) => cells.push(placedCell(doc, position)));
  const at = cells[0] ? doc.resolve(cells[0].position + 1) : selection.$from;
  const path: Step[] = [];
  let table: Placed | null = null;
  for (let depth = 1; depth <= at.depth; depth++) {
    const node = at.node(depth);
    const position = at.before(depth);
    if (node.type.name === "line" && depth === at.depth && selection instanceof NodeSelection) continue;
    path.push({ position, node, label: label(at.node(depth - 1), at.index(depth - 1)) });
    if (node.type.name === "table") table = { position, node };
    if (node.type.name === "cell" && cells.length === 0 && depth === cellDepth(selection))
      cells.push(placedCell(doc, position));
  }
  const part =
    selection instanceof NodeSelection &&
    selection.node.type.name !== "table" &&
    selection.node.type.name !== "cell"
      ? { position: selection.from, node: selection.node }
      : null;
  if (part) path.push({ ...part, label: label(at.parent, at.index()) });
  return { path: cells.length > 1 ? blockPath(path, cells) : path, table, cells, part };
}

/** The way to a block of cells: to their table, and then to all of them at once. */
function blockPath(path: readonly Step[], cells: readonly PlacedCell[]): readonly Step[] {
  const [first] = cells;
  if (!first) return path;
  const { position, node, map } = first;
  const tables = path.map((step) => step.node.type.name).lastIndexOf("table");
  const name = blockName(map, rectangleOf(cells.map(({ place }) => place)));
  return [...path.slice(0, tables + 1), { position, node, label: name }];
}

function placedCell(document: Node, position: number): PlacedCell {
  const at = document.resolve(position);
  const map = tableMap(at.node(-1));
  const place = placeAtOffset(map, position - at.start(-1));
  return { position, node: place.node, map, place };
}

function cellDepth({ $from }: EditorState["selection"]): number {
  for (let depth = $from.depth; depth > 0; depth--) if ($from.node(depth).type.name === "cell") return depth;
  return -1;
}
