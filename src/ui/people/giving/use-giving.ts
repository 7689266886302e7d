"use client";

/** Giving signatures to people; each time it can be taken back. */
import { endpoints } from "@/contract";
import type { Giving } from "@/core/people";
import { ask } from "../../parts/asking/ask";
import { sayRemoved, useRefreshing } from "../../parts/asking/use-refreshing";

interface Signature {
  readonly id: string;
  readonly name: string;
}

export function useGiving(): (to: Signature, giving: Giving) => Promise<boolean> {
  const refreshing = useRefreshing();
  return async ({ id, name }, giving) =>
    refreshing(async () => {
      const before = await ask(endpoints.giveSignature, { params: { id }, body: giving });
      sayRemoved(
        giving.audience.kind === "nobody" ? `“${name}” is nobody’s now.` : `“${name}” is given so.`,
        () => void refreshing(() => ask(endpoints.giveSignature, { params: { id }, body: before })),
      );
    });
}
