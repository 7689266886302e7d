"use client";

/** How still a signature is, as this page measured it: shown while that is what it is, and kept by the server. */
import { useCallback, useEffect, useRef, useState } from "react";
import { endpoints, type Stillness } from "@/contract";
import { ask } from "../../parts/asking/ask";
import type { EditedSignature } from "../editing/use-signature";

interface Measured extends Stillness {
  readonly html: string;
}

export interface LiveStillness {
  /** Null while what is shown has not been measured. */
  readonly measured: Stillness | null;
  readonly onMeasured: (measured: Stillness, html: string) => void;
}

/** `html` is what is shown of the signature as it will be sent; null while something else is tried. */
export function useKeptStillness(
  { id, saving, state }: Pick<EditedSignature, "id" | "saving" | "state">,
  html: string | null,
): LiveStillness {
  const [last, setLast] = useState<Measured | null>(null);
  const onMeasured = useCallback((measured: Stillness, of: string) => setLast({ ...measured, html: of }), []);
  const measured = last !== null && last.html === html ? last : null;
  const revision = saving.kind === "saved" && saving.document === state.doc ? saving.revision : null;
  const sent = useRef("");

  useEffect(() => {
    if (!measured || revision === null) return;
    const { still, all } = measured;
    const what = `${revision} ${still} ${all}`;
    if (sent.current === what) return;
    sent.current = what;
    // Nothing is lost without it: it is measured again wherever it is needed.
    ask(endpoints.keepStillness, { params: { id }, body: { revision, still, all } }).catch(() => undefined);
  }, [id, measured, revision]);

  return { measured, onMeasured };
}
