"use client";

import { useState } from "react";
import { standInIds, standIns } from "@/core/clients";
import type { Finding } from "@/core/checks";
import { TextField } from "../parts/fields/text-field";

const marks = {
  break: { className: "bg-rowan rounded-none", word: "will break" },
  attention: { className: "bg-clay rounded-t-full", word: "needs attention" },
  note: { className: "rounded-full border-2 border-lichen", word: "good to know" },
} as const;

const quiet = "rounded-sm text-xs text-soft underline hover:text-pine";

interface Props {
  readonly finding: Finding;
  readonly busy: boolean;
  /** Puts it right; left out where nothing is mended. */
  readonly onMend?: (() => void) | undefined;
  /** How many of its kind can be put right at once, and doing so. */
  readonly alike: number;
  readonly onMendAlike: () => void;
  /** Leaves it as it is, with a reason, or takes that back. */
  readonly onAside?: ((reason: string | null) => void) | undefined;
  /** Goes to where it is. */
  readonly onShow?: (() => void) | undefined;
}

/** The kinds in which it shows, where it does not in all. */
function inKinds({ clients }: Finding): string | null {
  if (clients.length === standInIds.length) return null;
  const [first] = clients;
  return clients.length === 1 && first ? `in ${standIns[first].name}` : `in ${clients.length} kinds`;
}

function Why({ onKeep, onClose }: { onKeep: (reason: string) => void; onClose: () => void }) {
  const [reason, setReason] = useState("");
  return (
    <form
      className="ml-4 mt-1.5 flex items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim()) onKeep(reason.trim());
      }}
      onKeyDown={(event) => {
        if (event.key === "Escape") onClose();
      }}
    >
      <TextField
        label="Why it stays as it is"
        value={reason}
        maxLength={300}
        autoFocus
        onChange={(event) => setReason(event.target.value)}
      />
      <button
        type="submit"
        disabled={!reason.trim()}
        className="rounded-sm border border-pine px-2 py-0.5 text-sm font-medium text-pine hover:bg-kelp disabled:opacity-40"
      >
        Leave it so
      </button>
    </form>
  );
}

/** One finding with its place and reason; the shape of the mark tells the severity as well as its colour. */
export function FindingEntry({ finding, busy, onMend, alike, onMendAlike, onAside, onShow }: Props) {
  const [asking, setAsking] = useState(false);
  const { severity, at, message, mend, aside } = finding;
  const kinds = inKinds(finding);
  const place = (
    <>
      {at}, {marks[severity].word}
      {kinds && <span title={finding.clients.map((id) => standIns[id].name).join(", ")}> {kinds}</span>}
    </>
  );
  return (
    <li className="border-b border-hairline py-2 first:pt-0 last:border-0" data-finding={finding.code}>
      <p className="flex items-baseline gap-2">
        <span aria-hidden className={`h-2 w-2 shrink-0 ${marks[severity].className}`} />
        {onShow ? (
          <button type="button" onClick={onShow} className={`${quiet} text-left`}>
            {place}
          </button>
        ) : (
          <span className="text-xs text-soft">{place}</span>
        )}
      </p>
      <p className="pl-4 [overflow-wrap:anywhere]">{message}</p>
      {aside !== undefined && <p className="pl-4 text-sm text-soft">Left as it is: {aside}</p>}
      <div className="ml-4 flex flex-wrap items-baseline gap-x-3">
        {onMend && mend && aside === undefined && (
          <button
            type="button"
            disabled={busy}
            onClick={onMend}
            className="mt-1 block max-w-full truncate rounded-sm border border-pine px-2 py-0.5 text-sm font-medium text-pine hover:bg-kelp disabled:opacity-40"
          >
            {mend.label}
          </button>
        )}
        {alike > 1 && aside === undefined && (
          <button type="button" disabled={busy} onClick={onMendAlike} className={quiet}>
            All {alike} of this kind
          </button>
        )}
        {onAside && !asking && (
          <button
            type="button"
            onClick={() => (aside === undefined ? setAsking(true) : onAside(null))}
            className={quiet}
          >
            {aside === undefined ? "Leave it" : "Look at it again"}
          </button>
        )}
      </div>
      {asking && onAside && (
        <Why
          onKeep={(reason) => {
            setAsking(false);
            onAside(reason);
          }}
          onClose={() => setAsking(false)}
        />
      )}
    </li>
  );
}
