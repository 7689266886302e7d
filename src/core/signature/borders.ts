/**
 * The borders between cells. They collapse (CSS Tables 3, section 4.4): where two cells meet there is one,
 * the wider of the two that they declare, and each of them gives up half of its width. Lengths in px.
 */
import { largest } from "../values";
import { cell } from "./kinds/cell-attributes";
import type { CellPlace, TableMap } from "./table-map";
import type { Border, SideName } from "./values";

/** Where the cells lie, before it is known how wide the columns are. */
type Grid = Pick<TableMap, "places" | "columns">;

export const facingSide: Readonly<Record<SideName, SideName>> = {
  top: "bottom",
  right: "left",
  bottom: "top",
  left: "right",
};

const overlap = (one: number, oneSpan: number, other: number, otherSpan: number): boolean =>
  one < other + otherSpan && other < one + oneSpan;

/** The cells that a cell meets on a side, in reading order. */
export function neighbourPlaces(map: Grid, own: CellPlace, side: SideName): readonly CellPlace[] {
  return map.places.filter((place) => {
    const beside = overlap(place.row, place.rowspan, own.row, own.rowspan);
    const along = overlap(place.column, place.colspan, own.column, own.colspan);
    switch (side) {
      case "right":
        return beside && place.column === own.column + own.colspan;
      case "left":
        return beside && place.column + place.colspan === own.column;
      case "bottom":
        return along && place.row === own.row + own.rowspan;
      case "top":
        return along && place.row + place.rowspan === own.row;
    }
  });
}

const declared = ({ node }: CellPlace, side: SideName): Border | null => cell.of(node).border[side];

/** The border that is drawn on a side of a cell: the widest that it or a neighbour there declares. */
export function borderOn(map: Grid, place: CellPlace, side: SideName): Border | null {
  const borders = [
    declared(place, side),
    ...neighbourPlaces(map, place, side).map((neighbour) => declared(neighbour, facingSide[side])),
  ];
  return borders.reduce((widest, own) => (own && own.width > (widest?.width ?? 0) ? own : widest), null);
}

/** The half of each border at the table's left and right edge that lies outside its cells: the widest of each. */
export function outerHalves(map: Grid): { readonly left: number; readonly right: number } {
  const widestAt = (side: "left" | "right", at: (place: CellPlace) => boolean): number =>
    largest(
      map.places.filter(at).map((place) => borderOn(map, place, side)?.width ?? 0),
      0,
    ) / 2;
  return {
    left: widestAt("left", ({ column }) => column === 0),
    right: widestAt("right", ({ column, colspan }) => column + colspan === map.columns),
  };
}

/** What a cell's padding and its half of the borders beside it take off its width; px. */
export function sidesOf(map: Grid, place: CellPlace): number {
  const { padding } = cell.of(place.node);
  const half = (side: SideName): number => (borderOn(map, place, side)?.width ?? 0) / 2;
  return padding.left + padding.right + half("left") + half("right");
}
