"use client";

/** The fit of a document over everybody, found by a worker when changes pause. */
import { useEffect, useState } from "react";
import type { Node } from "prosemirror-model";
import type { FitAnswer, FitRequest, PersonFit } from "@/workers/fit.worker";
import { useSettled } from "../../parts/drawing/use-settled";
import { useDirectory } from "../../signature/use-directory";

export type Fitting =
  | { readonly kind: "trying"; readonly done: number; readonly all: number }
  | { readonly kind: "known"; readonly fits: readonly PersonFit[] }
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

export function useFit(signatureId: string, document: Node): TriedFit {
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
          if (!wanted) return;
          setFitting(
            data.kind === "done"
              ? { kind: "known", fits: data.fits }
              : { kind: "trying", done: data.done, all: data.all },
          );
        };
        worker.onerror = () =>
          setFitting({
            kind: "failed",
            message: "It could not be tried in this browser. Nothing was changed.",
          });
        worker.postMessage({ document: settled.toJSON(), people } satisfies FitRequest);
      },
      (error: Error) => wanted && setFitting({ kind: "failed", message: error.message }),
    );
    return () => {
      wanted = false;
      worker?.terminate();
    };
  }, [settled, directory, running]);

  return {
    fitting: running ? fitting : { kind: "stopped" },
    stop: () => setRunning(false),
    again: () => {
      setFitting(begun);
      setRunning(true);
    },
  };
}
