"use client";

import { useRouter } from "next/navigation";
import { useState, type ReactNode } from "react";
import { toast } from "sonner";
import { endpoints, type Stillness } from "@/contract";
import type { Finding, Station } from "@/core/checks";
import { ask } from "../parts/asking/ask";
import { PersonPicker } from "../parts/people/person-picker";
import { Wordmark } from "../parts/site-header";
import { TheLine } from "./the-line";
import { useDrawnFor, type PersonId } from "./use-drawn-for";

interface Props {
  readonly signatureId: string;
  readonly name: string;
  readonly personId: string | null;
  /** What whom it is drawn for is called; null for nobody. */
  readonly personName: string | null;
  readonly current: Station;
  readonly findings: readonly Finding[];
  /** In how many proofs it is still; null where that is not known of what is shown. */
  readonly stillness: Stillness | null;
  /** Is told of a choice as it is made, before the page is drawn for it. */
  readonly onDrawnFor?: (id: PersonId) => void;
  /** What stands beside the choice of the person. */
  readonly besidePerson?: ReactNode;
  /** What stands beside the station that is shown. */
  readonly besideStation?: ReactNode;
  /** What stands at the right: whether it is saved, undo and redo. */
  readonly children?: ReactNode;
}

/** Name, person and the line, on every screen of a signature. */
export function SignatureHeader(props: Props) {
  const { signatureId, name, personId, current, findings, onDrawnFor, besidePerson, children } = props;
  const router = useRouter();
  const [draft, setDraft] = useState(name);
  const drawnFor = useDrawnFor(signatureId, personId, onDrawnFor);

  const rename = async (): Promise<void> => {
    const wanted = draft.trim();
    if (wanted === name) return setDraft(name);
    try {
      await ask(endpoints.describeSignature, { params: { id: signatureId }, body: { name: wanted } });
      router.refresh();
    } catch (error) {
      setDraft(name);
      toast.error((error as Error).message);
    }
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
          className="min-w-24 text-ellipsis rounded-sm border-b border-transparent bg-transparent px-1 font-serif text-lg hover:border-hairline focus:border-pine"
        />
        <div className="flex items-center gap-1.5 text-sm text-soft">
          <span aria-hidden className="hidden whitespace-nowrap lg:inline">
            drawn for
          </span>
          <PersonPicker
            label="drawn for"
            quiet
            className="w-36 lg:w-48"
            value={drawnFor.personId}
            name={props.personName}
            none="nobody in particular"
            offersNobody
            onChange={drawnFor.choose}
          />
        </div>
        {besidePerson}
        <div className="ml-auto flex items-center gap-2">{children}</div>
      </div>
      <TheLine
        signatureId={signatureId}
        current={current}
        findings={findings}
        stillness={props.stillness}
        besideStation={props.besideStation}
      />
    </header>
  );
}
