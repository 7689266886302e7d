/** Borders of a block of cells: around it, inside it, or on one side. Cells are given by their positions. */
import { largest, smallest } from "../../values";
import type { Node } from "prosemirror-model";
import type { Transform } from "prosemirror-transform";
import { placeAtOffset, tableMap, type CellPlace } from "../table-map";
import type { Rectangle } from "../table-layout";
import { sideNames, type Border, type SideName } from "../values";
import { borderBetween, setBorder } from "./cells";

/** Which borders of a block: one outer side, those between its columns or rows, all around, all inside, or all. */
export type BorderTarget = SideName | "between columns" | "between rows" | "outer" | "inner" | "all";

interface Side {
  readonly position: number;
  readonly side: SideName;
}

/** The rectangle that some places of one table span. */
export function rectangleOf(places: readonly CellPlace[]): Rectangle {
  return {
    top: smallest(places.map(({ row }) => row)),
    left: smallest(places.map(({ column }) => column)),
    bottom: largest(places.map(({ row, rowspan }) => row + rowspan)),
    right: largest(places.map(({ column, colspan }) => column + colspan)),
  };
}

const isOuter = (place: CellPlace, block: Rectangle, side: SideName): boolean =>
  ({
    top: place.row === block.top,
    left: place.column === block.left,
    bottom: place.row + place.rowspan === block.bottom,
    right: place.column + place.colspan === block.right,
  })[side];

function targeted(target: BorderTarget, side: SideName, outer: boolean): boolean {
  switch (target) {
    case "all":
      return true;
    case "outer":
      return outer;
    case "inner":
      return !outer;
    case "between columns":
      return !outer && (side === "left" || side === "right");
    case "between rows":
      return !outer && (side === "top" || side === "bottom");
    default:
      return outer && side === target;
  }
}

/** Every side of every cell that a target names. Throws a RangeError for a position where no cell is. */
function sidesOf(document: Node, positions: readonly number[], target: BorderTarget): readonly Side[] {
  const placed = positions.map((position) => {
    const at = document.resolve(position);
    return { position, place: placeAtOffset(tableMap(at.node(-1)), position - at.start(-1)) };
  });
  const block = rectangleOf(placed.map(({ place }) => place));
  return placed.flatMap(({ position, place }) =>
    sideNames
      .filter((side) => targeted(target, side, isOuter(place, block, side)))
      .map((side) => ({ position, side })),
  );
}

/** Sets the targeted borders of a block of cells; null draws none. */
export function setBorders(
  transform: Transform,
  positions: readonly number[],
  target: BorderTarget,
  value: Border | null,
): Transform {
  const sides = sidesOf(transform.doc, positions, target);
  for (const { position, side } of sides) setBorder(transform, position, side, value);
  return transform;
}

/** The border that the targeted sides have in common: null where none is drawn, "mixed" where they differ. */
export function commonBorder(
  document: Node,
  positions: readonly number[],
  target: BorderTarget,
): Border | null | "mixed" {
  const [first, ...rest] = sidesOf(document, positions, target).map(({ position, side }) =>
    borderBetween(document, position, side),
  );
  const text = JSON.stringify(first ?? null);
  return rest.every((border) => JSON.stringify(border) === text) ? (first ?? null) : "mixed";
}
