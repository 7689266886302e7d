"use client";

/** The person that the Bench draws for: the one that was chosen, before the page has been made anew for them. */
import { useCallback, useRef, useState } from "react";
import { toast } from "sonner";
import { endpoints } from "@/contract";
import type { Person } from "@/core/people";
import { ask } from "../../parts/asking/ask";
import type { PersonId } from "../../signature/use-drawn-for";

export interface ChosenPerson {
  readonly person: Person | null;
  /** Draws for somebody of the directory, or for nobody in particular. */
  readonly drawFor: (id: PersonId) => void;
}

/** `own` and `ownId` are those that the page was made for. */
export function usePerson(own: Person | null, ownId: PersonId): ChosenPerson {
  const [chosen, setChosen] = useState<{ id: PersonId; person: Person | null } | null>(null);
  const last = useRef<PersonId>(ownId);
  if (chosen?.id === ownId) setChosen(null);

  const drawFor = useCallback((id: PersonId): void => {
    last.current = id;
    if (id === null) return setChosen({ id, person: null });
    ask(endpoints.findPerson, { params: { id } }).then(
      ({ person }) => {
        if (last.current === id) setChosen({ id, person });
      },
      (error: Error) => toast.error(error.message),
    );
  }, []);
  return { person: chosen ? chosen.person : own, drawFor };
}
