"use client";

/** A value with its earlier and later states, so that every step can be taken back. */
import { useCallback, useEffect, useReducer } from "react";

interface Steps<T> {
  readonly past: readonly T[];
  readonly present: T;
  readonly future: readonly T[];
  /** What the last step changed: a slider that is dragged makes one step, not a hundred. */
  readonly topic: string | null;
}

type Move<T> =
  | { readonly kind: "step"; readonly to: T; readonly topic: string | null }
  | { readonly kind: "back" }
  | { readonly kind: "forth" };

const mostSteps = 200;

function advance<T>(steps: Steps<T>, move: Move<T>): Steps<T> {
  const { past, present, future } = steps;
  if (move.kind === "step") {
    if (move.to === present) return steps;
    const goesOn = move.topic !== null && move.topic === steps.topic && future.length === 0;
    return {
      past: goesOn ? past : [...past, present].slice(-mostSteps),
      present: move.to,
      future: [],
      topic: move.topic,
    };
  }
  const taken = move.kind === "back" ? past.at(-1) : future[0];
  if (taken === undefined) return steps;
  return move.kind === "back"
    ? { past: past.slice(0, -1), present: taken, future: [present, ...future], topic: null }
    : { past: [...past, present], present: taken, future: future.slice(1), topic: null };
}

export interface StepTools<T> {
  readonly value: T;
  /** Steps with the same topic, one right after the other, are one. */
  readonly step: (to: T, topic?: string) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
}

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLInputElement && !["range", "checkbox", "radio"].includes(target.type);

/** Ctrl Z and Ctrl Shift Z take steps back and forth wherever nobody is typing. */
export function useSteps<T>(start: T): StepTools<T> {
  const [steps, dispatch] = useReducer(advance<T>, { past: [], present: start, future: [], topic: null });
  const step = useCallback(
    (to: T, topic?: string) => dispatch({ kind: "step", to, topic: topic ?? null }),
    [],
  );
  const undo = useCallback(() => dispatch({ kind: "back" }), []);
  const redo = useCallback(() => dispatch({ kind: "forth" }), []);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== "z" || isTyping(event.target))
        return;
      event.preventDefault();
      (event.shiftKey ? redo : undo)();
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  }, [undo, redo]);
  return {
    value: steps.present,
    step,
    undo,
    redo,
    canUndo: steps.past.length > 0,
    canRedo: steps.future.length > 0,
  };
}
