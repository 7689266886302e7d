"use client";

import { useState } from "react";
import { toast } from "sonner";
import { endpoints, type ForeignPicture } from "@/contract";
import { isUsable } from "@/core/links";
import { ask } from "../../parts/asking/ask";
import { Button } from "../../parts/button";
import { AddressVerdictView } from "./address-verdict";

interface Props {
  readonly addresses: readonly string[];
  readonly looked: readonly ForeignPicture[];
  /** Those that are copies of cuts, published there from here. */
  readonly published: readonly { readonly address: string; readonly fileName: string }[];
  readonly onLooked: (report: ForeignPicture) => void;
  /** Shows what is at an address from a better one, where a picture was found. */
  readonly onShowFrom: (address: string, better: ForeignPicture) => void;
}

/** A signature's pictures that are at addresses elsewhere, with what was found there. */
export function ForeignList({ addresses, looked, published, onLooked, onShowFrom }: Props) {
  const [busy, setBusy] = useState<string | null>(null);

  const looking = async (address: string, asked: string, then: (report: ForeignPicture) => void) => {
    setBusy(address);
    try {
      const { report } = await ask(endpoints.lookAtAddress, { body: { address: asked } });
      then(report);
    } catch (error) {
      toast.error((error as Error).message);
    }
    setBusy(null);
  };
  const look = (address: string): void => void looking(address, address, onLooked);
  /** Nothing is changed before a picture has been seen there. */
  const take = (address: string, better: string): void =>
    void looking(address, better, (report) => {
      if (isUsable(report)) onShowFrom(address, report);
      else toast.error(`Nothing was changed. At the other address: ${report.message}`);
    });

  return (
    <section aria-label="Pictures elsewhere" className="border-t border-pine pt-3">
      <h2 className="font-serif text-xl">At addresses elsewhere</h2>
      <ul>
        {addresses.map((address) => {
          const report = looked.find((candidate) => candidate.address === address);
          const copy = published.find((candidate) => candidate.address === address);
          return (
            <li key={address} className="py-2">
              <p className="flex items-center gap-3">
                <span className="min-w-0 flex-1 truncate font-mono text-xs" title={address}>
                  {address}
                </span>
                {copy && <span className="text-sm text-soft">published from here</span>}
                <Button disabled={busy !== null} onClick={() => look(address)}>
                  {busy === address ? "Looking…" : report ? "Look again" : "Look at it"}
                </Button>
              </p>
              {report && <AddressVerdictView report={report} onLook={(better) => take(address, better)} />}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
