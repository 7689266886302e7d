"use client";

import { useId } from "react";
import type { Range } from "@/core/values";

interface Props {
  readonly label: string;
  readonly value: number;
  readonly range: Pick<Range, "least" | "most" | "step">;
  /** How the value is said; as it is when left out. */
  readonly said?: string;
  readonly onChange: (value: number) => void;
}

/** A number by feel: dragged, or stepped by the arrow keys. */
export function SliderField({ label, value, range, said = String(value), onChange }: Props) {
  const { least, most, step } = range;
  const id = useId();
  return (
    <div>
      <span className="flex items-baseline justify-between text-xs text-soft">
        <label htmlFor={id}>{label}</label>
        <span className="text-ink">{said}</span>
      </span>
      <input
        id={id}
        type="range"
        min={least}
        max={most}
        step={step}
        value={value}
        aria-valuetext={said}
        onChange={(event) => onChange(Number(event.target.value))}
        className="block w-full accent-pine"
      />
    </div>
  );
}
