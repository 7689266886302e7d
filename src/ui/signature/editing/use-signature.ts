"use client";

/**
 * A signature that is being edited, in whatever view: its document with undo, saved as it changes, its unsaved part
 * kept in the browser, and the choice between two versions when it was changed elsewhere as well.
 */
import { useCallback, useMemo, useRef, useState } from "react";
import type { Node } from "prosemirror-model";
import type { EditorState, Transaction } from "prosemirror-state";
import { flushSync } from "react-dom";
import { toast } from "sonner";
import { endpoints, type OpenSignature } from "@/contract";
import { becomeDocument, mergeSignatures, parseSignature } from "@/core/signature";
import { ask } from "../../parts/asking/ask";
import { newestOf } from "./last-saved";
import { useNewer } from "./use-newer";
import { useLateSave } from "./use-late-save";
import { useRestoredDraft } from "./use-restored-draft";
import { useSaving, type SaveState } from "./use-saving";

type Listener = (state: EditorState) => void;

export interface EditedSignature {
  readonly id: string;
  readonly name: string;
  readonly state: EditorState;
  /** Whether it began as what the page brought along, and not as something newer. */
  readonly asOpened: boolean;
  readonly saving: SaveState;
  /** The state at this moment, for what goes on after a wait. */
  readonly current: () => EditorState;
  readonly dispatch: (transaction: Transaction) => void;
  /** Puts another document in place of this one; undo starts anew. */
  readonly replace: (document: Node) => void;
  /** Makes the document another one that was saved elsewhere; undo goes on over what was done here. */
  readonly takeIn: (document: Node) => void;
  /** Is told of every state before it is drawn. Answers with what ends that. */
  readonly listen: (listener: Listener) => () => void;
  /** Chooses between the version of this window and the one that is saved. Answers whether that is done, and drawn. */
  readonly settle: (keep: "mine" | "saved") => Promise<boolean>;
}

export function useSignature(
  given: OpenSignature,
  createState: (document: Node) => EditorState,
): EditedSignature {
  const { id, name } = given;
  const [opened] = useState(() => newestOf(given));
  const [state, setState] = useState(() => createState(parseSignature(opened.document)));
  const asOpened = opened === given || opened.revision === given.revision;
  const latest = useRef(state);
  const listeners = useRef(new Set<Listener>());

  const show = useCallback((next: EditorState) => {
    latest.current = next;
    listeners.current.forEach((listener) => listener(next));
    setState(next);
  }, []);
  const listen = useCallback((listener: Listener) => {
    listeners.current.add(listener);
    return () => {
      listeners.current.delete(listener);
    };
  }, []);
  const current = useCallback(() => latest.current, []);
  const dispatch = useCallback((transaction: Transaction) => show(latest.current.apply(transaction)), [show]);
  const replace = useCallback((document: Node) => show(createState(document)), [show, createState]);

  const takeIn = useCallback(
    (document: Node) => {
      const tr = becomeDocument(latest.current.tr, document);
      if (tr.docChanged) dispatch(tr.setMeta("addToHistory", false));
    },
    [dispatch],
  );
  const merge = useCallback(
    (base: Node, theirs: Node): Node | null => {
      const merged = mergeSignatures(base, latest.current.doc, theirs);
      if (merged.kind === "overlap") return null;
      takeIn(merged.document);
      toast("What was changed in another window was taken in.");
      return merged.document;
    },
    [takeIn],
  );

  const saves = useSaving(id, state.doc, opened.revision, merge);
  const { state: saving, goOnFrom } = saves;
  useNewer(id, { current, takeIn }, saves);
  useLateSave(opened, { replace }, saves);
  useRestoredDraft(opened, { current, dispatch }, saves);

  const settle = useCallback(
    async (keep: "mine" | "saved"): Promise<boolean> => {
      if (saving.kind !== "stale") return false;
      try {
        const settled = await ask(endpoints.settleRefusedSave, {
          params: { id },
          body: { refusedId: saving.refusedId, keep },
        });
        const kept = parseSignature(settled.document);
        flushSync(() => {
          if (keep === "saved") replace(kept);
          goOnFrom(kept, settled.revision);
        });
        toast(`The other one is among the versions as “${settled.other.name}”.`);
      } catch (error) {
        toast.error((error as Error).message);
        return false;
      }
      return true;
    },
    [saving, id, replace, goOnFrom],
  );

  return useMemo(
    () => ({ id, name, state, asOpened, saving, current, dispatch, replace, takeIn, listen, settle }),
    [id, name, state, asOpened, saving, current, dispatch, replace, takeIn, listen, settle],
  );
}
