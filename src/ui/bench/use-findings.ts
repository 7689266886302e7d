"use client";

/** What will go wrong with the document on the sheet, found by a worker when typing pauses. */
import { useEffect, useRef, useState } from "react";
import type { Node } from "prosemirror-model";
import type { CheckOptions, Finding } from "@/core/checks";
import type { FindingsAnswer, FindingsRequest } from "@/workers/findings.worker";
import { useSettled } from "../parts/use-settled";

/** Findings are counted when typing pauses; the proofs follow each key; ms. */
const pause = 200;

/** `opened` are the findings that the document was opened with. */
export function useFindings(
  document: Node,
  { person, base, pictures, answers, organisation, networks }: Required<CheckOptions>,
  opened: readonly Finding[],
): readonly Finding[] {
  const [findings, setFindings] = useState(opened);
  const worker = useRef<Worker | null>(null);
  const settled = useSettled(document, pause);

  useEffect(() => {
    const made = new Worker(new URL("../../workers/findings.worker.ts", import.meta.url), { type: "module" });
    made.addEventListener("message", ({ data }: MessageEvent<FindingsAnswer>) => setFindings(data));
    worker.current = made;
    return () => {
      made.terminate();
      worker.current = null;
    };
  }, []);

  useEffect(() => {
    const options = { person, base, pictures, answers, organisation, networks };
    const request: FindingsRequest = { document: settled.toJSON(), ...options };
    worker.current?.postMessage(request);
  }, [settled, person, base, pictures, answers, organisation, networks]);

  return findings;
}
