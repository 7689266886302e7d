"use client";

/**
 * Saves every change as it is made, over the revision that it was made from. Saves go one at a time; what the
 * server has not confirmed stays in the browser's own storage as well.
 */
import { useCallback, useEffect, useRef, useState } from "react";
import type { Node } from "prosemirror-model";
import { endpoints, type StaleSave } from "@/contract";
import { ask, RequestError } from "../../parts/asking/ask";
import { recordSaved } from "./last-saved";
import { dropDraft, keepDraft } from "./draft";

export type SaveState =
  | { readonly kind: "saved"; readonly revision: number; readonly document: Node }
  | { readonly kind: "saving" }
  | { readonly kind: "waiting" }
  | { readonly kind: "refused"; readonly message: string }
  | { readonly kind: "stale"; readonly refusedId: string; readonly saved: unknown };

/** Changes closer together than this go in one save; ms. */
const gatherFor = 150;
const retryAfter = 1000;

/** A document as it is sent. */
const given = (id: string, document: Node, revision: number) => ({
  params: { id },
  body: { document: document.toJSON() as object, revision },
});

const saving: SaveState = { kind: "saving" };

export interface Saving {
  readonly state: SaveState;
  /** Goes on from a document that the server has, after a choice between two versions. */
  readonly goOnFrom: (document: Node, revision: number) => void;
  /** Says over which revision the next save goes: that of a draft which is taken up. */
  readonly setBase: (revision: number) => void;
}

export function useSaving(id: string, document: Node, initialRevision: number): Saving {
  const [state, setState] = useState<SaveState>({
    kind: "saved",
    revision: initialRevision,
    document,
  });
  const revision = useRef(initialRevision);
  const wanted = useRef(document);
  const saved = useRef(document);
  const sending = useRef<Node | null>(null);
  /** Set while somebody has to choose between two versions; nothing is saved until then. */
  const stale = useRef(false);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);

  const save = useCallback(
    async function saveNow(): Promise<void> {
      if (sending.current || stale.current || wanted.current.eq(saved.current)) return;
      const sent = wanted.current;
      sending.current = sent;
      setState(saving);
      try {
        const answer = await ask(endpoints.saveSignature, given(id, sent, revision.current));
        revision.current = answer.revision;
        saved.current = sent;
        recordSaved(id, answer.revision, sent);
        if (wanted.current.eq(sent)) {
          dropDraft(id);
          setState({ kind: "saved", revision: answer.revision, document: sent });
        } else timer.current = setTimeout(() => void saveNow(), 0);
      } catch (error) {
        if (!(error instanceof RequestError)) throw error;
        if (error.code === "stale-save") {
          // What the server refuses a stale save with has this form.
          const { refusedId, saved: theirs } = error.details as unknown as StaleSave;
          stale.current = true;
          setState({ kind: "stale", refusedId, saved: theirs.document });
          return;
        }
        if (error.status >= 400 && error.status < 500) setState({ kind: "refused", message: error.message });
        else {
          setState({ kind: "waiting" });
          timer.current = setTimeout(() => void saveNow(), retryAfter);
        }
      } finally {
        sending.current = null;
      }
    },
    [id],
  );

  useEffect(() => {
    wanted.current = document;
    if (document.eq(saved.current)) return;
    keepDraft(id, {
      revision: revision.current,
      document: document.toJSON(),
      sent: sending.current?.toJSON() ?? null,
    });
    if (timer.current) clearTimeout(timer.current);
    timer.current = setTimeout(() => void save(), gatherFor);
  }, [id, document, save]);

  useEffect(() => {
    const leave = (): void => {
      // A save on its way already has this revision; the draft in the browser holds what came after it.
      if (sending.current || stale.current || wanted.current.eq(saved.current)) return;
      const last = given(id, wanted.current, revision.current);
      ask(endpoints.saveSignature, { ...last, keepalive: true }).catch(() => undefined);
    };
    window.addEventListener("pagehide", leave);
    return () => {
      window.removeEventListener("pagehide", leave);
      if (timer.current) clearTimeout(timer.current);
      void save();
    };
  }, [id, save]);

  const goOnFrom = useCallback(
    (settled: Node, settledRevision: number) => {
      stale.current = false;
      revision.current = settledRevision;
      saved.current = settled;
      recordSaved(id, settledRevision, settled);
      wanted.current = settled;
      dropDraft(id);
      setState({ kind: "saved", revision: settledRevision, document: settled });
    },
    [id],
  );

  const setBase = useCallback((base: number) => {
    revision.current = base;
  }, []);

  // What was changed a moment ago and waits to be gathered is not saved yet.
  const waits = state.kind === "saved" && state.document !== document && !state.document.eq(document);
  return { state: waits ? saving : state, goOnFrom, setBase };
}
