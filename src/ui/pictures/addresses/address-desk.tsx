"use client";

import { X } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { endpoints, type ForeignPicture } from "@/contract";
import { ask } from "../../parts/asking/ask";
import { formatCount } from "../../parts/format";
import { IconButton } from "../../parts/icon-button";
import { AddressLook } from "./address-look";
import { AddressVerdictView } from "./address-verdict";

/** Looking at addresses elsewhere; those that were looked at before stay in a list. */
export function AddressDesk({ looked }: { looked: readonly ForeignPicture[] }) {
  const router = useRouter();
  const [latest, setLatest] = useState<string | null>(null);
  const earlier = looked.filter(({ address }) => address !== latest);

  const forget = async (address: string): Promise<void> => {
    try {
      await ask(endpoints.forgetAddress, { body: { address } });
      router.refresh();
    } catch (error) {
      toast.error((error as Error).message);
    }
  };

  return (
    <section aria-label="Pictures elsewhere" className="border-t border-pine pt-3">
      <h2 className="font-serif text-2xl">Pictures elsewhere</h2>
      <p className="mb-2 text-soft">
        Paste the address of a picture on another site. It is fetched as a recipient’s mail client would.
      </p>
      <AddressLook
        onLooked={({ address }) => {
          setLatest(address);
          router.refresh();
        }}
      />
      {earlier.length > 0 && (
        <details className="mt-4">
          <summary className="cursor-pointer text-soft">
            {formatCount(earlier.length, "address", "addresses")} looked at before
          </summary>
          <ul>
            {earlier.map((report) => (
              <li key={report.address} className="pt-3">
                <p className="flex items-center gap-2">
                  <span className="min-w-0 flex-1 truncate font-mono text-xs" title={report.address}>
                    {report.address}
                  </span>
                  <IconButton label={`Forget ${report.address}`} onClick={() => void forget(report.address)}>
                    <X size={14} aria-hidden />
                  </IconButton>
                </p>
                <AddressVerdictView
                  report={report}
                  onLook={(better) =>
                    void ask(endpoints.lookAtAddress, { body: { address: better } }).then(() =>
                      router.refresh(),
                    )
                  }
                />
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}
