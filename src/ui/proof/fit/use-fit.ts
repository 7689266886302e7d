"use client";

/** The fit of a document over everybody, and how still it is for each, found by a worker when changes pause. */
import { useEffect, useState } from "react";
import type { Node } from "prosemirror-model";
import type { KnownColors } from "@/core/layout";
import type { FitAnswer, FitRequest, MendableLine, PersonFit, PersonStill } from "@/workers/fit.worker";
import { useSettled } from "../../parts/drawing/use-settled";
import { useDirectory } from "../../signature/use-directory";

/** For whom the proofs are drawn already. */
export interface Stillnesses {
  readonly people: readonly PersonStill[];
  /** Of how many; 0 while that is not known. */
  readonly all: number;
  readonly stopped: boolean;
}

export interface Progress {
  readonly done: number;
  readonly all: number;
}

/** Lines of a document that would be mended; what they say of places is of that document only. */
export interface Mends {
  readonly document: Node;
  readonly lines: readonly MendableLine[];
}

/** What is known of a document; while a later one is tried, that of the earlier one. */
interface Known {
  readonly kind: "known";
  readonly fits: readonly PersonFit[];
  /** Null before any were looked for; those of the document before while they are looked for again. */
  readonly mends: Mends | null;
  readonly still: Stillnesses;
  /** How far it is with a later one. */
  readonly again: Progress | null;
}

export type Fitting =
  | ({ readonly kind: "trying" } & Progress)
  | Known
  | { readonly kind: "stopped" }
  | { readonly kind: "failed"; readonly message: string };

/** Changes closer together than this are tried at once; ms. */
const pause = 200;

interface TriedFit {
  readonly fitting: Fitting;
  readonly stop: () => void;
  readonly again: () => void;
}

const begun: Fitting = { kind: "trying", done: 0, all: 0 };

function after(before: Fitting, said: FitAnswer, document: Node): Fitting {
  switch (said.kind) {
    case "progress": {
      const { done, all } = said;
      // What is known stays in view, and the focus where it is.
      return before.kind === "known" ? { ...before, again: { done, all } } : { kind: "trying", done, all };
    }
    case "fits": {
      const still = { people: [], all: 0, stopped: false };
      const mends = before.kind === "known" ? before.mends : null;
      return { kind: "known", fits: said.fits, mends, still, again: null };
    }
    case "mends":
      return before.kind === "known" ? { ...before, mends: { document, lines: said.lines } } : before;
    case "still": {
      if (before.kind !== "known") return before;
      const people = [...before.still.people, said.person];
      return { ...before, still: { ...before.still, people, all: said.all } };
    }
  }
}

function halted(before: Fitting): Fitting {
  if (before.kind === "known" && before.again === null)
    return { ...before, still: { ...before.still, stopped: true } };
  return before.kind === "trying" || before.kind === "known" ? { kind: "stopped" } : before;
}

export interface Tried {
  readonly signatureId: string;
  readonly document: Node;
  readonly base: string;
  readonly colors: KnownColors;
}

export function useFit({ signatureId, document, base, colors }: Tried): TriedFit {
  const directory = useDirectory(signatureId);
  const settled = useSettled(document, pause);
  const [fitting, setFitting] = useState<Fitting>(begun);
  const [running, setRunning] = useState(true);

  useEffect(() => {
    if (!running) return;
    let wanted = true;
    let worker: Worker | null = null;
    directory().then(
      (people) => {
        if (!wanted) return;
        worker = new Worker(new URL("../../../workers/fit.worker.ts", import.meta.url), { type: "module" });
        worker.onmessage = ({ data }: MessageEvent<FitAnswer>) => {
          if (wanted) setFitting((before) => after(before, data, settled));
        };
        worker.onerror = () =>
          setFitting({
            kind: "failed",
            message: "It could not be tried in this browser. Nothing was changed.",
          });
        worker.postMessage({ document: settled.toJSON(), people, base, colors } satisfies FitRequest);
      },
      (error: Error) => wanted && setFitting({ kind: "failed", message: error.message }),
    );
    return () => {
      wanted = false;
      worker?.terminate();
    };
  }, [settled, directory, running, base, colors]);

  return {
    fitting,
    stop: () => {
      setRunning(false);
      setFitting(halted);
    },
    again: () => {
      setFitting(begun);
      setRunning(true);
    },
  };
}
