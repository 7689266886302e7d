"use client";

import { memo, useEffect, useMemo, useState } from "react";
import { toast } from "sonner";
import { groupChanges, isSeen, standIns, type Proof, type receivedByEach } from "@/core/clients";
import { SignatureFrame } from "../../parts/drawing/signature-frame";
import { localPictures } from "../../parts/drawing/local-pictures";
import { formatCount } from "../../parts/format";
import { staged } from "../../parts/drawing/stage";
import { shownStandIns } from "./shown-stand-ins";

interface Props {
  readonly html: string;
  readonly base: string;
  /** What the page came with: the proofs of the signature as it was opened. */
  readonly opened: readonly Proof[];
}

/**
 * The proofs of some HTML. What works them out is loaded once the page has come to life; until then they stay as the
 * page brought them. It runs here and not in a worker, so that a key and its proofs are painted in the same frame.
 */
function useProofs(html: string, opened: readonly Proof[]): readonly Proof[] {
  const [receive, setReceive] = useState<typeof receivedByEach | null>(null);
  useEffect(() => {
    let here = true;
    import("./receive").then(
      (loaded) => here && setReceive(() => loaded.receivedByEach),
      () => toast.error("The proofs could not be loaded and stay as they are. Open the page once more."),
    );
    return () => {
      here = false;
    };
  }, []);
  return useMemo(
    () => (receive ? staged("receive", () => receive(html, shownStandIns)) : opened),
    [receive, html, opened],
  );
}

/** The signature as the stand-ins show it, while it is built. */
export const ProofStrip = memo(function ProofStrip({ html, base, opened }: Props) {
  const proofs = useProofs(html, opened);
  return (
    <section aria-label="Proofs" className="grid grid-cols-2 gap-6 border-t border-hairline px-5 py-2">
      {proofs.map(({ client, html: drawn, changes }) => {
        const standIn = standIns[client];
        const seen = groupChanges(changes.filter(isSeen));
        return (
          <article key={standIn.id} data-stand-in={standIn.id} className="min-w-0">
            <h2 className="flex justify-between gap-3 text-[13px]">
              <span className="truncate">{standIn.name}</span>
              <span
                className={`whitespace-nowrap font-medium ${seen.length === 0 ? "text-lichen" : "text-clay"}`}
              >
                {seen.length === 0 ? "looks as built" : formatCount(seen.length, "change")}
              </span>
            </h2>
            <div className="mt-1 flex gap-3">
              <div className="min-w-0 border border-hairline bg-canvas">
                <SignatureFrame
                  html={localPictures(drawn, base, standIn.loops)}
                  label={`Proof: ${standIn.name}`}
                  width={600}
                  height={132}
                  scale={0.6}
                  fit
                />
              </div>
              <ul
                className="max-h-32 min-w-36 flex-1 overflow-y-auto text-xs leading-4 text-soft"
                tabIndex={0}
                aria-label={`What ${standIn.name} changed`}
              >
                {seen.length === 0 && <li>It changes nothing that a reader sees.</li>}
                {seen.map(({ sentence, places }) => (
                  <li key={sentence} className="mb-1">
                    {sentence} <span className="text-ink">{places.slice(0, 2).join("; ")}</span>
                    {places.length > 2 && ` and ${places.length - 2} more`}
                  </li>
                ))}
              </ul>
            </div>
          </article>
        );
      })}
    </section>
  );
});
