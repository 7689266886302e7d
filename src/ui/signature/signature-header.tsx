"use client";

import { useRouter } from "next/navigation";
import { useState, type ReactNode } from "react";
import { toast } from "sonner";
import { endpoints } from "@/contract";
import type { Finding, Station } from "@/core/checks";
import { ChoiceField } from "../parts/fields/choice-field";
import { ask } from "../parts/asking/ask";
import { Wordmark } from "../parts/site-header";
import { TheLine } from "./the-line";

export interface PersonChoice {
  readonly id: string;
  readonly name: string;
}

/** The choice that is no person; ids have no spaces. */
const nobody = "nobody in particular";

interface Props {
  readonly signatureId: string;
  readonly name: string;
  readonly personId: string | null;
  readonly people: readonly PersonChoice[];
  readonly current: Station;
  readonly findings: readonly Finding[];
  /** What stands beside the choice of the person. */
  readonly besidePerson?: ReactNode;
  /** What stands at the right: whether it is saved, undo and redo. */
  readonly children?: ReactNode;
}

/** Name, person and the line, on every screen of a signature. */
export function SignatureHeader(props: Props) {
  const { signatureId, name, personId, people, current, findings, besidePerson, children } = props;
  const router = useRouter();
  const [draft, setDraft] = useState(name);
  /** Shown at once, until the server has it. */
  const [chosen, setChosen] = useState<{ before: string | null; now: string | null } | null>(null);
  const drawnFor = chosen?.before === personId ? chosen.now : personId;

  const describe = async (patch: { name?: string; personId?: string | null }): Promise<boolean> => {
    try {
      await ask(endpoints.describeSignature, { params: { id: signatureId }, body: patch });
      router.refresh();
      return true;
    } catch (error) {
      toast.error((error as Error).message);
      return false;
    }
  };

  const choose = async (now: string | null): Promise<void> => {
    setChosen({ before: personId, now });
    if (!(await describe({ personId: now }))) setChosen(null);
  };

  const rename = async (): Promise<void> => {
    const wanted = draft.trim();
    if (wanted === name) return setDraft(name);
    if (!(await describe({ name: wanted }))) setDraft(name);
  };

  return (
    <header className="border-b border-hairline">
      <div className="flex h-11 items-center gap-3 px-5">
        <Wordmark />
        <span aria-hidden className="h-5 border-l border-hairline" />
        <input
          aria-label="Name of the signature"
          value={draft}
          maxLength={80}
          size={Math.max(6, draft.length)}
          onChange={(event) => setDraft(event.target.value)}
          onBlur={() => void rename()}
          onKeyDown={(event) => {
            if (event.key === "Enter") event.currentTarget.blur();
            if (event.key === "Escape") setDraft(name);
          }}
          className="rounded-sm border-b border-transparent bg-transparent px-1 font-serif text-lg hover:border-hairline focus:border-pine"
        />
        <div className="flex items-center gap-1.5 text-sm text-soft">
          <span aria-hidden className="hidden whitespace-nowrap lg:inline">
            drawn for
          </span>
          <ChoiceField
            label="drawn for"
            quiet
            className="w-36 lg:w-48"
            value={drawnFor ?? nobody}
            choices={{
              [nobody]: "nobody in particular",
              ...Object.fromEntries(people.map((person) => [person.id, person.name])),
            }}
            onChange={(next) => void choose(next === nobody ? null : next)}
          />
        </div>
        {besidePerson}
        <div className="ml-auto flex items-center gap-2">{children}</div>
      </div>
      <TheLine signatureId={signatureId} current={current} findings={findings} />
    </header>
  );
}
