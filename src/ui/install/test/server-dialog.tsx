"use client";

import { endpoints, outgoingServer, type OutgoingServer } from "@/contract";
import { ask } from "../../parts/asking/ask";
import { useAttempt } from "../../parts/asking/use-attempt";
import { useContractForm } from "../../parts/asking/use-contract-form";
import { Button } from "../../parts/button";
import { DialogFrame } from "../../parts/dialog-frame";
import { TextField } from "../../parts/fields/text-field";
import { WordSwitch } from "../../parts/fields/word-switch";
import { FormProblem } from "../../parts/form-problem";

interface Props {
  readonly server: OutgoingServer | null;
  /** The address that it most likely sends from. */
  readonly from: string;
  readonly onKept: () => void;
  readonly onClose: () => void;
}

const securities = { tls: "TLS", starttls: "STARTTLS" } as const;
/** The ports that are meant for each (RFC 8314). */
const ports = { tls: "465", starttls: "587" } as const;

/** The mail server that tests are sent through: tried before it is kept, forgotten when it is not wanted. */
export function ServerDialog({ server, from, onKept, onClose }: Props) {
  const forgetting = useAttempt();
  const form = useContractForm(
    outgoingServer,
    {
      host: server?.host ?? "",
      port: server?.port ?? ports.tls,
      security: server?.security ?? "tls",
      user: server?.user ?? "",
      password: "",
      from: server?.from ?? from,
    },
    async (body) => {
      await ask(endpoints.tryOutgoing, { body });
      await ask(endpoints.keepOutgoing, { body });
      onKept();
      onClose();
    },
  );
  const { security, port } = form.typed;
  const busy = form.busy || forgetting.busy;
  const forget = (): void =>
    void forgetting.attempt(async () => {
      await ask(endpoints.forgetOutgoing);
      onKept();
      onClose();
    });

  return (
    <DialogFrame
      title="A mail server of your own"
      description="As your mail program is set up. It is tried before it is kept; the password is kept sealed."
      onClose={onClose}
      className="w-[520px] overflow-y-auto"
    >
      <form className="mt-4 grid gap-3" onSubmit={(event) => void form.submit(event)}>
        <div className="grid grid-cols-[minmax(0,1fr)_88px] gap-4">
          <TextField label="Server" placeholder="mail.harrowfen.example" {...form.field("host")} />
          <TextField label="Port" inputMode="numeric" {...form.field("port")} />
        </div>
        <div>
          <p className="pb-1 text-xs text-soft">The line is kept from others by</p>
          <WordSwitch
            label="The line is kept from others by"
            value={security}
            choices={securities}
            onChange={(next) => {
              form.set("security", next);
              if (port === ports[security]) form.set("port", ports[next]);
            }}
          />
        </div>
        <div className="grid grid-cols-2 gap-4">
          <TextField label="User" {...form.field("user")} />
          <TextField
            label="Password"
            type="password"
            placeholder={server?.hasPassword ? "the one that is kept" : ""}
            {...form.field("password")}
            autoComplete="new-password"
          />
        </div>
        <TextField label="It sends from" {...form.field("from")} />
        <FormProblem>{form.problem ?? forgetting.problem}</FormProblem>
        <p role="status" className="text-sm empty:hidden">
          {form.busy && "Asking the server…"}
        </p>
        <div className="flex gap-2">
          <Button type="submit" look="primary" disabled={busy}>
            Try it, and keep it
          </Button>
          {server && (
            <Button disabled={busy} onClick={forget}>
              Forget it
            </Button>
          )}
        </div>
      </form>
    </DialogFrame>
  );
}
