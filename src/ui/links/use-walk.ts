"use client";

/** Walking web links on the server: answers come one by one, and the walk can be stopped. */
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { toast } from "sonner";
import type { KeptAnswer } from "@/server/links/answers";
import { noAnswer } from "../parts/request";

export interface Walk {
  readonly answers: Readonly<Record<string, KeptAnswer>>;
  /** Addresses of the walk under way that have not answered yet; null while none is. */
  readonly waiting: ReadonlySet<string> | null;
  /** How many the walk under way began with. */
  readonly of: number;
  readonly start: (addresses: readonly string[]) => Promise<void>;
  readonly stop: () => void;
}

/** The lines of a streamed answer as they come. */
async function* linesOf(body: ReadableStream<Uint8Array>): AsyncGenerator<string> {
  const reader = body.getReader();
  const decoder = new TextDecoder();
  let rest = "";
  for (;;) {
    const { done, value } = await reader.read();
    rest += decoder.decode(value, { stream: !done });
    const lines = rest.split("\n");
    rest = lines.pop()!;
    yield* lines.filter((line) => line);
    if (done) break;
  }
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
      const response = await fetch("/api/links/walk", {
        method: "POST",
        headers: { "content-type": "application/json" },
        body: JSON.stringify({ addresses }),
        signal: stopped.signal,
      });
      if (!response.ok || !response.body) throw new Error(noAnswer);
      for await (const line of linesOf(response.body)) {
        const answer = JSON.parse(line) as KeptAnswer;
        setCame((before) => ({ ...before, [answer.address]: answer }));
        setWaiting((before) => new Set([...(before ?? [])].filter((address) => address !== answer.address)));
      }
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
