"use client";

import { textSize } from "@/core/values";
import { useSyncExternalStore } from "react";
import type { Range } from "@/core/values";
import { MeasureField } from "./measure-field";

type Unit = "px" | "pt";
const key = "still-line size unit";

/** The unit that text sizes are shown in; the same in every field of a window, and after a reload. */
const listeners = new Set<() => void>();
const readUnit = (): Unit => (localStorage.getItem(key) === "pt" ? "pt" : "px");
function setUnit(unit: Unit): void {
  localStorage.setItem(key, unit);
  listeners.forEach((listener) => listener());
}
function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

const hundredth = (value: number): number => Math.round(value * 100) / 100;
/** A point is 4/3 px (CSS Values 4). */
const toPt = (px: number): number => hundredth(px * 0.75);
const toPx = (pt: number): number => hundredth(pt / 0.75);

const inPoints: Range = {
  least: toPt(textSize.least),
  most: toPt(textSize.most),
  step: textSize.step,
  unit: "",
};

interface Props {
  readonly label: string;
  /** In px; null where there are several. */
  readonly value: number | null;
  readonly onChange: (px: number) => void;
  readonly quiet?: boolean;
  readonly className?: string;
}

/** The size of text, in px or in points; the document always holds px. */
export function TextSizeField({ label, value, onChange, quiet = false, className = "w-16" }: Props) {
  const unit = useSyncExternalStore(subscribe, readUnit, () => "px" as const);
  const other = unit === "px" ? "pt" : "px";
  return (
    <div className="flex items-end">
      <MeasureField
        label={label}
        quiet={quiet}
        value={unit === "px" || value === null ? value : toPt(value)}
        none="mixed"
        range={unit === "px" ? { ...textSize, unit: "" } : inPoints}
        keyStep={0.5}
        onChange={(typed) => onChange(unit === "px" ? hundredth(typed) : toPx(typed))}
        className={className}
      />
      <button
        type="button"
        aria-label={`Sizes are in ${unit}: show them in ${other}`}
        title={`Show sizes in ${other}`}
        onClick={() => setUnit(other)}
        className="rounded-sm border-b border-soft py-0.5 text-xs leading-5 text-soft hover:text-pine"
      >
        {unit}
      </button>
    </div>
  );
}
