"use client";

/** The way into a rehearsal of a kind's steps, at the desk of whom the signature is drawn for. */
import { useRouter } from "next/navigation";
import { deskPath, endpoints } from "@/contract";
import type { DeskClient } from "@/core/desks";
import { ask } from "../parts/asking/ask";
import { useAttempt } from "../parts/asking/use-attempt";

interface Props {
  readonly signatureId: string;
  readonly client: DeskClient;
  readonly personId: string;
  readonly personName: string;
}

export function Rehearse({ signatureId, client, personId, personName }: Props) {
  const router = useRouter();
  const { busy, problem, attempt } = useAttempt();
  return (
    <div className="mt-4 border-t border-hairline pt-3">
      <button
        type="button"
        disabled={busy}
        className="rounded-sm underline hover:text-pine"
        onClick={() =>
          void attempt(async () => {
            await ask(endpoints.beginRehearsal, {
              params: { person: personId, client: client.id },
              body: { signature: signatureId },
            });
            router.push(deskPath(personId, client.id, "settings"));
          })
        }
      >
        Rehearse it in the Mailroom
      </button>{" "}
      <span className="text-soft">
        at {personName}’s desk: in {client.name}, {client.about}, each step is ticked once it has happened.
      </span>
      {problem && (
        <p role="alert" className="text-rowan">
          {problem}
        </p>
      )}
    </div>
  );
}
