"use client";

import { Wrench } from "lucide-react";
import { useState } from "react";
import type { Finding, Mend, Severity } from "@/core/checks";
import { Button } from "../parts/button";
import { WordSwitch } from "../parts/fields/word-switch";
import { formatCount } from "../parts/format";
import { FindingEntry } from "./finding-entry";

interface Props {
  readonly findings: readonly Finding[];
  readonly empty: string;
  /** Puts some right in one step; left out where nothing is mended from the list. */
  readonly onMend?: (mends: readonly Mend[]) => void;
  /** Leaves one as it is, with a reason, or takes that back; left out where nothing is set aside. */
  readonly onAside?: (finding: Finding, reason: string | null) => void;
  /** Goes to where one is. */
  readonly onShow?: (finding: Finding) => void;
  /** Whether a mend is under way. */
  readonly busy?: boolean;
}

const shownSeverities: Readonly<Record<"all" | Severity, string>> = {
  all: "All",
  break: "Will break",
  attention: "Attention",
  note: "Good to know",
};

/** So many are looked through at a glance. */
const fewEnough = 6;

const mendsOf = (findings: readonly Finding[]): readonly Mend[] =>
  findings.flatMap(({ mend }) => (mend ? [mend] : []));

/** Findings, with what puts them right: one, all of a kind, or all; those that are left as they are stand apart. */
export function FindingList({ findings, empty, onMend, onAside, onShow, busy = false }: Props) {
  const [severity, setSeverity] = useState<"all" | Severity>("all");
  const open = findings.filter(({ aside }) => aside === undefined);
  const left = findings.filter(({ aside }) => aside !== undefined);
  const filtered = open.filter((finding) => severity === "all" || finding.severity === severity);
  const several = new Set(open.map((finding) => finding.severity)).size > 1 && open.length > fewEnough;
  const shown = several ? filtered : open;
  const mends = mendsOf(shown);
  const told = new Set<string>();
  const entry = (finding: Finding, index: number) => {
    const alike = mendsOf(shown.filter(({ code }) => code === finding.code));
    const first = !told.has(finding.code);
    told.add(finding.code);
    return (
      <FindingEntry
        key={index}
        finding={finding}
        busy={busy}
        onMend={onMend && finding.mend && (() => onMend(mendsOf([finding])))}
        alike={onMend && first ? alike.length : 0}
        onMendAlike={() => onMend?.(alike)}
        onAside={onAside && ((reason) => onAside(finding, reason))}
        onShow={onShow && finding.position !== null ? () => onShow(finding) : undefined}
      />
    );
  };
  return (
    <>
      {several && (
        <div className="mb-2">
          <WordSwitch
            label="Findings shown"
            value={severity}
            choices={shownSeverities}
            onChange={setSeverity}
          />
        </div>
      )}
      {onMend && mends.length > 1 && (
        <Button className="mb-3" disabled={busy} onClick={() => onMend(mends)}>
          <Wrench size={14} aria-hidden />
          Mend {mends.length} at once
        </Button>
      )}
      {open.length === 0 ? (
        <p className="flex items-center gap-2 text-lichen">
          <span aria-hidden className="h-2 w-2 rounded-full bg-lichen" />
          {empty}
        </p>
      ) : (
        <ul>{shown.map(entry)}</ul>
      )}
      {left.length > 0 && (
        <details className="mt-3">
          <summary className="cursor-pointer text-sm text-soft">
            {formatCount(left.length, "finding")} left as {left.length === 1 ? "it is" : "they are"}
          </summary>
          <ul className="mt-2">{left.map(entry)}</ul>
        </details>
      )}
    </>
  );
}
