"use client";

import { Send, Settings2 } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { endpoints, mailAddress, type OutgoingServer } from "@/contract";
import type { InstallForm, PicturesIn } from "@/core/install-kinds";
import { object } from "@/core/values";
import { ask } from "../../parts/asking/ask";
import { useContractForm } from "../../parts/asking/use-contract-form";
import { Button } from "../../parts/button";
import { TextField } from "../../parts/fields/text-field";
import { FormProblem } from "../../parts/form-problem";
import { lazily } from "../../parts/lazily";

const serverRoom = lazily(() => import("./server-dialog").then(({ ServerDialog }) => ServerDialog));

interface Props {
  readonly id: string;
  readonly form: InstallForm;
  /** Where the letter has its pictures. */
  readonly pictures: PicturesIn;
  /** Where it most likely goes. */
  readonly to: string;
  /** Null while nothing is set up. */
  readonly server: OutgoingServer | null;
}

const letter = object({ to: mailAddress });

/** Sending the letter of the kit to oneself, through a mail server of one's own. */
export function SendTest({ id, form, pictures, to, server }: Props) {
  const router = useRouter();
  const [setting, setSetting] = useState(false);
  const [said, setSaid] = useState("");
  const sending = useContractForm(letter, { to }, async (body) => {
    setSaid("");
    await ask(endpoints.sendTest, { params: { id }, body: { ...body, form, pictures } });
    setSaid(`${server?.host ?? "The server"} has taken the letter for ${body.to}.`);
  });
  return (
    <section aria-labelledby="send-test" className="mt-6 border-t border-hairline pt-3">
      <h3 id="send-test" className="font-serif text-lg">
        Send it to yourself
      </h3>
      <p className="pb-2 text-soft">
        {server
          ? `The letter of this kit, through ${server.host}, from ${server.from}.`
          : "The letter of this kit, through a mail server of your own. Nothing is sent until one is set up."}
      </p>
      {server && (
        <form
          className="flex flex-wrap items-end gap-3 pb-3"
          onSubmit={(event) => void sending.submit(event)}
        >
          <TextField label="To" className="w-72" {...sending.field("to")} />
          <Button type="submit" disabled={sending.busy}>
            <Send size={16} aria-hidden />
            {sending.busy ? "Sending…" : "Send it"}
          </Button>
        </form>
      )}
      <FormProblem>{sending.problem}</FormProblem>
      <p role="status" className="text-sm empty:hidden">
        {said}
      </p>
      <Button look={server ? "quiet" : "plain"} onClick={() => setSetting(true)}>
        <Settings2 size={16} aria-hidden />
        {server ? "Change the mail server" : "Set up a mail server"}
      </Button>
      {setting && (
        <serverRoom.Component
          server={server}
          from={to}
          onKept={() => router.refresh()}
          onClose={() => setSetting(false)}
        />
      )}
    </section>
  );
}
