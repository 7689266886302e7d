"use client";

import { useId, useState } from "react";
import type { Range } from "@/core/values";
import { labelClass } from "./label";

interface Props {
  readonly label: string;
  readonly value: number | null;
  readonly onChange: (value: number) => void;
  readonly range: Range;
  /** What the keys change it by, where that is coarser than the grid of typed numbers. */
  readonly keyStep?: number;
  /** Hides the label from view where a drawing says it. */
  readonly quiet?: boolean;
  readonly disabled?: boolean;
  readonly className?: string;
}

/** A number with a unit: typed exactly, or nudged by the arrow keys, by five steps with Shift. */
export function MeasureField({
  label,
  value,
  onChange,
  range: { least, most, step: fine, unit },
  keyStep: step = fine,
  quiet = false,
  disabled = false,
  className = "w-16",
}: Props) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const [problem, setProblem] = useState(false);

  const commit = (): void => {
    if (draft === null) return;
    const typed = Number(draft.trim().replace(",", ".").replace(/px$/, ""));
    const onGrid = Math.abs(typed / fine - Math.round(typed / fine)) < 1e-6;
    if (draft.trim() === "" || !onGrid || !(typed >= least && typed <= most)) return setProblem(true);
    setDraft(null);
    setProblem(false);
    if (typed !== value) onChange(typed);
  };

  const nudge = (by: number): void => {
    const next = Math.min(most, Math.max(least, Number(((value ?? 0) + by).toFixed(3))));
    setDraft(null);
    setProblem(false);
    if (next !== value) onChange(next);
  };

  return (
    <div className={className}>
      <label htmlFor={id} className={labelClass(quiet)}>
        {label}
      </label>
      <span className="flex items-baseline border-b border-soft focus-within:border-pine">
        <input
          id={id}
          inputMode="decimal"
          autoComplete="off"
          disabled={disabled}
          value={draft ?? (value === null ? "" : String(value))}
          aria-invalid={problem}
          aria-describedby={problem ? `${id}-problem` : undefined}
          onChange={(event) => setDraft(event.target.value)}
          onFocus={(event) => event.target.select()}
          onBlur={commit}
          onKeyDown={(event) => {
            const size = event.shiftKey ? 5 * step : step;
            if (event.key === "Enter") commit();
            if (event.key === "Escape") {
              setDraft(null);
              setProblem(false);
            }
            if (event.key === "ArrowUp" || event.key === "ArrowDown") {
              event.preventDefault();
              nudge(event.key === "ArrowUp" ? size : -size);
            }
          }}
          className="w-full min-w-0 bg-transparent py-0.5 disabled:opacity-50"
        />
        {unit && <span className="text-xs text-soft">{unit}</span>}
      </span>
      {problem && (
        <span id={`${id}-problem`} role="alert" className="block text-xs text-rowan">
          {least} to {most}
          {step === 1 ? "" : ` in ${step}`}
        </span>
      )}
    </div>
  );
}
