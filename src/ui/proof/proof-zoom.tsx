"use client";

import { useState } from "react";
import { facesFallingIn, fontSets, limitsIn, standIns, type FontTrial, type Proof } from "@/core/clients";
import { unstillReason } from "@/core/layout";
import { DialogFrame } from "../parts/dialog-frame";
import { localPictures } from "../parts/drawing/local-pictures";
import { SignatureFrame } from "../parts/drawing/signature-frame";
import { SliderField } from "../parts/fields/slider-field";
import { WordSwitch } from "../parts/fields/word-switch";
import { ProofFrame } from "../signature/stillness/proof-frame";
import { notesOf, partName, saidOf, saidOfPart } from "../signature/stillness/said";
import type { MeasuredProof } from "../signature/stillness/measure-proofs";

interface Props {
  readonly proof: Proof;
  readonly base: string;
  /** The design's own HTML. */
  readonly design: string;
  readonly measured: MeasuredProof | null;
  /** Whether its fonts are there. */
  readonly fonts: FontTrial;
  readonly onClose: () => void;
}

type View = "alone" | "over" | "difference";

const views: Readonly<Record<View, string>> = {
  alone: "By itself",
  over: "Over the design",
  difference: "The difference only",
};

/** One proof at true size, by itself, laid over the design, or as what differs between them. */
export function ProofZoom({ proof, base, design, measured, fonts, onClose }: Props) {
  const [view, setView] = useState<View>("alone");
  const [share, setShare] = useState(50);
  const standIn = standIns[proof.client];
  const unstill = measured?.drift.filter((part) => unstillReason(part) !== null) ?? [];
  const facts = [
    ...standIn.facts,
    `Of fonts, ${fontSets[standIn.fonts].reason}.`,
    ...limitsIn(proof.client, proof.account).map(({ says }) => says),
  ];
  const faces = facesFallingIn(standIn, proof.html, fonts);
  return (
    <DialogFrame
      title={`${standIn.name}, ${proof.mode}`}
      description={
        measured
          ? [saidOf(measured), ...notesOf(measured)].join("; ")
          : "Shown in a way that is not measured."
      }
      onClose={onClose}
      className="flex w-[1120px] flex-col overflow-y-auto"
    >
      <div className="my-3 flex items-end gap-6">
        <WordSwitch label="View" value={view} choices={views} onChange={setView} />
        {view === "over" && (
          <div className="w-64">
            <SliderField
              label="How far the proof covers the design"
              value={share}
              range={{ least: 0, most: 100, step: 1 }}
              said={`${share} %`}
              onChange={setShare}
            />
          </div>
        )}
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)_300px] gap-6">
        <div className="overflow-x-auto">
          {view === "alone" ? (
            <ProofFrame proof={proof} base={base} fonts={fonts} />
          ) : (
            <div className="relative isolate w-fit border border-hairline">
              <SignatureFrame
                html={localPictures(design, base, standIn.loops)}
                label="The design"
                width={standIn.width}
              />
              <div
                className="absolute inset-0 overflow-hidden"
                style={
                  view === "difference"
                    ? { mixBlendMode: "difference" }
                    : { clipPath: `inset(0 ${100 - share}% 0 0)` }
                }
              >
                <ProofFrame proof={proof} base={base} fonts={fonts} bare />
              </div>
            </div>
          )}
        </div>
        <div className="text-sm">
          <h3 className="mb-1 text-xs text-soft">What is not still</h3>
          {unstill.length === 0 ? (
            <p>{measured ? "Nothing: every part is where it was designed." : "Not measured in this view."}</p>
          ) : (
            <ul className="max-h-48 overflow-y-auto" tabIndex={0} aria-label="What is not still">
              {unstill.map((part) => (
                <li key={part.id} className="border-b border-hairline py-1 last:border-0">
                  <span className="[overflow-wrap:anywhere]">{partName(part)}</span>{" "}
                  <span className="text-clay">{saidOfPart(part)}</span>
                </li>
              ))}
            </ul>
          )}
          {faces.length > 0 && (
            <>
              <h3 className="mb-1 mt-4 text-xs text-soft">The faces that a recipient sees</h3>
              <ul>
                {faces.map(({ family, seen }) => (
                  <li key={family}>
                    {family}: {seen}
                  </li>
                ))}
              </ul>
            </>
          )}
          <details className="mt-4" open={unstill.length === 0}>
            <summary className="cursor-pointer text-xs text-soft">
              The facts it is built from ({facts.length})
            </summary>
            <ul className="mt-1 max-h-64 list-disc overflow-y-auto pl-4" tabIndex={0} aria-label="Facts">
              {facts.map((fact) => (
                <li key={fact}>{fact}</li>
              ))}
            </ul>
          </details>
        </div>
      </div>
    </DialogFrame>
  );
}
