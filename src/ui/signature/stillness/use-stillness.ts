"use client";

/** How still a signature is in every proof, measured anew when it changes. */
import { useEffect, useRef, useState, type RefObject } from "react";
import type { KnownColors } from "@/core/layout";
import { bodyOf } from "../../parts/drawing/frame-document";
import { ordinaryConditions, type Conditions } from "./conditions";
import { measureProofs, type Measured, type MeasuredAll } from "./measure-proofs";

export interface MeasuredNow extends MeasuredAll {
  /** False while `measured` is empty because the HTML has not been measured yet. */
  readonly done: boolean;
  /** What was measured last, of an earlier HTML while this one is measured. */
  readonly before: Measured;
}

const none: Measured = new Map();

/** Before anything is measured: as large as signatures mostly are. */
const nothing: MeasuredAll = { measured: none, design: { width: 480, height: 160 } };

/**
 * The proofs of some HTML once all of them have been measured; null measures nothing and ends what is under way. `frame` is
 * the one to measure in; it is as wide as each kind's pane while that is drawn.
 */
export function useStillness(
  frame: RefObject<HTMLIFrameElement | null>,
  html: string | null,
  base: string,
  colors: KnownColors | null,
  conditions: Conditions = ordinaryConditions,
): MeasuredNow {
  const [state, setState] = useState<
    MeasuredAll & { readonly html: string | null; readonly conditions: Conditions }
  >({
    html: null,
    conditions,
    ...nothing,
  });
  const run = useRef(0);

  useEffect(() => {
    const element = frame.current;
    if (!element || html === null || colors === null) return;
    const begin = (): void => {
      const current = ++run.current;
      const stopped = (): boolean => run.current !== current;
      void measureProofs(element, { html, base, colors, conditions }, stopped).then((all) => {
        if (all) setState({ html, conditions, ...all });
      });
    };
    // Its fonts are declared once it has loaded; before that lines would break elsewhere.
    if (bodyOf(element)?.ownerDocument.readyState === "complete") begin();
    element.addEventListener("load", begin);
    return () => {
      run.current += 1;
      element.removeEventListener("load", begin);
    };
  }, [frame, html, base, colors, conditions]);

  const done = html !== null && state.html === html && state.conditions === conditions;
  // Frames keep their size while the next HTML is measured.
  return { measured: done ? state.measured : none, design: state.design, done, before: state.measured };
}
