"use client";

/** The steps of a rehearsal that goes on at a desk, ticked by what happened there; of Still Line, above the client. */
import { Check, Circle } from "lucide-react";
import Link from "next/link";
import { useCallback, useEffect, useState } from "react";
import { toast } from "sonner";
import { endpoints, type Rehearsal } from "@/contract";
import type { DeskClientId } from "@/core/desks";
import { ask } from "../../parts/asking/ask";
import { buttonClass } from "../../parts/button";

interface Props {
  readonly personId: string;
  readonly personName: string;
  readonly client: DeskClientId;
  readonly first: Rehearsal | null;
}

/** How often it asks what has happened; ms. */
const pause = 1500;

export function RehearsalStrip({ personId, personName, client, first }: Props) {
  const [rehearsal, setRehearsal] = useState(first);
  const [open, setOpen] = useState(true);
  const going = rehearsal !== null;

  const look = useCallback(async (): Promise<void> => {
    try {
      const answer = await ask(endpoints.findRehearsal, { params: { person: personId, client } });
      setRehearsal(answer.rehearsal);
    } catch {
      // It is asked again.
    }
  }, [personId, client]);
  useEffect(() => {
    if (!going) return;
    const timer = setInterval(() => {
      if (!document.hidden) void look();
    }, pause);
    return () => clearInterval(timer);
  }, [going, look]);

  if (!rehearsal) return null;
  const { steps, signatureId, signatureName, revision, kind, clientName } = rehearsal;
  const done = steps.filter((step) => step.done).length;
  const next = steps.findIndex((step) => !step.done);
  const params = { person: personId, client };
  const end = async (): Promise<void> => {
    await ask(endpoints.endRehearsal, { params });
    setRehearsal(null);
  };
  const attempt = (action: () => Promise<void>): void =>
    void action().catch((error: Error) => toast.error(error.message));
  const record = async (): Promise<void> => {
    await ask(endpoints.recordInstall, {
      params: { id: signatureId },
      body: {
        revision,
        form: "full",
        kind,
        account: "",
        use: "new",
        by: personName,
        note: `Rehearsed in the Mailroom’s ${clientName}.`,
      },
    });
    await end();
    toast(`“${signatureName}” is recorded as installed, after a rehearsal in ${clientName}.`);
  };
  return (
    <section aria-label="Rehearsal" className="border-b border-hairline bg-kelp px-5 py-2 text-sm text-ink">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
        <h2 className="font-medium">
          Rehearsing{" "}
          <Link href={`/signatures/${signatureId}/install`} className="underline">
            {signatureName}
          </Link>
          : {done} of {steps.length} steps
        </h2>
        {!open && next >= 0 && <p className="min-w-0 flex-1 truncate">{steps[next]?.says}</p>}
        <span className="ml-auto flex items-center gap-4">
          {done === steps.length && (
            <button type="button" className={buttonClass("primary")} onClick={() => attempt(record)}>
              Record it as installed
            </button>
          )}
          <button type="button" className="underline" aria-expanded={open} onClick={() => setOpen(!open)}>
            {open ? "Fold the steps" : "Show the steps"}
          </button>
          <button type="button" className="underline" onClick={() => attempt(end)}>
            {done === steps.length ? "End it" : "Give it up"}
          </button>
        </span>
      </div>
      {open && (
        <ol className="mt-1 grid gap-x-8 lg:grid-cols-2">
          {steps.map(({ says, done: ticked, forgotten }, index) => (
            <li
              key={says}
              className="flex items-start gap-2 py-0.5"
              aria-current={index === next ? "step" : undefined}
            >
              {ticked ? (
                <Check size={15} aria-label="done" className="mt-0.5 shrink-0 text-pine" />
              ) : (
                <Circle size={15} aria-label="not yet" className="mt-0.5 shrink-0 text-soft" />
              )}
              <span className={index === next ? "font-medium" : ticked ? "text-soft" : ""}>
                {index + 1}. {says}
                {forgotten && <span className="block font-medium text-clay">{forgotten}</span>}
              </span>
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}
