import type { Finding, Mend } from "@/core/checks";

const marks = {
  break: { className: "bg-rowan rounded-none", word: "will break" },
  attention: { className: "bg-clay rounded-t-full", word: "needs attention" },
  note: { className: "rounded-full border-2 border-lichen", word: "good to know" },
} as const;

interface Props {
  readonly findings: readonly Finding[];
  readonly empty: string;
  /** Puts one right; left out where nothing is mended from the list. */
  readonly onMend?: (mend: Mend) => void;
  /** Whether a mend is under way. */
  readonly busy?: boolean;
}

/** Findings with their place and reason; the shape of the mark tells the severity as well as its colour. */
export function FindingList({ findings, empty, onMend, busy = false }: Props) {
  if (findings.length === 0)
    return (
      <p className="flex items-center gap-2 text-lichen">
        <span aria-hidden className="h-2 w-2 rounded-full bg-lichen" />
        {empty}
      </p>
    );
  return (
    <ul>
      {findings.map(({ mend, ...finding }, index) => (
        <li key={index} className="border-b border-hairline py-2 first:pt-0 last:border-0">
          <p className="flex items-baseline gap-2">
            <span aria-hidden className={`h-2 w-2 shrink-0 ${marks[finding.severity].className}`} />
            <span className="text-xs text-soft">
              {finding.at}, {marks[finding.severity].word}
            </span>
          </p>
          <p className="pl-4 [overflow-wrap:anywhere]">{finding.message}</p>
          {onMend && mend && (
            <button
              type="button"
              disabled={busy}
              onClick={() => onMend(mend)}
              className="ml-4 mt-1 block max-w-[calc(100%-1rem)] truncate rounded-sm border border-pine px-2 py-0.5 text-sm font-medium text-pine hover:bg-kelp disabled:opacity-40"
            >
              {mend.label}
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}
