"use client";

/** Throwing letters away, and taking them back. */
import { useRouter } from "next/navigation";
import { endpoints, type Desk } from "@/contract";
import { ask } from "../../parts/asking/ask";
import { sayRemoved, useRefreshing } from "../../parts/asking/use-refreshing";
import { pathsOf } from "./letter-paths";

export interface Throwing {
  readonly throwAway: (id: string) => Promise<void>;
  readonly takeBack: (id: string) => Promise<void>;
}

export function useThrowing(desk: Desk): Throwing {
  const router = useRouter();
  const refreshing = useRefreshing();
  const takeBack = async (letter: string): Promise<void> =>
    void (await refreshing(() =>
      ask(endpoints.takeLetterBack, { params: { person: desk.person.id, letter } }),
    ));
  return {
    takeBack,
    throwAway: async (letter) => {
      const gone = await refreshing(() =>
        ask(endpoints.throwLetter, { params: { person: desk.person.id, letter } }),
      );
      if (!gone) return;
      sayRemoved("The letter is thrown away.", () => void takeBack(letter));
      router.push(pathsOf(desk).letters());
    },
  };
}
