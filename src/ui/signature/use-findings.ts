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

/** An object as it was last, while each of its values is the same. */
function useSame<T extends object>(next: T): T {
  const [kept, setKept] = useState(next);
  const same = Object.entries(next).every(([name, value]) => kept[name as keyof T] === value);
  if (!same) setKept(next);
  return same ? kept : next;
}

/** `opened` are the findings that the document was opened with. */
export function useFindings(
  document: Node,
  options: Required<CheckOptions>,
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

  const wanted = useSame(options);
  useEffect(() => {
    const request: FindingsRequest = { document: settled.toJSON(), ...wanted };
    asked.current.push(settled);
    worker.current?.postMessage(request);
  }, [settled, wanted]);

  return found;
}
