"use client";

/**
 * Saves every change as it is made, over the revision that it was made from. Saves go one at a time; what the
 * server has not confirmed stays in the browser's own storage as well.
 */
import { useCallback, useEffect, useRef, useState } from "react";
import { toast } from "sonner";
import type { Node } from "prosemirror-model";
import { endpoints, type StaleSave } from "@/contract";
import { parseSignature } from "@/core/signature";
import { ask, RequestError } from "../../parts/asking/ask";
import { recordSaved } from "./last-saved";
import { dropDraft, keepDraft } from "./draft";

export type SaveState =
  | { readonly kind: "saved"; readonly revision: number; readonly document: Node }
  | { readonly kind: "saving" }
  /** `because` is what is wrong where the server said it, as the beginning of a sentence. */
  | { readonly kind: "waiting"; readonly because: string | null }
  | { readonly kind: "refused"; readonly message: string }
  | { readonly kind: "stale"; readonly refusedId: string; readonly saved: unknown };

/** Changes closer together than this go in one save; ms. */
const gatherFor = 150;
const retryAfter = 1000;

const troubleToast = "what is wrong with the data folder";

/** A document as it is sent. */
const given = (id: string, document: Node, revision: number, settles?: string | null) => ({
  params: { id },
  body: { document: document.toJSON() as object, revision, ...(settles && { settles }) },
});

/** What the next save is made over. */
interface Base {
  readonly revision: number;
  /** What that revision holds; null where only its number is known, so that nothing can be merged with it. */
  readonly document: Node | null;
  /** A refused save that is merged into the next one. */
  readonly settles: string | null;
  /** What was sent over it and never answered, if anything; the server may have it. */
  readonly unanswered: Node | null;
}

const saving: SaveState = { kind: "saving" };

export interface Saving {
  readonly state: SaveState;
  /** Goes on from a document that the server has, after a choice between two versions. */
  readonly goOnFrom: (document: Node, revision: number) => void;
  /** Says over which revision the next save goes: that of a draft which is taken up. */
  readonly setBase: (base: Omit<Base, "settles">) => void;
  /** The revision that a document is; null while something of it waits to be saved. */
  readonly settledRevision: (document: Node) => number | null;
}

/**
 * `merge` takes what has been saved elsewhere since `base` into what stands here, and answers with both; null where the
 * two overlap.
 */
export function useSaving(
  id: string,
  document: Node,
  initialRevision: number,
  merge: (base: Node, theirs: Node) => Node | null,
): Saving {
  const [state, setState] = useState<SaveState>({
    kind: "saved",
    revision: initialRevision,
    document,
  });
  const base = useRef<Base>({ revision: initialRevision, document, settles: null, unanswered: null });
  const wanted = useRef(document);
  /** What needs no saving. */
  const saved = useRef(document);
  const sending = useRef<Node | null>(null);
  /** Set while somebody has to choose between two versions; nothing is saved until then. */
  const stale = useRef(false);
  /** What is wrong with the server, as it was said last. */
  const told = useRef<string | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);

  const save = useCallback(
    async function saveNow(): Promise<void> {
      const done = wanted.current.eq(saved.current) && !base.current.settles;
      if (sending.current || stale.current || done) return;
      const sent = wanted.current;
      sending.current = sent;
      setState(saving);
      try {
        const { revision, settles } = base.current;
        const answer = await ask(endpoints.saveSignature, given(id, sent, revision, settles));
        base.current = { revision: answer.revision, document: sent, settles: null, unanswered: null };
        saved.current = sent;
        if (told.current !== null) toast.dismiss(troubleToast);
        told.current = null;
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
          const document = parseSignature(theirs.document);
          const { document: before, unanswered } = base.current;
          const merged = unanswered?.eq(document) ? wanted.current : before && merge(before, document);
          if (merged) {
            // What is drawn follows a moment later; the next save must not miss what was taken in.
            wanted.current = merged;
            base.current = { revision: theirs.revision, document, settles: refusedId, unanswered: null };
            saved.current = document;
            timer.current = setTimeout(() => void saveNow(), gatherFor);
            return;
          }
          stale.current = true;
          setState({ kind: "stale", refusedId, saved: theirs.document });
          return;
        }
        if (error.status >= 400 && error.status < 500) setState({ kind: "refused", message: error.message });
        else {
          base.current = { ...base.current, unanswered: sent };
          const { title } = error.details;
          const because = typeof title === "string" ? title : null;
          // Said once, and not with each try; it stays until it is over, or is put away.
          if (because !== null && told.current !== because)
            toast.error(error.message, { id: troubleToast, duration: Infinity });
          told.current = because;
          setState({ kind: "waiting", because });
          timer.current = setTimeout(() => void saveNow(), retryAfter);
        }
      } finally {
        sending.current = null;
      }
    },
    [id, merge],
  );

  useEffect(() => {
    wanted.current = document;
    if (document.eq(saved.current)) return;
    keepDraft(id, {
      revision: base.current.revision,
      document: document.toJSON(),
      base: base.current.document?.toJSON() ?? null,
      sent: (sending.current ?? base.current.unanswered)?.toJSON() ?? null,
    });
    if (timer.current) clearTimeout(timer.current);
    timer.current = setTimeout(() => void save(), gatherFor);
  }, [id, document, save]);

  useEffect(() => {
    const leave = (): void => {
      // A save on its way already has this revision; the draft in the browser holds what came after it.
      if (sending.current || stale.current || wanted.current.eq(saved.current)) return;
      const last = given(id, wanted.current, base.current.revision, base.current.settles);
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
    (settled: Node, revision: number) => {
      stale.current = false;
      base.current = { revision, document: settled, settles: null, unanswered: null };
      saved.current = settled;
      recordSaved(id, revision, settled);
      wanted.current = settled;
      dropDraft(id);
      setState({ kind: "saved", revision, document: settled });
    },
    [id],
  );

  const setBase = useCallback<Saving["setBase"]>((given) => {
    base.current = { ...given, settles: null };
  }, []);

  const settledRevision = useCallback(
    (document: Node) =>
      sending.current || stale.current || !document.eq(saved.current) ? null : base.current.revision,
    [],
  );

  // What was changed a moment ago and waits to be gathered is not saved yet.
  const waits = state.kind === "saved" && state.document !== document && !state.document.eq(document);
  return { state: waits ? saving : state, goOnFrom, setBase, settledRevision };
}
