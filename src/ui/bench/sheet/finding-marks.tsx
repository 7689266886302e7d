"use client";

import { Popover } from "radix-ui";
import { openFindings, type Finding, type Severity } from "@/core/checks";
import { PopoverPanel } from "../../parts/popover-panel";
import { formatCount } from "../../parts/format";
import { FindingList } from "../../signature/finding-list";
import { useBench } from "../bench-context";
import type { DrawnRow } from "./use-drawn-table";

const looks: Readonly<Record<Severity, string>> = {
  break: "rounded-none border-rowan bg-rowan text-sheet",
  attention: "rounded-t-full border-clay bg-clay text-sheet",
  note: "rounded-full border-lichen text-lichen",
};

const order: readonly Severity[] = ["break", "attention", "note"];

interface MarkProps {
  /** What it is about: "Row 2", or "The signature". */
  readonly about: string;
  readonly findings: readonly Finding[];
  /** From the sheet's top; px. */
  readonly top: number;
}

/** A mark in the margin; what is wrong there and what puts it right open beside it. */
function Mark({ about, findings, top }: MarkProps) {
  const { checked } = useBench();
  const worst = order.find((severity) => findings.some((finding) => finding.severity === severity)) ?? "note";
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={`${about}: ${formatCount(findings.length, "finding")}`}
        title={findings[0]?.message}
        className={`absolute left-0 flex h-[18px] min-w-[18px] items-center justify-center border px-1 text-[11px] font-semibold leading-none ${looks[worst]}`}
        style={{ top }}
      >
        {findings.length}
      </Popover.Trigger>
      <PopoverPanel label={`${about}, findings`} align="start" className="w-80 p-3 text-sm">
        <FindingList
          findings={findings}
          empty="All of it is put right."
          busy={checked.busy}
          onMend={(mends) => void checked.mend(mends)}
          onAside={checked.setAside}
          onShow={checked.show}
        />
      </PopoverPanel>
    </Popover.Root>
  );
}

/** What will go wrong, in the margin beside the row that it is in; what concerns the whole stands above. */
export function FindingMarks({ rows }: { readonly rows: readonly DrawnRow[] }) {
  const { checked } = useBench();
  const open = openFindings(checked.findings);
  const rowOf = ({ position }: Finding): number | null =>
    position === null || position > checked.document.content.size
      ? null
      : checked.document.resolve(position).index(1);
  const whole = open.filter(({ position, station }) => position === null && station === "build");
  return (
    <div role="group" aria-label="Findings in the margin" className="absolute -right-7 top-0 w-[18px]">
      {whole.length > 0 && <Mark about="The signature" findings={whole} top={-22} />}
      {rows.map(({ top }, index) => {
        const here = open.filter((finding) => rowOf(finding) === index);
        return here.length > 0 && <Mark key={index} about={`Row ${index + 1}`} findings={here} top={top} />;
      })}
    </div>
  );
}
