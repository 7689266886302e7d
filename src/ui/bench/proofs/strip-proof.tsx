"use client";

import { Popover } from "radix-ui";
import { useCallback, useEffect, useRef } from "react";
import { groupChanges, isSeen, standIns, type Proof } from "@/core/clients";
import { unstillReason, type PartDrift } from "@/core/layout";
import { frameMargin } from "../../parts/drawing/frame-document";
import type { MeasuredProof } from "../../signature/stillness/measure-proofs";
import { ProofFrame } from "../../signature/stillness/proof-frame";
import { partName, saidOfPart } from "../../signature/stillness/said";
import { placeNames, placeText, type Place } from "./shown-proofs";
import { StripHead } from "./strip-head";

interface Props {
  readonly proof: Proof;
  readonly place: Place;
  /** Which place of the strip it is. */
  readonly index: number;
  readonly onPlace: (index: number, place: Place) => void;
  readonly base: string;
  /** Of the table, and of the whole design once that has been measured; px. */
  readonly width: number;
  readonly height: number | null;
  /** As it was measured last; null before that. */
  readonly measured: MeasuredProof | null;
  /** Whether that is of what is shown, and not of what was before the last keys. */
  readonly current: boolean;
  readonly onPart: (parts: readonly PartDrift[], id: number) => void;
  readonly className: string;
}

/** What there is for a frame; px. */
const room = { width: 290, height: 124 };

/** Under this nobody would see anything. */
const leastScale = 0.5;

/** What is not still, each leading to its place on the sheet, and what was changed. */
function Told({ proof, measured, onPart }: Pick<Props, "proof" | "measured" | "onPart">) {
  const drift = measured?.drift ?? [];
  const unstill = drift.filter((part) => unstillReason(part) !== null);
  const told = groupChanges(proof.changes.filter((change) => isSeen(change)));
  return (
    <>
      {unstill.length > 0 && (
        <>
          <h3 className="text-xs text-soft">What is not still</h3>
          <ul className="mb-2">
            {unstill.map((part) => (
              <li key={part.id}>
                <Popover.Close
                  onClick={() => onPart(drift, part.id)}
                  className="block w-full rounded-sm px-1 py-0.5 text-left hover:bg-kelp"
                >
                  {partName(part)} <span className="text-clay">{saidOfPart(part)}</span>
                </Popover.Close>
              </li>
            ))}
          </ul>
        </>
      )}
      <h3 className="text-xs text-soft">What it changes</h3>
      {told.length === 0 && <p>Nothing that a reader sees.</p>}
      <ul>
        {told.map(({ sentence, places }) => (
          <li key={sentence} className="py-0.5 [overflow-wrap:anywhere]">
            {sentence} <span className="text-soft">{places.slice(0, 3).join("; ")}</span>
            {places.length > 3 && ` and ${places.length - 3} more`}
          </li>
        ))}
      </ul>
    </>
  );
}

/** One proof on the strip, live; what is said of it is what was measured when typing paused last. */
export function StripProof(props: Props) {
  const { proof, place, index, onPlace, base, width, height, measured, current, onPart, className } = props;
  const name = placeNames[placeText({ ...proof, account: "own" })] ?? standIns[proof.client].name;
  const design = width + 2 * frameMargin;
  const fitting = height === null ? 1 : room.height / height;
  // A pane that is narrower than the design shows it no larger than the others do.
  const pane = Math.min(standIns[proof.client].width, design);
  const scale = Math.max(leastScale, Math.min(1, room.width / design, fitting));
  const latest = useRef(proof);
  useEffect(() => {
    latest.current = proof;
  }, [proof]);
  const told = useCallback(
    () => <Told proof={latest.current} measured={measured} onPart={onPart} />,
    [measured, onPart],
  );
  return (
    <article
      data-stand-in={proof.client}
      data-mode={proof.mode}
      aria-label={name}
      className={`min-w-0 ${className}`}
    >
      <StripHead
        name={name}
        place={place}
        index={index}
        onPlace={onPlace}
        measured={measured}
        current={current}
        told={told}
      />
      <div className="mt-1 overflow-hidden" style={{ height: room.height }}>
        <ProofFrame proof={proof} base={base} room={pane * scale} design={design} />
      </div>
    </article>
  );
}
