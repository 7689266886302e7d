"use client";

import { Maximize2 } from "lucide-react";
import { memo } from "react";
import { facesFallingIn, groupChanges, isSeen, standIns, type FontTrial, type Proof } from "@/core/clients";
import { formatCount } from "../parts/format";
import { ProofFrame } from "../signature/stillness/proof-frame";
import { markRules, partAt } from "./parts-at";
import { notesOf, saidOf } from "../signature/stillness/said";
import type { MeasuredProof } from "../signature/stillness/measure-proofs";

interface Props {
  readonly proof: Proof;
  /** Whether its frame is there by now. */
  readonly drawn: boolean;
  readonly base: string;
  /** How wide the design is; px. */
  readonly design: number;
  /** Null while it has not been measured, or is shown in a way that is not. */
  readonly measured: MeasuredProof | null;
  /** Whether its fonts are there. */
  readonly fonts: FontTrial;
  readonly onOpen: () => void;
  /** The part that is pointed at in any frame, and telling which it is. */
  readonly marked: number | null;
  readonly onPoint: (part: number | null) => void;
}

/** Width that a card has for its frame; px. */
const cardRoom = 296;

/** One proof on the wall: drawn to fit, how still it is, and what was changed. */
export const ProofCard = memo(function ProofCard({
  proof,
  drawn,
  base,
  design,
  measured,
  fonts,
  onOpen,
  marked,
  onPoint,
}: Props) {
  const standIn = standIns[proof.client];
  // That dark mode changes colours goes without saying.
  const told = proof.changes.filter((change) => isSeen(change) && change.code !== "colors-mirrored");
  const seen = groupChanges(told);
  const notes = [
    ...(measured ? notesOf(measured) : []),
    ...facesFallingIn(standIn, proof.html, fonts).map(({ family, seen }) => `${family} is ${seen}`),
  ];
  return (
    <article
      data-stand-in={proof.client}
      data-mode={proof.mode}
      className="min-w-0 border-t border-hairline pt-2"
      aria-label={`${standIn.name}, ${proof.mode}`}
    >
      <h2 className="flex items-start justify-between gap-2 text-[13px] leading-4">
        <span className="min-w-0 flex-1 truncate" title={standIn.name}>
          {standIn.name}
        </span>
        <span className="text-xs text-soft">{proof.mode}</span>
        <button
          type="button"
          onClick={onOpen}
          aria-label={`Look closely: ${standIn.name}, ${proof.mode}`}
          className="shrink-0 rounded-sm p-0.5 text-soft hover:bg-kelp hover:text-ink"
        >
          <Maximize2 size={14} aria-hidden />
        </button>
      </h2>
      <p className="mb-1.5 min-h-4 text-xs">
        {measured && (
          <span
            className={`font-medium ${measured.still ? "text-lichen" : "text-clay"}`}
            data-still={measured.still}
          >
            {saidOf(measured)}
          </span>
        )}
        {notes.map((note, index) => (
          <span key={note} className="text-soft">
            {(measured || index > 0) && "; "}
            {note}
          </span>
        ))}
      </p>
      {drawn ? (
        <div
          onPointerMove={(event) => onPoint(partAt(event.currentTarget, event))}
          onPointerLeave={() => onPoint(null)}
        >
          <ProofFrame
            proof={proof}
            base={base}
            room={cardRoom}
            design={design}
            fonts={fonts}
            rules={markRules(marked)}
          />
        </div>
      ) : (
        <div className="h-36 border border-hairline" />
      )}
      {seen.length > 0 && (
        <details className="mt-1 text-xs">
          <summary className="cursor-pointer text-soft">
            {formatCount(seen.length, "change")} to be seen
          </summary>
          <ul className="mt-1">
            {seen.map(({ sentence, places }) => (
              <li key={sentence} className="py-0.5 [overflow-wrap:anywhere]">
                {sentence} <span className="text-soft">{places.slice(0, 2).join("; ")}</span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </article>
  );
});
