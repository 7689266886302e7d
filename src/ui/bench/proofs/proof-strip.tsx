"use client";

import { memo, useCallback, useEffect, useMemo, useState } from "react";
import { toast } from "sonner";
import type { Proof, ProofKey, proofsFor } from "@/core/clients";
import type { PartDrift } from "@/core/layout";
import { staged } from "../../parts/drawing/stage";
import { useKept } from "../../parts/use-kept";
import { keyText } from "../../signature/stillness/proof-keys";
import type { LiveStillness } from "../../signature/stillness/use-kept-stillness";
import { placesText, proofsIn, ordinaryPlaces, readPlaces, type Place } from "./shown-proofs";
import { StripProof } from "./strip-proof";

interface Props extends Pick<LiveStillness, "last"> {
  readonly html: string;
  readonly base: string;
  /** What the page came with: the ordinary proofs of the signature as it was opened. */
  readonly opened: readonly Proof[];
  /** Of the table; px. */
  readonly width: number;
  /** Shows a part of a measured proof on the sheet. */
  readonly onPart: (parts: readonly PartDrift[], id: number) => void;
}

/**
 * Those proofs of some HTML. What works them out is loaded once the page has come to life; until then they stay as the
 * page brought them. It runs here and not in a worker, so that a key and its proofs are painted in the same frame.
 */
function useProofs(html: string, keys: readonly ProofKey[], opened: readonly Proof[]): readonly Proof[] {
  const [receive, setReceive] = useState<typeof proofsFor | null>(null);
  useEffect(() => {
    let here = true;
    import("./receive").then(
      (loaded) => here && setReceive(() => loaded.proofsFor),
      () => toast.error("The proofs could not be loaded and stay as they are. Open the page once more."),
    );
    return () => {
      here = false;
    };
  }, []);
  return useMemo(
    () => (receive ? staged("receive", () => receive(html, keys)) : opened),
    [receive, html, keys, opened],
  );
}

/** The signature as some stand-ins show it, while it is built: those that are chosen, and the least still of all. */
export const ProofStrip = memo(function ProofStrip({ html, base, opened, width, last, onPart }: Props) {
  const [kept, keep] = useKept("proofs of the strip", placesText(ordinaryPlaces));
  const places = useMemo(() => readPlaces(kept), [kept]);
  const measured = last?.measured ?? null;
  const keys = useMemo(() => proofsIn(places, measured), [places, measured]);
  const proofs = useProofs(html, keys, opened);
  const current = last?.html === html;
  const put = useCallback(
    (index: number, place: Place): void =>
      keep(placesText(places.map((before, each) => (each === index ? place : before)))),
    [keep, places],
  );
  return (
    <section
      aria-label="Proofs"
      className="grid grid-cols-3 gap-5 overflow-hidden border-t border-hairline px-5 py-2 min-[1100px]:grid-cols-4"
    >
      {places.map((place, index) => {
        const proof = proofs[index];
        return (
          proof && (
            <StripProof
              key={index}
              proof={proof}
              place={place}
              index={index}
              onPlace={put}
              base={base}
              width={width}
              height={last?.design.height ?? null}
              measured={measured?.get(keyText(proof)) ?? null}
              current={current}
              onPart={onPart}
              className={index === 2 ? "max-[1099px]:hidden" : ""}
            />
          )
        );
      })}
    </section>
  );
});
