"use client";

import { useState } from "react";
import { toast } from "sonner";
import { endpoints, type ForeignPicture } from "@/contract";
import { readLink } from "@/core/links";
import { ask } from "../../parts/asking/ask";
import { AddressField } from "../../parts/fields/address-field";
import { Button } from "../../parts/button";
import { AddressVerdictView } from "./address-verdict";
import { useContractForm } from "../../parts/asking/use-contract-form";
import { FormProblem } from "../../parts/form-problem";

interface Props {
  /** Offers to use a picture that is open to all; left out where there is nothing to use it for. */
  readonly onUse?: (report: ForeignPicture) => void;
  readonly onLooked?: (report: ForeignPicture) => void;
}

/** A picture's address is read as any other: what slipped into it is taken out, and said. */
function asWritten(typed: string): string {
  const reading = readLink(typed);
  if (!reading.ok || !/^https?:/i.test(reading.href)) return typed;
  if (reading.changes.length > 0) toast(`${reading.changes.join(" ")} It is ${reading.href} now.`);
  return reading.href;
}

/** Pasting an address and being told what a recipient's mail client would meet there. */
export function AddressLook({ onUse, onLooked }: Props) {
  const [report, setReport] = useState<ForeignPicture | null>(null);
  const form = useContractForm(endpoints.lookAtAddress.body, { address: "" }, async (body) => {
    const answer = await ask(endpoints.lookAtAddress, { body });
    setReport(answer.report);
    onLooked?.(answer.report);
  });
  const { busy, problem } = form;

  return (
    <div>
      <form
        className="flex items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          form.set("address", asWritten(form.typed.address));
          void form.submit();
        }}
      >
        <AddressField label="Address of a picture" {...form.field("address")} />
        <Button type="submit" look="primary" disabled={busy}>
          {busy ? "Looking…" : "Look at it"}
        </Button>
      </form>
      {busy && (
        <p role="status" className="mt-2 flex items-center gap-3 text-soft">
          <progress aria-label="Looking at the address" className="w-40 accent-pine" />
          It is given 10 seconds.
        </p>
      )}
      <FormProblem>{problem}</FormProblem>
      {report && !busy && (
        <div className="mt-3" role="status">
          <AddressVerdictView
            report={report}
            onLook={(better) => {
              form.set("address", better);
              void form.submit();
            }}
            {...(onUse ? { onUse } : {})}
          />
        </div>
      )}
    </div>
  );
}
