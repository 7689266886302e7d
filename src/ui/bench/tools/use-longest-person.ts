"use client";

/** Trying the layout with the longest details that there are. */
import { useCallback, useMemo, useState } from "react";
import type { EditorState } from "prosemirror-state";
import { toast } from "sonner";
import { fieldLabel, type Person } from "@/core/people";
import type { Directory } from "../../signature/use-directory";

/** Somebody to try a signature with, and why. */
export interface LongDetails {
  readonly why: string;
  /** Whose they are, in words. */
  readonly whose: string;
  readonly person: Person;
}

export interface LongestPerson {
  /** What is tried, or null while the signature's own person is shown. */
  readonly tried: LongDetails | null;
  readonly choose: (tried: LongDetails | null) => void;
  /** The widest line, or the signature's own person again. */
  readonly toggle: () => void;
  /** All that there are to try: the widest line, every detail at its widest, and the widest of each field; none where nothing differs. */
  readonly find: () => Promise<readonly LongDetails[]>;
}

/** Said where there is nothing to try. */
export const nothingLonger = "Nothing in this signature is longer for one person than for another.";

const widestLine = (person: Person): LongDetails => ({ why: "The widest line", whose: person.name, person });

export function useLongestPerson(current: () => EditorState, directory: Directory): LongestPerson {
  const [tried, setTried] = useState<LongDetails | null>(null);
  // The widths of all letters are loaded with it.
  const measure = useCallback(
    () => Promise.all([directory(), import("@/core/fit")]).then(([people, fit]) => ({ people, fit })),
    [directory],
  );
  const find = useCallback(async (): Promise<readonly LongDetails[]> => {
    const { people, fit } = await measure();
    const { doc } = current();
    const line = fit.longestPerson(doc, people);
    if (!line) return [];
    const widest = fit.widestDetails(doc, people);
    return [
      widestLine(line.person),
      {
        why: "Every detail at its widest",
        whose: "the widest of each",
        person: fit.widestOfAll(line.person, widest),
      },
      ...widest.map(({ field, whose: { person } }) => ({
        why: `The widest ${fieldLabel(field).toLowerCase()}`,
        whose: person.name,
        person,
      })),
    ];
  }, [measure, current]);
  const toggle = useCallback(() => {
    if (tried) return setTried(null);
    measure().then(
      ({ people, fit }) => {
        const found = fit.longestPerson(current().doc, people);
        if (found) setTried(widestLine(found.person));
        else toast(nothingLonger);
      },
      (error: Error) => toast.error(error.message),
    );
  }, [tried, measure, current]);
  // The Bench around the proofs is drawn again only where something of it is another.
  return useMemo(() => ({ tried, choose: setTried, toggle, find }), [tried, toggle, find]);
}
