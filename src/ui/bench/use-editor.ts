"use client";

/** The editor on the sheet: mounted once, its state mirrored into React. */
import { useCallback, useEffect, useRef, useState } from "react";
import type { Node } from "prosemirror-model";
import { Selection, type Command, type EditorState, type Transaction } from "prosemirror-state";
import { EditorView } from "prosemirror-view";
import type { Person } from "@/core/people";
import { nodeViews } from "./editor/node-views";
import { createState } from "./editor/state";

export interface Editor {
  readonly state: EditorState;
  /** The state at this moment, for what goes on after a wait. */
  readonly current: () => EditorState;
  /** The sheet's element; give it to the ref of the element that holds the editor. */
  readonly mount: (element: HTMLElement | null) => void;
  /** Applies what `change` makes of the present state and gives the sheet the focus again. */
  readonly apply: (change: (state: EditorState) => Transaction | null, options?: { focus?: boolean }) => void;
  readonly run: (command: Command) => void;
  readonly focus: () => void;
  /** Puts another document in place of this one; undo starts anew. */
  readonly replace: (document: Node) => void;
}

interface Options {
  readonly person: Person | null;
  /** Picture files dropped on the sheet or pasted into it. */
  readonly onFiles: (files: readonly File[]) => void;
}

export function useEditor(initial: Node, { person, onFiles }: Options): Editor {
  const [state, setState] = useState(() => createState(initial));
  const latest = useRef(state);
  const view = useRef<EditorView | null>(null);
  const options = useRef({ person, onFiles });

  useEffect(() => {
    const changed = options.current.person !== person;
    options.current = { person, onFiles };
    if (changed) view.current?.setProps({ nodeViews: nodeViews(person) });
  }, [person, onFiles]);

  const show = useCallback((next: EditorState) => {
    latest.current = next;
    view.current?.updateState(next);
    setState(next);
  }, []);

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
        state: latest.current,
        nodeViews: nodeViews(options.current.person),
        attributes: {
          "aria-label": "Signature",
          role: "textbox",
          "aria-multiline": "true",
          spellcheck: "false",
        },
        dispatchTransaction: (transaction) => show(latest.current.apply(transaction)),
        handlePaste: (_view, event) => takeFiles(event, event.clipboardData),
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
    [show],
  );

  const focus = useCallback(() => view.current?.focus(), []);

  const apply = useCallback<Editor["apply"]>((change, { focus: wanted = true } = {}) => {
    const transaction = change(latest.current);
    if (transaction) view.current?.dispatch(transaction);
    if (wanted) view.current?.focus();
  }, []);

  const run = useCallback((command: Command) => {
    command(latest.current, (transaction) => view.current?.dispatch(transaction), view.current ?? undefined);
    view.current?.focus();
  }, []);

  const replace = useCallback((document: Node) => show(createState(document)), [show]);

  const current = useCallback(() => latest.current, []);

  return { state, current, mount, apply, run, focus, replace };
}
