"use client";

/** What was found at the addresses of pictures that lie elsewhere, looked at one after another once they are known. */
import { useEffect, useState } from "react";
import pLimit from "p-limit";
import { endpoints, type ForeignPicture } from "@/contract";
import { ask } from "../../parts/asking/ask";

/** So many are looked at side by side. */
const atOnce = 3;

export type Looked = ForeignPicture | { readonly problem: string };

/** By their addresses; those that are still being looked at are not in it. */
export function useLooked(addresses: readonly string[]): ReadonlyMap<string, Looked> {
  const [looked, setLooked] = useState<ReadonlyMap<string, Looked>>(new Map());
  const wanted = JSON.stringify(addresses);
  useEffect(() => {
    const limit = pLimit(atOnce);
    let left = false;
    const put = (address: string, found: Looked): void => {
      if (!left) setLooked((before) => new Map(before).set(address, found));
    };
    for (const address of JSON.parse(wanted) as readonly string[])
      void limit(async () => {
        if (left) return;
        try {
          put(address, (await ask(endpoints.lookAtAddress, { body: { address } })).report);
        } catch (error) {
          put(address, { problem: (error as Error).message });
        }
      });
    return () => {
      left = true;
    };
  }, [wanted]);
  return looked;
}
