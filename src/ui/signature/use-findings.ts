"use client";

/** What will go wrong with a document, found by a worker when changes pause. */
import { useEffect, useRef, useState } from "react";
import type { Node } from "prosemirror-model";
import type { CheckOptions, Finding } from "@/core/checks";
import type { FindingsAnswer, FindingsRequest } from "@/workers/findings.worker";
import { useSettled } from "../parts/drawing/use-settled";

/** Findings are counted when typing pauses; the proofs follow each key; ms. */
const pause = 200;

export interface Found {
  readonly findings: readonly Finding[];
  /** The document that they were found in, which the positions of their mends are of. */
  readonly document: Node;
}

/** `opened` are the findings that the document was opened with. */
export function useFindings(
  document: Node,
  { person, base, pictures, answers, organisation, networks }: Required<CheckOptions>,
  opened: readonly Finding[],
): Found {
  const [found, setFound] = useState<Found>({ findings: opened, document });
  const worker = useRef<Worker | null>(null);
  /** The documents that were asked about and not answered yet, in order. */
  const asked = useRef<Node[]>([]);
  const settled = useSettled(document, pause);

  useEffect(() => {
    const made = new Worker(new URL("../../workers/findings.worker.ts", import.meta.url), { type: "module" });
    asked.current = [];
    made.addEventListener("message", ({ data }: MessageEvent<FindingsAnswer>) => {
      const about = asked.current.shift();
      if (about) setFound({ findings: data, document: about });
    });
    worker.current = made;
    return () => {
      made.terminate();
      worker.current = null;
    };
  }, []);

  useEffect(() => {
    const options = { person, base, pictures, answers, organisation, networks };
    const request: FindingsRequest = { document: settled.toJSON(), ...options };
    asked.current.push(settled);
    worker.current?.postMessage(request);
  }, [settled, person, base, pictures, answers, organisation, networks]);

  return found;
}
