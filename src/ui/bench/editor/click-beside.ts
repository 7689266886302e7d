/** Where a click goes: that hits no part, beside a picture or in padding; or that hits a line while the caret is elsewhere. */
import { NodeSelection, Selection, TextSelection, type EditorState } from "prosemirror-state";
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

/**
 * The caret at a click in a line that the selection is not in yet: browsers tell of a changed selection a moment after
 * the click, and a key that is pressed in that moment would act on what was selected before. Null where that is not so.
 */
export function caretLeftBehind(
  { doc, selection }: EditorState,
  position: number,
  event: MouseEvent,
): Selection | null {
  const { parent } = doc.resolve(position);
  if (event.shiftKey || !parent.isTextblock || selection.$head.parent === parent) return null;
  return TextSelection.create(doc, position);
}
