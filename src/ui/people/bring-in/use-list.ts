"use client";

/** A list of people that is being read: where it came from, how it is read, and what came of it. */
import { useCallback, useEffect, useRef, useState } from "react";
import { endpoints, type ChosenColumns } from "@/contract";
import type { ListReading, OwnField, ReadList } from "@/core/people";
import type { PeopleListAnswer, PeopleListRequest } from "@/workers/people-list.worker";
import { ask } from "../../parts/asking/ask";

export interface ListSource {
  /** What it is called: a file's name. */
  readonly name: string;
  readonly content: Uint8Array | string;
}

interface Options {
  readonly own: readonly OwnField[];
  readonly remembered: ChosenColumns["columns"];
}

export interface ListInHand {
  readonly source: ListSource | null;
  readonly reading: ListReading;
  /** What came of it last; null before anything was read. */
  readonly list: ReadList | null;
  readonly busy: boolean;
  readonly problem: string | null;
  readonly open: (source: ListSource) => void;
  /** Reads it another way. */
  readonly read: (reading: Partial<ListReading>) => void;
  readonly stop: () => void;
  readonly close: () => void;
}

const asFound: ListReading = {
  ...{ encoding: null, delimiter: null, named: null, columns: null },
  ...{ emptying: false, mended: {} },
};

const unread = "The list could not be read in this browser. Nothing was changed.";

export function useList({ own, remembered }: Options): ListInHand {
  const [source, setSource] = useState<ListSource | null>(null);
  const [reading, setReading] = useState(asFound);
  const [list, setList] = useState<ReadList | null>(null);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const worker = useRef<Worker | null>(null);
  const number = useRef(0);

  const end = useCallback((): void => {
    number.current += 1;
    worker.current?.terminate();
    worker.current = null;
    setBusy(false);
  }, []);
  useEffect(() => end, [end]);

  const begin = async (given: ListSource, wanted: ListReading): Promise<void> => {
    const mine = (number.current += 1);
    setBusy(true);
    setProblem(null);
    try {
      const { people } = await ask(endpoints.typedPeople);
      if (mine !== number.current) return;
      worker.current ??= new Worker(new URL("../../../workers/people-list.worker.ts", import.meta.url), {
        type: "module",
      });
      const running = worker.current;
      running.onmessage = ({ data }: MessageEvent<PeopleListAnswer>) => {
        if (data.number !== number.current) return;
        setList(data.list);
        setBusy(false);
      };
      running.onerror = () => {
        end();
        setProblem(unread);
      };
      const chosen = Object.fromEntries(remembered.map(({ key, target }) => [key, target]));
      running.postMessage({
        number: mine,
        request: {
          ...wanted,
          ...{ source: given.content, people, own },
          remembered: chosen,
        },
      } satisfies PeopleListRequest);
    } catch (error) {
      if (mine !== number.current) return;
      setBusy(false);
      setProblem((error as Error).message);
    }
  };

  return {
    ...{ source, reading, list, busy, problem },
    open: (given) => {
      setSource(given);
      setReading(asFound);
      setList(null);
      void begin(given, asFound);
    },
    read: (changed) => {
      if (!source) return;
      const next = { ...reading, ...changed };
      setReading(next);
      void begin(source, next);
    },
    stop: end,
    close: () => {
      end();
      setSource(null);
      setList(null);
      setProblem(null);
    },
  };
}
