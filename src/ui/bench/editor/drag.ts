/**
 * Dragging parts: from the panel onto the sheet, and from place to place on it. A mark shows where a part would
 * go; letting go elsewhere changes nothing.
 */
import type { Node } from "prosemirror-model";
import { NodeSelection, Plugin, Selection } from "prosemirror-state";
import type { EditorView } from "prosemirror-view";
import { innerWidth, insertParts, mayHold, movePart, placeAtOffset, tableMap } from "@/core/signature";
import type { Insertable } from "./actions";
import { placeAcross, placeBetween, placeInLine, type DropPlace } from "./drop-place";
import { selectedPart } from "./part-commands";
import { insertAcross } from "./table-insertions";

/** What is being dragged: something new, the part at a position, or a picture that is chosen once dropped. */
export type Dragged =
  | { readonly kind: "new"; readonly insertable: Insertable }
  | { readonly kind: "part"; readonly position: number }
  | { readonly kind: "picture"; readonly form: "block" | "inline" };

interface DragState {
  dragged: Dragged | null;
  readonly mark: HTMLElement;
}

const states = new WeakMap<EditorView, DragState>();

function stateOf(view: EditorView): DragState {
  const known = states.get(view);
  if (known) return known;
  const mark = document.createElement("div");
  mark.className = "drop-mark";
  mark.hidden = true;
  const made = { dragged: null, mark };
  states.set(view, made);
  return made;
}

export const startDrag = (view: EditorView, dragged: Dragged): void => {
  stateOf(view).dragged = dragged;
};

/** Lets go of what is dragged, wherever that was. */
export function endDrag(view: EditorView): void {
  const state = stateOf(view);
  state.dragged = null;
  state.mark.hidden = true;
}

/** Where it goes: between parts, in a line, or across all columns. */
const formOf = (dragged: Dragged): Insertable["form"] =>
  dragged.kind === "new" ? dragged.insertable.form : dragged.kind === "picture" ? dragged.form : "block";

function placeFor(view: EditorView, dragged: Dragged, x: number, y: number): DropPlace | null {
  const place = {
    across: () => placeAcross(view, y),
    inline: () => placeInLine(view, x, y),
    block: () => placeBetween(view, x, y),
  }[formOf(dragged)]();
  if (!place || place.form !== "block") return place;
  const depth = view.state.doc.resolve(place.at).depth;
  const node =
    dragged.kind === "part"
      ? view.state.doc.nodeAt(dragged.position)
      : dragged.kind === "new"
        ? dragged.insertable.make(100)
        : null;
  return node && !mayHold(depth, node) ? null : place;
}

/** The room that the cell around a place between its parts has; px. */
function roomAt(document: Node, position: number): number {
  const at = document.resolve(position);
  const map = tableMap(at.node(-2));
  return innerWidth(map, placeAtOffset(map, at.before() - at.start(-2)));
}

type OnPicture = (kind: "between" | "in-line", at: number) => void;

/** Puts what was dragged in its place. */
function drop(view: EditorView, dragged: Dragged, place: DropPlace, onPicture: OnPicture): void {
  const { state } = view;
  const { tr } = state;
  if (dragged.kind === "picture") return onPicture(place.form === "inline" ? "in-line" : "between", place.at);
  if (dragged.kind === "part") {
    const moved = movePart(tr, dragged.position, place.at);
    if (tr.docChanged) tr.setSelection(NodeSelection.create(tr.doc, moved));
  } else if (place.form === "across") {
    insertAcross((width) => [dragged.insertable.make(width)], place.at)(state, view.dispatch);
    return view.focus();
  } else if (place.form === "inline") {
    tr.insert(place.at, dragged.insertable.make(0));
    tr.setSelection(Selection.near(tr.doc.resolve(place.at + 1), -1));
  } else {
    const made = dragged.insertable.make(roomAt(state.doc, place.at));
    const block = made.isInline ? state.schema.nodes.line!.create(null, made) : made;
    insertParts(tr, place.at, [block]);
    tr.setSelection(
      block.isAtom ? NodeSelection.create(tr.doc, place.at) : Selection.near(tr.doc.resolve(place.at + 1)),
    );
  }
  if (tr.docChanged) view.dispatch(tr);
  view.focus();
}

function showMark(view: EditorView, mark: HTMLElement, place: DropPlace | null): void {
  const around = mark.offsetParent?.getBoundingClientRect();
  mark.hidden = !place;
  if (!place || !around) return;
  mark.style.transform = `translate(${place.mark.left - around.left}px, ${place.mark.top - around.top}px)`;
  mark.style.width = `${place.mark.width}px`;
  mark.style.height = `${place.mark.height}px`;
  mark.classList.toggle("drop-mark-cell", place.mark.height > 40 && place.form === "block");
}

/** `onPicture` is asked for a picture when a place for one was dropped between the parts of a cell, or in a line. */
export const dragging = (onPicture: OnPicture): Plugin =>
  new Plugin({
    view(view) {
      const { mark } = stateOf(view);
      view.dom.parentElement?.append(mark);
      return { destroy: () => mark.remove() };
    },
    props: {
      handleDOMEvents: {
        dragstart(view, event) {
          // A part that can be dragged by itself moves the way the grip moves it; text goes on as text.
          const target = (event.target as HTMLElement).closest?.("[draggable=true]");
          if (!target || !view.dom.contains(target)) return false;
          const position = view.posAtDOM(target, 0);
          const node = view.state.doc.nodeAt(position);
          if (!node?.isBlock || !event.dataTransfer) return false;
          view.dispatch(view.state.tr.setSelection(NodeSelection.create(view.state.doc, position)));
          const part = selectedPart(view.state);
          if (!part) return false;
          event.dataTransfer.setData("text/plain", "");
          event.dataTransfer.effectAllowed = "move";
          startDrag(view, { kind: "part", position: part.position });
          return true;
        },
        dragover(view, event) {
          const { dragged, mark } = stateOf(view);
          if (!dragged) return false;
          const place = placeFor(view, dragged, event.clientX, event.clientY);
          showMark(view, mark, place);
          if (!place) return false;
          event.preventDefault();
          return true;
        },
        dragleave(view, event) {
          const { mark } = stateOf(view);
          if (!view.dom.contains(event.relatedTarget as globalThis.Node | null)) mark.hidden = true;
          return false;
        },
        dragend(view) {
          endDrag(view);
          return false;
        },
        drop(view, event) {
          const { dragged } = stateOf(view);
          if (!dragged) return false;
          event.preventDefault();
          endDrag(view);
          const place = placeFor(view, dragged, event.clientX, event.clientY);
          if (place) drop(view, dragged, place, onPicture);
          return true;
        },
      },
    },
  });
