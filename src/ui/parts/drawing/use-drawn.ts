"use client";

/** What the server draws for a value, asked for once the value rests; late answers to earlier values are dropped. */
import { useEffect, useState } from "react";
import { useSettled } from "./use-settled";

export interface Drawn<T> {
  /** The latest drawing, of this value or an earlier one; null before the first. */
  readonly drawn: T | null;
  readonly busy: boolean;
  /** Why the latest value could not be drawn. */
  readonly problem: string | null;
}

/** `ask` must be stable. */
export function useDrawn<V, T>(value: V, ask: (value: V) => Promise<T>, quiet = 180): Drawn<T> {
  const settled = useSettled(value, quiet);
  const [answer, setAnswer] = useState<{ of: V; drawn: T | null; problem: string | null } | null>(null);
  useEffect(() => {
    let current = true;
    ask(settled).then(
      (drawn) => current && setAnswer({ of: settled, drawn, problem: null }),
      (error: Error) =>
        current &&
        setAnswer((before) => ({ of: settled, drawn: before?.drawn ?? null, problem: error.message })),
    );
    return () => {
      current = false;
    };
  }, [settled, ask]);
  return {
    drawn: answer?.drawn ?? null,
    busy: answer?.of !== value,
    problem: answer?.of === value ? answer.problem : null,
  };
}
