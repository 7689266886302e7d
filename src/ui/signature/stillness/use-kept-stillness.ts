"use client";

/** How still a signature is, as this page measured it: shown while that is what it is, and kept by the server. */
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { endpoints, type Stillness } from "@/contract";
import { ask } from "../../parts/asking/ask";
import type { EditedSignature } from "../editing/use-signature";
import type { MeasuredAll } from "./measure-proofs";
import { stillness } from "./stillness-of";

export interface LiveStillness {
  /** Null while what would be sent has not been measured. */
  readonly measured: Stillness | null;
  /** The proofs that were measured last, of what is shown or of what was shown before. */
  readonly last: (MeasuredAll & { readonly html: string }) | null;
  readonly onMeasured: (all: MeasuredAll, html: string) => void;
}

/** `html` is what is shown of the signature as it will be sent; null while something else is tried. */
export function useKeptStillness(
  { id, saving, state }: Pick<EditedSignature, "id" | "saving" | "state">,
  html: string | null,
): LiveStillness {
  const [last, setLast] = useState<LiveStillness["last"]>(null);
  const onMeasured = useCallback((all: MeasuredAll, of: string) => setLast({ ...all, html: of }), []);
  const measured = useMemo(
    () => (last !== null && last.html === html ? stillness(last.measured) : null),
    [last, html],
  );
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

  return { measured, last, onMeasured };
}
