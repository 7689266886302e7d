"use client";

/** Long work that the server tells of line by line: how far it is, what came of it, and the way to stop it. */
import { useEffect, useRef, useState } from "react";
import type { Progress } from "@/contract";
import { noAnswer } from "./ask";

interface Following<E> {
  /** How far it is, or what came of it; null before it began and where it broke off. */
  readonly told: Progress | E | null;
  readonly stopped: boolean;
  /** Why it broke off. */
  readonly problem: string | null;
  /** `follow` asks for it and hands on each line; of `all`, so many as are known before. */
  readonly start: (
    all: number,
    follow: (signal: AbortSignal, onTold: (told: Progress | E) => void) => Promise<void>,
  ) => Promise<void>;
  readonly stop: () => void;
  /** Forgets what came of it. */
  readonly forget: () => void;
}

/** Leaving the page stops it. */
export function useFollowing<E extends { readonly kind: string }>(): Following<E> {
  const [told, setTold] = useState<Progress | E | null>(null);
  const [stopped, setStopped] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const running = useRef<AbortController | null>(null);
  useEffect(() => () => running.current?.abort(), []);
  return {
    ...{ told, stopped, problem },
    start: async (all, follow) => {
      const own = new AbortController();
      running.current = own;
      setStopped(false);
      setProblem(null);
      setTold({ kind: "progress", done: 0, all });
      let last = "progress";
      try {
        await follow(own.signal, (next) => {
          last = next.kind;
          setTold(next);
        });
        // What ends without its end was broken off.
        if (last === "progress") throw new Error(noAnswer);
      } catch (error) {
        setTold(null);
        if (own.signal.aborted) setStopped(true);
        else setProblem((error as Error).message);
      }
    },
    stop: () => running.current?.abort(),
    forget: () => setTold(null),
  };
}
