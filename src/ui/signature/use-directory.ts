"use client";

import { useCallback, useRef } from "react";
import { endpoints, type DirectoryPerson } from "@/contract";
import { ask } from "../parts/asking/ask";

export type Directory = () => Promise<readonly DirectoryPerson[]>;

/** Everybody in the directory, asked for once; again where that failed. */
export function useDirectory(): Directory {
  const asked = useRef<Promise<readonly DirectoryPerson[]> | null>(null);
  return useCallback(() => {
    asked.current ??= ask(endpoints.listPeople).then(
      ({ people }) => people,
      (error: unknown) => {
        asked.current = null;
        throw error;
      },
    );
    return asked.current;
  }, []);
}
