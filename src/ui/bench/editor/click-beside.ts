/** Where a click goes that hits no part: beside a picture, into padding, into the empty rest of a cell. */
import { NodeSelection, Selection, TextSelection } from "prosemirror-state";
import type { EditorView } from "prosemirror-view";

/** How far a height lies from a box; px. */
const away = (y: number, { top, bottom }: DOMRect): number => Math.max(0, top - y, y - bottom);

/**
 * What a click beside the parts of a cell selects in that same cell: the caret in its nearest line, or the nearest part
 * that holds no text. Null where the click hit a part.
 */
export function selectionBeside(view: EditorView, event: MouseEvent): Selection | null {
  const { target, clientX: left, clientY: y } = event;
  if (!(target instanceof HTMLTableCellElement) || !view.dom.contains(target)) return null;
  const { doc } = view.state;
  const start = view.posAtDOM(target, 0);
  const cell = doc.resolve(start).parent;
  let nearest: { position: number; dom: HTMLElement; distance: number } | null = null;
  cell.forEach((_part, offset) => {
    const dom = view.nodeDOM(start + offset);
    if (!(dom instanceof HTMLElement)) return;
    const distance = away(y, dom.getBoundingClientRect());
    if (!nearest || distance < nearest.distance) nearest = { position: start + offset, dom, distance };
  });
  const found = nearest as { position: number; dom: HTMLElement } | null;
  const part = found && doc.nodeAt(found.position);
  if (!part) return null;
  if (!part.isTextblock)
    return part.type.name === "table"
      ? Selection.near(doc.resolve(found.position + 1))
      : NodeSelection.create(doc, found.position);
  const box = found.dom.getBoundingClientRect();
  const at = view.posAtCoords({ left, top: Math.min(box.bottom - 1, Math.max(box.top + 1, y)) })?.pos;
  const [first, last] = [found.position + 1, found.position + 1 + part.content.size];
  return TextSelection.create(doc, Math.min(last, Math.max(first, at ?? first)));
}
