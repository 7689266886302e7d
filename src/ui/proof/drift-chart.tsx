"use client";

import Link from "next/link";
import { unstillReason, type PartDrift } from "@/core/layout";
import type { Measured } from "../signature/stillness/measure-proofs";
import { partName } from "../signature/stillness/said";

interface Props {
  readonly measured: Measured;
  readonly marked: number | null;
  /** Marks a part in every frame. */
  readonly onMark: (part: number | null) => void;
  /** Where a part stands on the Bench; null where it stands in nothing that is written. */
  readonly onBench: (parts: readonly PartDrift[], id: number) => string | null;
}

/** The most parts that are listed: those that drift in most proofs. */
const most = 8;

interface Drifting {
  readonly part: PartDrift;
  readonly parts: readonly PartDrift[];
  readonly proofs: number;
}

function driftingIn(measured: Measured): readonly Drifting[] {
  const found = new Map<number, Drifting>();
  for (const { drift, account } of measured.values())
    for (const part of account === "own" ? drift : [])
      if (unstillReason(part) !== null)
        found.set(part.id, { part, parts: drift, proofs: (found.get(part.id)?.proofs ?? 0) + 1 });
  return [...found.values()].sort((one, other) => other.proofs - one.proofs).slice(0, most);
}

/** In how many proofs each part is not still, the worst first: pointed at, a part is marked in every frame. */
export function DriftChart({ measured, marked, onMark, onBench }: Props) {
  const drifting = driftingIn(measured);
  const all = [...measured.values()].filter(({ account }) => account === "own").length;
  if (drifting.length === 0) return null;
  return (
    <section aria-label="What drifts" className="mt-8">
      <h2 className="mb-1 font-serif text-lg">What drifts</h2>
      <ol>
        {drifting.map(({ part, parts, proofs }) => {
          const place = onBench(parts, part.id);
          const name = partName(part);
          return (
            <li
              key={part.id}
              className={`border-t border-hairline py-1 text-[13px] leading-4 ${marked === part.id ? "bg-kelp" : ""}`}
              onPointerEnter={() => onMark(part.id)}
              onPointerLeave={() => onMark(null)}
            >
              <div className="flex items-baseline justify-between gap-2">
                {place === null ? (
                  <span className="min-w-0 truncate">{name}</span>
                ) : (
                  <Link
                    href={place}
                    title="Show it on the Bench"
                    className="min-w-0 truncate underline decoration-hairline hover:text-pine"
                    onFocus={() => onMark(part.id)}
                    onBlur={() => onMark(null)}
                  >
                    {name}
                  </Link>
                )}
                <span className="whitespace-nowrap text-xs text-soft">
                  in {proofs} of {all}
                </span>
              </div>
              <div aria-hidden className="mt-1 h-1 bg-hairline">
                <div className="h-full bg-clay" style={{ width: `${(100 * proofs) / all}%` }} />
              </div>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
