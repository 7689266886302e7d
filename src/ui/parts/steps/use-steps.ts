"use client";

/** A value with its earlier and later states, so that every step can be taken back. */
import { useCallback, useEffect, useReducer } from "react";
import { advance, firstStep } from "./steps";

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
  const [steps, dispatch] = useReducer(advance<T>, firstStep(start));
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
