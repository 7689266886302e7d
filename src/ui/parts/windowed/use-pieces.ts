"use client";

/** Pieces of a long list that are asked for as they come into view. */
import { useCallback, useEffect, useRef, useState } from "react";
import { toast } from "sonner";
import { mostAtOnce } from "@/contract";

interface Held<T> {
  /** What the page came with: when that is another, the rest may be as well. */
  readonly given: readonly T[];
  readonly pieces: ReadonlyMap<string, T>;
  /** Those that are as they were when the page came. */
  readonly fresh: ReadonlySet<string>;
}

interface Options<T> {
  /** What the page brings along. */
  readonly given: readonly T[];
  readonly keyOf: (piece: T) => string;
  /** Those of some that there are. */
  readonly load: (keys: readonly string[]) => Promise<readonly T[]>;
}

interface Pieces<T> {
  /** Null while it is on its way. */
  readonly find: (key: string) => T | null;
  /** Says what is in view. */
  readonly want: (keys: readonly string[]) => void;
  /** What somebody has just made of one. */
  readonly put: (piece: T) => void;
}

/** While somebody scrolls past, nothing is asked for; ms. */
const restingFor = 60;

const held = <T>(
  given: readonly T[],
  before: ReadonlyMap<string, T>,
  keyOf: (piece: T) => string,
): Held<T> => ({
  given,
  pieces: new Map([...before, ...given.map((piece) => [keyOf(piece), piece] as const)]),
  fresh: new Set(given.map(keyOf)),
});

/** `keyOf` and `load` stay the same. What is stale is shown until the new is there. */
export function usePieces<T>({ given, keyOf, load }: Options<T>): Pieces<T> {
  const [state, setState] = useState(() => held(given, new Map<string, T>(), keyOf));
  if (state.given !== given) setState(held(given, state.pieces, keyOf));
  const [wanted, setWanted] = useState<readonly string[]>([]);
  const asked = useRef(new Set<string>());

  useEffect(() => {
    const missing = wanted.filter((key) => !state.fresh.has(key) && !asked.current.has(key));
    if (missing.length === 0) return;
    const timer = setTimeout(() => {
      const keys = missing.slice(0, mostAtOnce);
      for (const key of keys) asked.current.add(key);
      load(keys)
        .finally(() => {
          for (const key of keys) asked.current.delete(key);
        })
        .then((loaded) => {
          const pieces = loaded.map((piece) => [keyOf(piece), piece] as const);
          setState((before) => {
            // What was asked of an earlier page is asked again.
            if (before.given !== state.given) return { ...before };
            return {
              ...before,
              pieces: new Map([...before.pieces, ...pieces]),
              fresh: new Set([...before.fresh, ...keys]),
            };
          });
        })
        // What is in view is asked for again when the page is scrolled.
        .catch((error: unknown) => void toast.error((error as Error).message, { id: "pieces" }));
    }, restingFor);
    return () => clearTimeout(timer);
  }, [wanted, state, keyOf, load]);

  const find = useCallback((key: string) => state.pieces.get(key) ?? null, [state.pieces]);
  const put = useCallback(
    (piece: T) =>
      setState((before) => ({
        ...before,
        pieces: new Map([...before.pieces, [keyOf(piece), piece]]),
        fresh: new Set([...before.fresh, keyOf(piece)]),
      })),
    [keyOf],
  );
  return { find, want: setWanted, put };
}
