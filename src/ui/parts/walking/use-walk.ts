"use client";

/** Walking web links on the server: answers come one by one, and the walk can be stopped. */
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { toast } from "sonner";
import { endpoints, type KeptAnswer } from "@/contract";
import { follow, noAnswer } from "../asking/ask";

export interface Walk {
  readonly answers: Readonly<Record<string, KeptAnswer>>;
  /** Addresses of the walk under way that have not answered yet; null while none is. */
  readonly waiting: ReadonlySet<string> | null;
  /** How many the walk under way began with. */
  readonly of: number;
  readonly start: (addresses: readonly string[]) => Promise<void>;
  readonly stop: () => void;
}

export function useWalk(known: Readonly<Record<string, KeptAnswer>>): Walk {
  const [came, setCame] = useState<Readonly<Record<string, KeptAnswer>>>({});
  const [waiting, setWaiting] = useState<ReadonlySet<string> | null>(null);
  const [of, setOf] = useState(0);
  const stopper = useRef<AbortController | null>(null);
  useEffect(() => () => stopper.current?.abort(), []);

  const start = useCallback(async (addresses: readonly string[]): Promise<void> => {
    const stopped = new AbortController();
    stopper.current = stopped;
    setWaiting(new Set(addresses));
    setOf(addresses.length);
    try {
      await follow(endpoints.walkLinks, { body: { addresses }, signal: stopped.signal }, (answer) => {
        setCame((before) => ({ ...before, [answer.address]: answer }));
        setWaiting((before) => new Set([...(before ?? [])].filter((address) => address !== answer.address)));
      });
    } catch {
      if (!stopped.signal.aborted) toast.error(noAnswer);
    } finally {
      setWaiting(null);
    }
  }, []);

  const stop = useCallback(() => stopper.current?.abort(), []);
  // What is known changes with the person that the signature is drawn for.
  const answers = useMemo(() => ({ ...known, ...came }), [known, came]);
  return { answers, waiting, of, start, stop };
}
