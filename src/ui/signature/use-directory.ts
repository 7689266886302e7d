"use client";

import { useCallback, useRef } from "react";
import { endpoints, type DirectoryPerson } from "@/contract";
import { ask } from "../parts/asking/ask";

export type Directory = () => Promise<readonly DirectoryPerson[]>;

/** Whoever a signature is given to, or everybody while that is nobody; asked for once, and again where that failed. */
export function useDirectory(signature: string): Directory {
  const asked = useRef<Promise<readonly DirectoryPerson[]> | null>(null);
  return useCallback(() => {
    asked.current ??= ask(endpoints.listPeople, { query: { signature } }).then(
      ({ people }) => people,
      (error: unknown) => {
        asked.current = null;
        throw error;
      },
    );
    return asked.current;
  }, [signature]);
}
