"use client";

/** Whose details fit what is on the sheet, found by a worker when changes pause. */
import { useEffect, useState } from "react";
import type { Node } from "prosemirror-model";
import type { WhoFitsAnswer } from "@/workers/who-fits.worker";
import { useSettled } from "../../parts/drawing/use-settled";
import type { Directory } from "../../signature/use-directory";
import { EverybodyTrial } from "./everybody-trial";

export interface WhoFitsNow extends WhoFitsAnswer {
  /** The document that they were tried with, which the positions of lines are of. */
  readonly document: Node;
}

/** First what is being done: people are asked for once the page has come to rest; ms. */
const rest = 1500;
/** Changes closer together than this are tried at once; ms. */
const pause = 200;

/** Null before it is known, and where it cannot be: then there is no number, and nothing else is missing. */
export function useWhoFits(document: Node, directory: Directory): WhoFitsNow | null {
  const [found, setFound] = useState<WhoFitsNow | null>(null);
  const [rested, setRested] = useState(false);
  const [trial] = useState(() => new EverybodyTrial());
  const settled = useSettled(document, pause);

  useEffect(() => {
    const timer = setTimeout(() => setRested(true), rest);
    return () => {
      clearTimeout(timer);
      trial.stop();
    };
  }, [trial]);

  useEffect(() => {
    if (!rested) return;
    let wanted = true;
    directory().then(
      (people) => {
        if (wanted && people.length > 0)
          trial.ask(people, settled, (answer) => wanted && setFound({ ...answer, document: settled }));
      },
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, [rested, directory, trial, settled]);

  return found;
}
