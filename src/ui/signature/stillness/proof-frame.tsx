"use client";

import { standIns, type FontTrial, type Proof } from "@/core/clients";
import { areaOf } from "../../parts/drawing/area-of";
import { localPictures } from "../../parts/drawing/local-pictures";
import { SignatureFrame } from "../../parts/drawing/signature-frame";

interface Props {
  readonly proof: Proof;
  readonly base: string;
  /** Scales it down to a room of this width; left out, it is drawn at true size. px. */
  readonly room?: number;
  /** How wide the design is: a pane's empty rest is not shown where there is little room. px. */
  readonly design?: number;
  /** Without an edge of its own, where it is laid over something. */
  readonly bare?: boolean;
  /** Whether its fonts are there. */
  readonly fonts?: FontTrial;
  /** Rules of its own upon those of the message area. */
  readonly rules?: string;
}

/** A stand-in's proof in its own message area. What is wider than the pane is cut off by it, as it is in the client. */
export function ProofFrame({
  proof,
  base,
  room,
  design,
  bare = false,
  fonts = "installed",
  rules = "",
}: Props) {
  const standIn = standIns[proof.client];
  const shown = design === undefined ? standIn.width : Math.min(standIn.width, design);
  const scale = room === undefined ? 1 : Math.min(1, room / shown);
  return (
    <div
      className={`max-w-full overflow-hidden ${bare ? "" : "box-content border border-hairline"}`}
      style={{ width: shown * scale }}
    >
      <SignatureFrame
        html={localPictures(proof.html, base, standIn.loops)}
        label={`Proof: ${standIn.name}, ${proof.mode}`}
        width={standIn.width}
        area={areaOf(standIn, proof.mode, proof.html, fonts) + rules}
        scale={scale}
        fit={standIn.shrinks}
      />
    </div>
  );
}
