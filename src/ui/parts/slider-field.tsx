"use client";

import { useId } from "react";

interface Props {
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly step?: number;
  /** How the value is said; as it is when left out. */
  readonly said?: string;
  readonly onChange: (value: number) => void;
}

/** A number by feel: dragged, or stepped by the arrow keys. */
export function SliderField({ label, value, least, most, step = 1, said = String(value), onChange }: Props) {
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
