"use client";

/** Trying the layout with whose details are longest. */
import { useCallback, useState } from "react";
import type { EditorState } from "prosemirror-state";
import { toast } from "sonner";
import type { Person } from "@/core/people";
import type { Directory } from "../../signature/use-directory";

export interface LongestPerson {
  /** Whose details are tried, or null while the signature's own person is shown. */
  readonly tried: Person | null;
  readonly toggle: () => void;
}

export function useLongestPerson(current: () => EditorState, directory: Directory): LongestPerson {
  const [tried, setTried] = useState<Person | null>(null);
  const toggle = useCallback(() => {
    if (tried) return setTried(null);
    // The widths of all letters are loaded with it.
    Promise.all([directory(), import("@/core/fit")]).then(
      ([people, { longestPerson }]) => {
        const found = longestPerson(current().doc, people);
        if (found) setTried(found.person);
        else toast("Nothing in this signature is longer for one person than for another.");
      },
      (error: Error) => toast.error(error.message),
    );
  }, [tried, current, directory]);
  return { tried, toggle };
}
