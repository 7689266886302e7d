"use client";

import { useState } from "react";
import { addressOf, endpoints, type KeptSighting, type ToldSighting } from "@/contract";
import { unstillReason } from "@/core/layout";
import { frameMargin } from "../../parts/drawing/frame-document";
import { localPictures } from "../../parts/drawing/local-pictures";
import { SignatureFrame } from "../../parts/drawing/signature-frame";
import { WordSwitch } from "../../parts/fields/word-switch";
import { formatCount } from "../../parts/format";
import { partName, saidOf, saidOfPart } from "../../signature/stillness/said";

type View = "arrived" | "built";

const views: Readonly<Record<View, string>> = {
  arrived: "As it arrived",
  built: "As it was built, in its place",
};

/** Differences of colours up to this are hardly seen (CIEDE2000). */
const hardlySeen = 10;

interface Props {
  readonly sighting: KeptSighting;
  /** What was built; null where that is not known any more. */
  readonly design: string | null;
  readonly base: string;
}

/** A screenshot with what drifted in it: each part that is not still has a number on the picture and in the list. */
export function SightingView({ sighting, design, base }: Props) {
  const { id, name, width, height, told } = sighting;
  const [view, setView] = useState<View>("arrived");
  if (!told)
    return (
      <img
        src={addressOf(endpoints.sightingPicture, { id })}
        alt={`The screenshot ${name}`}
        width={width}
        height={height}
        className="mt-2 h-auto max-h-[360px] w-auto max-w-full border border-hairline"
      />
    );
  const { scale, left, top } = told.place;
  const unstill = told.parts.filter((part) => unstillReason(part) !== null);
  return (
    <div className="mt-2 grid gap-6 md:grid-cols-[minmax(0,1fr)_300px]">
      <div className="min-w-0">
        {design !== null && <WordSwitch label="View" value={view} choices={views} onChange={setView} />}
        <div
          className="mt-2 overflow-x-auto"
          tabIndex={0}
          role="group"
          aria-label={`The screenshot ${name}, compared`}
        >
          <div
            className="relative isolate overflow-hidden border border-hairline"
            style={{ width: width / scale, height: height / scale }}
          >
            <img
              src={addressOf(endpoints.sightingPicture, { id })}
              alt="The signature as it arrived"
              className="absolute inset-0 h-full w-full max-w-none"
            />
            {view === "built" && design !== null ? (
              <div
                className="absolute"
                style={{ left: left / scale - frameMargin, top: top / scale - frameMargin }}
              >
                <SignatureFrame
                  html={localPictures(design, base)}
                  label="The signature as it was built"
                  width={width / scale}
                />
              </div>
            ) : (
              <Marks parts={unstill} left={left / scale} top={top / scale} />
            )}
          </div>
        </div>
      </div>
      <Told told={told} unstill={unstill} />
    </div>
  );
}

interface MarksProps {
  readonly parts: ToldSighting["parts"];
  /** Where the signature begins, in px of the design. */
  readonly left: number;
  readonly top: number;
}

/** A frame around each part where it was found, or broken where it is missing, with its number. */
const Marks = ({ parts, left, top }: MarksProps) =>
  parts.map(({ id, missing, box }, index) => (
    <span
      key={id}
      aria-hidden
      className={`absolute border-2 ${missing ? "border-dashed border-rowan" : "border-clay"}`}
      style={{
        left: left + box.left - 3,
        top: top + box.top - 3,
        width: box.width + 6,
        height: box.height + 6,
      }}
    >
      <span
        className={`absolute -left-2.5 -top-2.5 h-4 min-w-4 rounded-full px-1 text-center text-[11px] leading-4 text-paper ${missing ? "bg-rowan" : "bg-clay"}`}
      >
        {index + 1}
      </span>
    </span>
  ));

/** What was found, in words. */
function Told({ told, unstill }: { readonly told: ToldSighting; readonly unstill: ToldSighting["parts"] }) {
  const recolored = told.parts.filter((part) => part.recolored > hardlySeen && unstillReason(part) === null);
  const unclear = told.parts.filter(({ clear }) => !clear);
  return (
    <div className="text-sm">
      <p className={unstill.length === 0 ? "text-lichen" : "font-medium text-clay"}>
        {unstill.length === 0
          ? "Still: every part is where it was built."
          : capital(saidOf({ drift: told.parts }))}
      </p>
      <p className="pb-2 text-xs text-soft">
        Drawn at {Math.round(told.place.scale * 100) / 100} ×, upon {told.ground.toUpperCase()}
        {recolored.length > 0 && `; ${formatCount(recolored.length, "part")} in another colour than built`}.
      </p>
      <ol>
        {unstill.map((part, index) => (
          <li key={part.id} className="flex gap-2 border-t border-hairline py-1">
            <span className="w-4 shrink-0 text-right text-soft">{index + 1}</span>
            <span>
              <span className="[overflow-wrap:anywhere]">{partName(part)}</span>{" "}
              <span className="text-clay">{saidOfPart(part)}</span>
            </span>
          </li>
        ))}
      </ol>
      {unclear.length > 0 && (
        <p className="border-t border-hairline pt-1 text-xs text-soft">
          {formatCount(unclear.length, "part")} too small, too faint or beyond the edge of the screenshot to
          be told.
        </p>
      )}
    </div>
  );
}

const capital = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);
