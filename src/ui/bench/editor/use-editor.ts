"use client";

/** The editor on the sheet: mounted once, its state mirrored into React. */
import { startTransition, useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from "react";
import { flushSync } from "react-dom";
import {
  Selection,
  TextSelection,
  type Command,
  type EditorState,
  type Transaction,
} from "prosemirror-state";
import { EditorView } from "prosemirror-view";
import type { Person } from "@/core/people";
import type { EditedSignature } from "../../signature/editing/use-signature";
import type { PictureTarget } from "../pictures/place-picture";
import { caretLeftBehind, selectionBeside } from "./click-beside";
import { copiedText } from "./copied-text";
import { dragging, endDrag, startDrag, type Dragged } from "./drag";
import { grip } from "./grip";
import { staged } from "../../parts/drawing/stage";
import { nodeViews } from "./node-views";
import { partsForSome } from "./parts-for-some";
import { fitToPlace } from "./paste";
import { writeAtPart } from "./writing-over";

export interface EditorTools {
  /** The state at this moment, for what goes on after a wait. */
  readonly current: () => EditorState;
  /** The sheet's element; give it to the ref of the element that holds the editor. */
  readonly mount: (element: HTMLElement | null) => void;
  /** Applies what `change` makes of the present state and gives the sheet the focus again. */
  readonly apply: (change: (state: EditorState) => Transaction | null, options?: { focus?: boolean }) => void;
  readonly run: (command: Command, options?: { focus?: boolean }) => void;
  readonly focus: () => void;
  /** Lets the tools show the present state now, for what works on what they show. */
  readonly catchUp: () => void;
  /** Says what a drag that begins outside the sheet carries; null when it has ended. */
  readonly drag: (dragged: Dragged | null) => void;
}

export interface Editor extends EditorTools {
  readonly state: EditorState;
}

interface Options {
  /** Whether the browser checks the spelling. */
  readonly spelling: boolean;
  readonly person: Person | null;
  /** Picture files dropped on the sheet or pasted into it. */
  readonly onFiles: (files: readonly File[]) => void;
  /** A picture is to be chosen: for a place between parts, or instead of the one at a position. */
  readonly onPicture: (target: PictureTarget) => void;
  /** HTML is pasted; answers whether it is taken. */
  readonly onPaste: (view: EditorView, html: string, plain: string) => boolean;
}

export interface EditorOnSheet {
  /** What the tools show: after a key they follow once the proofs are drawn, after a tool at once. */
  readonly shown: EditorState;
  /** The same ones as long as the sheet is there. */
  readonly tools: EditorTools;
}

/** The browser tells of a new selection once a frame; a shortcut pressed within that frame would act on the last one. */
const readSelection = (): boolean => document.dispatchEvent(new Event("selectionchange"));

export function useEditor(signature: EditedSignature, given: Options): EditorOnSheet {
  const { current, dispatch, listen } = signature;
  const options = useRef(given);
  const [shown, setShown] = useState(signature.state);
  const byTool = useRef(false);
  /** Whether a paste that comes now was asked for as plain text: with Shift held. */
  const asWords = useRef(false);
  const view = useRef<EditorView | null>(null);

  useEffect(() => {
    const changed = options.current.person !== given.person;
    const checked = options.current.spelling !== given.spelling;
    options.current = given;
    // Drawn anew, it asks for its attributes again.
    if (checked) view.current?.setProps({});
    if (changed) view.current?.setProps({ nodeViews: nodeViews(given.person) });
  }, [given]);

  // Before any effect: what is brought back from the browser's storage changes the state in one.
  useLayoutEffect(
    () =>
      listen((next) => {
        view.current?.updateState(next);
        if (byTool.current) setShown(next);
        else startTransition(() => setShown(next));
      }),
    [listen],
  );

  const mount = useCallback(
    (element: HTMLElement | null) => {
      if (!element) return;
      const takeFiles = (event: ClipboardEvent | DragEvent, transfer: DataTransfer | null): boolean => {
        const files = [...(transfer?.files ?? [])];
        if (files.length === 0) return false;
        event.preventDefault();
        options.current.onFiles(files);
        return true;
      };
      view.current = new EditorView(element, {
        state: current(),
        plugins: [dragging((kind, at) => options.current.onPicture({ kind, at })), grip],
        nodeViews: nodeViews(options.current.person),
        decorations: ({ doc }) => partsForSome(doc, options.current.person),
        attributes: () => ({
          "aria-label": "Signature",
          role: "textbox",
          "aria-multiline": "true",
          spellcheck: String(options.current.spelling),
        }),
        dispatchTransaction: (transaction) => staged("edit", () => dispatch(transaction)),
        handleDOMEvents: {
          keydown: (_view, { shiftKey, ctrlKey, metaKey, altKey }) => {
            asWords.current = shiftKey;
            if (ctrlKey || metaKey || altKey) readSelection();
            return false;
          },
        },
        // A tab is sent as a space.
        transformPastedText: (text) => text.replaceAll("\t", " "),
        transformPasted: (slice, pasted) => fitToPlace(slice, pasted.state.selection),
        handlePaste: (pasted, event) => {
          const html = asWords.current ? "" : (event.clipboardData?.getData("text/html") ?? "");
          return (
            (html === "" && !asWords.current && takeFiles(event, event.clipboardData)) ||
            options.current.onPaste(pasted, html, event.clipboardData?.getData("text/plain") ?? "")
          );
        },
        clipboardTextSerializer: (slice) => copiedText(slice, options.current.person),
        handleTextInput: (written, _from, _to, text) => {
          const tr = writeAtPart(written.state, text);
          if (tr) written.dispatch(tr);
          return tr !== null;
        },
        // The caret goes into the cell that was clicked, and nowhere else.
        handleClick: (clicked, position, event) => {
          const beside = selectionBeside(clicked, event);
          const wanted = beside ?? caretLeftBehind(clicked.state, position, event);
          if (wanted) clicked.dispatch(clicked.state.tr.setSelection(wanted));
          return beside !== null;
        },
        // Two presses at one place, with another one elsewhere between them, are no double click: the browser counts one.
        handleDoubleClick: (clicked, position, event) => {
          const wanted = event.detail === 1 ? caretLeftBehind(clicked.state, position, event) : null;
          if (wanted) clicked.dispatch(clicked.state.tr.setSelection(wanted));
          return false;
        },
        // Three clicks take the line; the cell around it is taken by its edge or by key.
        handleTripleClick: (clicked, position) => {
          const { doc, tr } = clicked.state;
          const at = doc.resolve(position);
          if (!at.parent.isTextblock) return false;
          clicked.dispatch(tr.setSelection(TextSelection.create(doc, at.start(), at.end())));
          return true;
        },
        handleDoubleClickOn: (_view, _pos, node, position) => {
          if (node.type.name !== "picture") return false;
          options.current.onPicture({ kind: "replace", position });
          return true;
        },
        handleDrop: (dropped, event) => {
          const at = dropped.posAtCoords({ left: event.clientX, top: event.clientY });
          if (at && event.dataTransfer?.files.length)
            dropped.dispatch(
              dropped.state.tr.setSelection(Selection.near(dropped.state.doc.resolve(at.pos))),
            );
          return takeFiles(event, event.dataTransfer);
        },
      });
      return () => {
        view.current?.destroy();
        view.current = null;
      };
    },
    [current, dispatch],
  );

  const asTool = useCallback((action: () => void) => {
    byTool.current = true;
    try {
      action();
    } finally {
      byTool.current = false;
    }
  }, []);

  const focus = useCallback(() => view.current?.focus(), []);
  const catchUp = useCallback(() => {
    readSelection();
    flushSync(() => setShown(current()));
  }, [current]);

  const apply = useCallback<EditorTools["apply"]>(
    (change, { focus: wanted = true } = {}) => {
      asTool(() => {
        const transaction = change(current());
        if (transaction) view.current?.dispatch(transaction);
      });
      if (wanted) view.current?.focus();
    },
    [asTool, current],
  );

  const run = useCallback<EditorTools["run"]>(
    (command, { focus: wanted = true } = {}) => {
      asTool(() =>
        command(current(), (transaction) => view.current?.dispatch(transaction), view.current ?? undefined),
      );
      if (wanted) view.current?.focus();
    },
    [asTool, current],
  );

  const drag = useCallback((dragged: Dragged | null) => {
    if (!view.current) return;
    if (dragged) startDrag(view.current, dragged);
    else endDrag(view.current);
  }, []);

  const tools = useMemo(
    () => ({ current, mount, apply, run, focus, catchUp, drag }),
    [current, mount, apply, run, focus, catchUp, drag],
  );
  return { shown, tools };
}
