"use client";

import { memo, useMemo } from "react";
import { groupChanges, isSeen, received, standIns, type StandInId } from "@/core/clients";
import { SignatureFrame } from "../../parts/drawing/signature-frame";
import { localPictures } from "../../parts/drawing/local-pictures";
import { formatCount } from "../../parts/format";
import { staged } from "../../parts/drawing/stage";

const shown: readonly StandInId[] = ["webmail-inline", "desktop-document"];

/** The signature as the stand-ins show it, while it is built. */
export const ProofStrip = memo(function ProofStrip({ html, base }: { html: string; base: string }) {
  const proofs = useMemo(
    () => staged("receive", () => shown.map((id) => ({ standIn: standIns[id], ...received(html, id) }))),
    [html],
  );
  return (
    <section aria-label="Proofs" className="grid grid-cols-2 gap-6 border-t border-hairline px-5 py-2">
      {proofs.map(({ standIn, html: drawn, changes }) => {
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
              <div className="min-w-0 border border-hairline bg-white">
                <SignatureFrame
                  html={localPictures(drawn, base)}
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
