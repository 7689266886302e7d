"use client";

import { drawnFrom, type ForeignPicture } from "@/contract";
import { isUsable } from "@/core/links";
import { Button } from "../../parts/button";
import { formatBytes, formatSize } from "../../parts/format";

interface Props {
  readonly report: ForeignPicture;
  /** Looks at a better address that was found on the way. */
  readonly onLook: (address: string) => void;
  readonly onUse?: (report: ForeignPicture) => void;
}

/** What was found at an address: the verdict, the way there, the picture, and what to do. */
export function AddressVerdictView({ report, onLook, onUse }: Props) {
  const { verdict, message, redirects, better, picture, address } = report;
  const fine = verdict === "open";
  const mark = fine ? "bg-lichen rounded-full" : isUsable(report) ? "bg-clay rounded-t-full" : "bg-rowan";
  return (
    <div className="flex gap-4 border-t border-hairline pt-3">
      {picture ? (
        <img
          src={drawnFrom(address)}
          alt="What is at this address"
          className="checkered h-20 w-32 shrink-0 border border-hairline object-scale-down"
        />
      ) : (
        <span
          aria-hidden
          className="flex h-20 w-32 shrink-0 items-center justify-center border border-dashed border-soft text-xs text-soft"
        >
          no picture
        </span>
      )}
      <div className="min-w-0 flex-1">
        <p className="flex items-baseline gap-2">
          <span aria-hidden className={`h-2 w-2 shrink-0 ${mark}`} />
          <span>{message}</span>
        </p>
        {picture && (
          <p className="pl-4 text-soft">
            {picture.type.toUpperCase()} · {formatSize(picture.width, picture.height)} ·{" "}
            {formatBytes(picture.bytes)}
            {picture.frames > 1 && ` · ${picture.frames} frames`}
          </p>
        )}
        {redirects.length > 0 && (
          <p className="pl-4 text-xs text-soft [overflow-wrap:anywhere]">
            Led on to {redirects.join(", then to ")}
          </p>
        )}
        <div className="flex flex-wrap items-center gap-3 pl-4 pt-1.5">
          {better && (
            <>
              <span className="font-mono text-xs [overflow-wrap:anywhere]">{better}</span>
              <Button onClick={() => onLook(better)}>Take this address</Button>
            </>
          )}
          {onUse && isUsable(report) && (
            <Button look="primary" onClick={() => onUse(report)}>
              Place it
            </Button>
          )}
        </div>
      </div>
    </div>
  );
}
