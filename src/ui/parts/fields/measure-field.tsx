"use client";

import { useId, useState } from "react";
import type { Range } from "@/core/values";
import { labelClass, problemClass } from "./label";

interface Props {
  readonly label: string;
  readonly value: number | null;
  /** Said in place of a value where there is none. */
  readonly none?: string;
  readonly onChange: (value: number) => void;
  readonly range: Range;
  /** What the keys change it by, where that is coarser than the grid of typed numbers. */
  readonly keyStep?: number;
  /** Hides the label from view where a drawing says it. */
  readonly quiet?: boolean;
  readonly disabled?: boolean;
  readonly className?: string;
}

/**
 * A number with a unit: typed exactly, or nudged by the arrow keys, by five steps with Shift. What is no number of its
 * range is refused with a word, and the value that was there stays.
 */
export function MeasureField({
  label,
  value,
  none,
  onChange,
  range: { least, most, step: fine, unit },
  keyStep: step = fine,
  quiet = false,
  disabled = false,
  className = "w-16",
}: Props) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);

  const commit = (): void => {
    if (draft === null) return;
    const typed = Number(draft.trim().replace(",", ".").replace(/px$/, ""));
    const onGrid = Math.abs(typed / fine - Math.round(typed / fine)) < 1e-6;
    const fits = draft.trim() !== "" && onGrid && typed >= least && typed <= most;
    setDraft(null);
    setProblem(fits ? null : sentence(draft));
    if (fits && typed !== value) onChange(typed);
  };

  /** What is said of something that cannot be taken; what was there stays. */
  const sentence = (typed: string): string => {
    const wanted = `${least} to ${most}${fine === 1 || fine < 0.1 ? "" : ` in ${fine}`}`;
    return typed.trim() === "" ? wanted : `${typed.trim().slice(0, 12)} is not ${wanted}`;
  };

  const nudge = (by: number): void => {
    const next = Math.min(most, Math.max(least, Number(((value ?? 0) + by).toFixed(3))));
    setDraft(null);
    setProblem(null);
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
          placeholder={none}
          aria-invalid={problem !== null}
          aria-describedby={problem ? `${id}-problem` : undefined}
          onChange={(event) => {
            setDraft(event.target.value);
            setProblem(null);
          }}
          onFocus={(event) => event.target.select()}
          onBlur={commit}
          onKeyDown={(event) => {
            const size = event.shiftKey ? 5 * step : step;
            if (event.key === "Enter") commit();
            if (event.key === "Escape") {
              setDraft(null);
              setProblem(null);
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
        <span id={`${id}-problem`} role="alert" className={problemClass(quiet)}>
          {problem}
        </span>
      )}
    </div>
  );
}
