"use client";

/** Trying the proofs with somebody else's details. */
import { useRef, useState } from "react";
import type { Node } from "prosemirror-model";
import { toast } from "sonner";
import type { Trial } from "@/core/fit";
import type { Person } from "@/core/people";
import { useDirectory } from "../signature/use-directory";

/** Its own person, or how another is chosen. */
export type Tried = "own" | Trial;

export interface TrialPerson {
  readonly tried: Tried;
  /** Whose details are tried; null while its own person is shown. */
  readonly person: Person | null;
  readonly choose: (tried: Tried) => void;
}

const own = { tried: "own", person: null } as const;

export function useTrial(signatureId: string, document: Node): TrialPerson {
  const directory = useDirectory(signatureId);
  const [state, setState] = useState<Omit<TrialPerson, "choose">>(own);
  const wanted = useRef<Tried>("own");
  const choose = (tried: Tried): void => {
    wanted.current = tried;
    if (tried === "own") return setState(own);
    // The widths of all letters are loaded with it.
    Promise.all([directory(), import("@/core/fit")]).then(
      ([people, { trialPerson }]) => {
        if (wanted.current !== tried) return;
        const found = trialPerson(tried, document, people);
        if (found) setState({ tried, person: found.person });
        else toast("Nobody in the directory has such details for this signature.");
      },
      (error: Error) => toast.error(error.message),
    );
  };
  return { ...state, choose };
}
