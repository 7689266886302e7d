"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { endpoints, type ForeignPicture } from "@/contract";
import { ask } from "../../parts/asking/ask";
import { Button } from "../../parts/button";
import { AddressVerdictView } from "./address-verdict";

interface Props {
  readonly addresses: readonly string[];
  readonly looked: readonly ForeignPicture[];
  /** Those that are copies of cuts, published there from here. */
  readonly published: readonly { readonly address: string; readonly fileName: string }[];
}

/** A signature's pictures that are at addresses elsewhere, with what was found there. */
export function ForeignList({ addresses, looked, published }: Props) {
  const router = useRouter();
  const [busy, setBusy] = useState<string | null>(null);
  const look = async (address: string): Promise<void> => {
    setBusy(address);
    try {
      await ask(endpoints.lookAtAddress, { body: { address } });
      router.refresh();
    } catch (error) {
      toast.error((error as Error).message);
    }
    setBusy(null);
  };
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
                <Button disabled={busy !== null} onClick={() => void look(address)}>
                  {busy === address ? "Looking…" : report ? "Look again" : "Look at it"}
                </Button>
              </p>
              {report && <AddressVerdictView report={report} onLook={(better) => void look(better)} />}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
