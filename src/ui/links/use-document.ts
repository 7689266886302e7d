"use client";

/** A signature's document that is changed in single steps: each is saved at once, and can be taken back. */
import { useCallback, useRef, useState } from "react";
import type { Node } from "prosemirror-model";
import { Transform } from "prosemirror-transform";
import { toast } from "sonner";
import { parseSignature } from "@/core/signature";
import { request, type RequestError } from "../parts/request";

export interface DocumentSteps {
  readonly document: Node;
  readonly revision: number;
  readonly saving: boolean;
  /** Makes a change and saves it. Answers whether it was saved; if not, the document is as it was. */
  readonly change: (make: (transform: Transform) => Transform) => Promise<boolean>;
  /** Takes the last change back; null when there is none. */
  readonly takeBack: (() => Promise<void>) | null;
}

const elsewhere =
  "It was changed in another window since you opened it here. Reload the page, and go on from there.";

export function useDocument(id: string, json: unknown, initialRevision: number): DocumentSteps {
  const [document, setDocument] = useState(() => parseSignature(json));
  const [revision, setRevision] = useState(initialRevision);
  const [saving, setSaving] = useState(false);
  const [before, setBefore] = useState<readonly Node[]>([]);
  const latest = useRef({ document, revision });

  const save = useCallback(
    async (next: Node): Promise<boolean> => {
      setSaving(true);
      try {
        const body = { document: next.toJSON() as object, revision: latest.current.revision };
        const answer = await request<{ revision: number }>("PUT", `/api/signatures/${id}`, body);
        latest.current = { document: next, revision: answer.revision };
        setDocument(next);
        setRevision(answer.revision);
        return true;
      } catch (error) {
        const { code, message } = error as RequestError;
        toast.error(code === "stale-save" ? elsewhere : message);
        return false;
      } finally {
        setSaving(false);
      }
    },
    [id],
  );

  const change = useCallback<DocumentSteps["change"]>(
    async (make) => {
      const from = latest.current.document;
      const { doc } = make(new Transform(from));
      if (doc.eq(from)) return true;
      const saved = await save(doc);
      if (saved) setBefore((steps) => [...steps, from]);
      return saved;
    },
    [save],
  );

  const last = before.at(-1);
  const takeBack = last
    ? async (): Promise<void> => {
        if (await save(last)) setBefore((steps) => steps.slice(0, -1));
      }
    : null;

  return { document, revision, saving, change, takeBack };
}
