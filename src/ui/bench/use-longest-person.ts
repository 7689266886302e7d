"use client";

/** Trying the layout with whose details are longest. */
import { useCallback, useState } from "react";
import type { Node } from "prosemirror-model";
import { toast } from "sonner";
import { longestPerson } from "@/core/layout";
import type { Person } from "@/core/people";
import { request } from "../parts/request";

interface DirectoryPerson {
  readonly id: string;
  readonly person: Person;
}

export interface LongestPerson {
  /** Whose details are tried, or null while the signature's own person is shown. */
  readonly tried: Person | null;
  readonly toggle: () => void;
}

export function useLongestPerson(current: () => Node): LongestPerson {
  const [tried, setTried] = useState<Person | null>(null);
  const toggle = useCallback(() => {
    if (tried) return setTried(null);
    request<{ people: readonly DirectoryPerson[] }>("GET", "/api/people").then(
      ({ people }) => {
        const found = longestPerson(current(), people);
        if (found) setTried(found.person);
        else toast("Nothing in this signature is longer for one person than for another.");
      },
      (error: Error) => toast.error(error.message),
    );
  }, [tried, current]);
  return { tried, toggle };
}
