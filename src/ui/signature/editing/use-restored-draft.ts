"use client";

/** Brings back what was typed and not saved before the page was left. */
import { useEffect, useRef } from "react";
import type { Node } from "prosemirror-model";
import type { OpenSignature } from "@/contract";
import { readSignature } from "@/core/signature";
import { readDraft } from "./draft";
import { replaceDocument } from "./replace-document";
import type { EditedSignature } from "./use-signature";
import type { Saving } from "./use-saving";

/**
 * A draft over the revision that was opened simply goes on. One over an older revision goes on as well, from
 * there, so that its save is stale and the two are merged, or both shown: neither may be dropped unseen.
 */
export function useRestoredDraft(
  opened: OpenSignature,
  { current, dispatch }: Pick<EditedSignature, "current" | "dispatch">,
  { setBase }: Pick<Saving, "setBase">,
): void {
  const first = useRef(opened);
  useEffect(() => {
    const { id, document, revision } = first.current;
    const draft = readDraft(id);
    const read = draft && readSignature(draft.document);
    if (!draft || !read?.ok) return;
    // From here on the autosave keeps it, in this window's own name.
    draft.drop();
    const restored = read.document;
    const ownSave =
      draft.revision === revision - 1 && JSON.stringify(draft.sent) === JSON.stringify(document);
    const known = (json: unknown): Node | null => {
      const found = readSignature(json);
      return found.ok ? found.document : null;
    };
    const { doc, tr } = current();
    if (doc.eq(restored)) return;
    if (!ownSave)
      setBase({ revision: draft.revision, document: known(draft.base), unanswered: known(draft.sent) });
    dispatch(replaceDocument(tr, restored));
  }, [current, dispatch, setBase]);
}
