"use client";

import { useState } from "react";
import { endpoints, type ForeignPicture } from "@/contract";
import { ask } from "../../parts/asking/ask";
import { AddressField } from "../../parts/fields/address-field";
import { Button } from "../../parts/button";
import { useAttempt } from "../../parts/asking/use-attempt";
import { AddressVerdictView } from "./address-verdict";

interface Props {
  /** Offers to use a picture that is open to all; left out where there is nothing to use it for. */
  readonly onUse?: (report: ForeignPicture) => void;
  readonly onLooked?: (report: ForeignPicture) => void;
}

/** Pasting an address and being told what a recipient's mail client would meet there. */
export function AddressLook({ onUse, onLooked }: Props) {
  const [address, setAddress] = useState("");
  const [report, setReport] = useState<ForeignPicture | null>(null);
  const { busy, problem, attempt } = useAttempt();

  const look = (asked: string): Promise<boolean> => {
    setAddress(asked);
    return attempt(async () => {
      const answer = await ask(endpoints.lookAtAddress, {
        body: {
          address: asked,
        },
      });
      setReport(answer.report);
      onLooked?.(answer.report);
    });
  };

  return (
    <div>
      <form
        className="flex items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void look(address);
        }}
      >
        <AddressField label="Address of a picture" value={address} onChange={setAddress} />
        <Button type="submit" look="primary" disabled={busy || address.trim() === ""}>
          {busy ? "Looking…" : "Look at it"}
        </Button>
      </form>
      {busy && (
        <p role="status" className="mt-2 flex items-center gap-3 text-soft">
          <progress aria-label="Looking at the address" className="w-40 accent-pine" />
          It is given 10 seconds.
        </p>
      )}
      {problem && (
        <p role="alert" className="mt-2 text-rowan">
          {problem}
        </p>
      )}
      {report && !busy && (
        <div className="mt-3" role="status">
          <AddressVerdictView
            report={report}
            onLook={(better) => void look(better)}
            {...(onUse ? { onUse } : {})}
          />
        </div>
      )}
    </div>
  );
}
