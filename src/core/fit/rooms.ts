/** How much room each line, button and other part of a cell has; px. */
import type { Node } from "prosemirror-model";
import { innerWidth, outerTable, tableMap } from "../signature";

/** Worked out once for a document, whoever it is drawn for. */
const rooms = new WeakMap<Node, ReadonlyMap<number, number>>();

function measureRooms(table: Node, start: number, into: Map<number, number>): void {
  const map = tableMap(table);
  for (const place of map.places) {
    const room = innerWidth(map, place);
    place.node.forEach((block, offset) => {
      const position = start + place.offset + 1 + offset;
      if (block.type.name === "table") measureRooms(block, position + 1, into);
      else into.set(position, room);
    });
  }
}

/** The room of each block, by where it begins. */
export function roomsIn(document: Node): ReadonlyMap<number, number> {
  const known = rooms.get(document);
  if (known) return known;
  const found = new Map<number, number>();
  measureRooms(outerTable(document), 1, found);
  rooms.set(document, found);
  return found;
}
