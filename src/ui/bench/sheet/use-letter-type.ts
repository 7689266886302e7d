"use client";

/** How the user's letters are set, kept as it is changed. */
import { useCallback, useState } from "react";
import { toast } from "sonner";
import { endpoints } from "@/contract";
import { ask } from "../../parts/asking/ask";
import type { LetterType } from "./letter-type";

export function useLetterType(initial: LetterType): readonly [LetterType, (next: LetterType) => void] {
  const [letterType, setLetterType] = useState(initial);
  const set = useCallback((next: LetterType) => {
    setLetterType(next);
    ask(endpoints.keepLetterType, { body: next }).catch((error: Error) => toast.error(error.message));
  }, []);
  return [letterType, set];
}
