"use client";

/** The way into a rehearsal of a kind's steps, at somebody's desk. */
import { useRouter } from "next/navigation";
import { useState } from "react";
import { deskPath, endpoints } from "@/contract";
import type { DeskClient } from "@/core/desks";
import { ask } from "../parts/asking/ask";
import { useAttempt } from "../parts/asking/use-attempt";
import { Button } from "../parts/button";
import { PersonPicker } from "../parts/people/person-picker";

interface Props {
  readonly signatureId: string;
  readonly client: DeskClient;
  /** Whom the signature is drawn for. */
  readonly personId: string | null;
  readonly personName: string | null;
}

export function Rehearse({ signatureId, client, personId, personName }: Props) {
  const router = useRouter();
  const { busy, problem, attempt } = useAttempt();
  const [desk, setDesk] = useState(personName === null ? null : personId);
  const begin = async (): Promise<void> => {
    if (desk === null) throw new Error("Choose at whose desk it is rehearsed.");
    await ask(endpoints.beginRehearsal, {
      params: { person: desk, client: client.id },
      body: { signature: signatureId },
    });
    router.push(deskPath(desk, client.id, "settings"));
  };
  return (
    <section aria-labelledby="rehearse" className="mt-6 border-t border-hairline pt-3">
      <h3 id="rehearse" className="font-serif text-lg">
        Rehearse these steps
      </h3>
      <p className="pb-2 text-soft">
        In {client.name}, {client.about}: each step is ticked once it has happened there.
      </p>
      <div className="flex flex-wrap items-end gap-4">
        <PersonPicker
          label="At whose desk"
          value={desk}
          name={personName}
          none="choose a person"
          onChange={setDesk}
          className="w-72"
        />
        <Button disabled={busy} onClick={() => void attempt(begin)}>
          Rehearse it in the Mailroom
        </Button>
      </div>
      {problem && (
        <p role="alert" className="text-rowan">
          {problem}
        </p>
      )}
    </section>
  );
}
