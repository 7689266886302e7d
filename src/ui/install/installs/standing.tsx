import { Check, TriangleAlert } from "lucide-react";
import type { Install } from "@/contract";
import { saidOf } from "../../signature/stillness/said";

/** How an install stands beside what its signature is now: in words and by a sign, so that it is not told by colour alone. */

export const UpToDate = () => (
  <p className="mt-1 flex items-center gap-1 text-sm text-lichen">
    <Check size={14} aria-hidden />
    Up to date
  </p>
);

export const OutOfDate = () => (
  <p className="mt-1 flex items-center gap-1 text-sm font-medium text-clay">
    <TriangleAlert size={14} aria-hidden />
    Out of date
  </p>
);

/** What was found in the newest screenshot of what arrived. */
export function Arrived({ unstill }: { readonly unstill: NonNullable<Install["arrived"]> }) {
  const said = saidOf({ drift: unstill });
  return <span className={said === "still" ? "text-lichen" : "text-clay"}>As it arrived: {said}. </span>;
}
