"use client";

/** The steps of a rehearsal that goes on at a desk, ticked by what happened there; of Still Line, above the client. */
import { Check, Circle } from "lucide-react";
import Link from "next/link";
import { useCallback, useEffect, useState, type ReactNode } from "react";
import { toast } from "sonner";
import { endpoints, type Rehearsal } from "@/contract";
import type { DeskClientId, RehearsedStep, RehearsedTask } from "@/core/desks";
import { ask } from "../../parts/asking/ask";
import { useAttempt } from "../../parts/asking/use-attempt";
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

  const { busy, problem, attempt } = useAttempt();
  if (!rehearsal) return null;
  const { steps, signatureId, signatureName, revision, kind, clientName } = rehearsal;
  const tasks = steps.flatMap((step) => step.tasks);
  const done = tasks.filter((task) => task.done).length;
  const whole = done === tasks.length;
  const next = tasks.find((task) => !task.done);
  const params = { person: personId, client };
  const end = async (): Promise<void> => {
    await ask(endpoints.endRehearsal, { params });
    setRehearsal(null);
  };
  const mailKit = async (): Promise<void> => {
    await ask(endpoints.mailKit, { params: { person: personId }, body: { signature: signatureId } });
    await look();
  };
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
          <Link href={`/signatures/${signatureId}/install?kind=${kind}`} className="underline">
            {signatureName}
          </Link>
          : {done} of {tasks.length} done
        </h2>
        {!open && next && <p className="min-w-0 flex-1 truncate">{next.says}</p>}
        <span className="ml-auto flex items-center gap-4">
          {whole && (
            <button
              type="button"
              className={buttonClass("primary")}
              disabled={busy}
              onClick={() => void attempt(record)}
            >
              Record it as installed
            </button>
          )}
          <button type="button" className="underline" aria-expanded={open} onClick={() => setOpen(!open)}>
            {open ? "Fold the steps" : "Show the steps"}
          </button>
          <button type="button" className="underline" disabled={busy} onClick={() => void attempt(end)}>
            {whole ? "End it" : "Give it up"}
          </button>
        </span>
      </div>
      {problem && (
        <p role="alert" className="text-rowan">
          {problem}
        </p>
      )}
      {open && (
        <ol className="mt-1 columns-2 gap-x-10">
          {steps.map((step, index) => (
            <Step key={step.says} step={step} number={index + 1} next={next}>
              {step.tasks.some(({ happening, done: ticked }) => happening === "delivered" && !ticked) && (
                <button
                  type="button"
                  className="ml-6 underline"
                  disabled={busy}
                  onClick={() => void attempt(mailKit)}
                >
                  Put the letter into {personName}’s mailbox
                </button>
              )}
            </Step>
          ))}
        </ol>
      )}
    </section>
  );
}

interface StepProps {
  readonly step: RehearsedStep;
  readonly number: number;
  /** What is to be done next, of whichever step. */
  readonly next: RehearsedTask | undefined;
  readonly children: ReactNode;
}

/** A step as it is printed, and below it what it asks for in this client. */
function Step({ step: { says, tasks, note }, number, next, children }: StepProps) {
  const current = tasks.some((task) => task === next);
  return (
    <li aria-current={current ? "step" : undefined} className="break-inside-avoid py-0.5">
      <span className={current ? "font-medium" : tasks.every((task) => task.done) ? "text-soft" : ""}>
        {number}. {says}
      </span>
      {note !== "" && <p className="ml-4 text-soft">{note}</p>}
      {tasks.length > 0 && (
        <ul className="ml-4">
          {tasks.map((task) => (
            <Task key={task.happening} task={task} />
          ))}
        </ul>
      )}
      {children}
    </li>
  );
}

const Task = ({ task: { says, done, forgotten } }: { readonly task: RehearsedTask }) => (
  <li className="flex items-start gap-2">
    {done ? (
      <Check size={15} aria-label="done" className="mt-0.5 shrink-0 text-pine" />
    ) : (
      <Circle size={15} aria-label="not yet" className="mt-0.5 shrink-0 text-soft" />
    )}
    <span className={done ? "text-soft" : ""}>
      {says}
      {forgotten && <span className="block font-medium text-clay">{forgotten}</span>}
    </span>
  </li>
);
