"use client";

/** Brings back what was typed and not saved before the page was left. */
import { useEffect, useRef } from "react";
import { readSignature } from "@/core/signature";
import { readDraft } from "./draft";
import { replaceDocument } from "./editor/commands";
import type { Autosave } from "./use-autosave";
import type { EditorTools } from "./use-editor";

interface Opened {
  readonly id: string;
  readonly document: unknown;
  readonly revision: number;
}

/**
 * A draft over the revision that was opened simply goes on. One over an older revision goes on as well, from
 * there, so that its save is stale and both versions are shown: neither may be dropped unseen.
 */
export function useRestoredDraft(opened: Opened, { apply }: EditorTools, { setBase }: Autosave): void {
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
    apply(
      ({ doc, tr }) => {
        if (doc.eq(restored)) return null;
        if (!ownSave) setBase(draft.revision);
        return replaceDocument(tr, restored);
      },
      { focus: false },
    );
  }, [apply, setBase]);
}
