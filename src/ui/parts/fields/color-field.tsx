"use client";

import { Popover } from "radix-ui";
import { useId, useState } from "react";
import { lazily } from "../lazily";
import { PopoverPanel } from "../popover-panel";
import type { ColorChoicesProps } from "./color-choices";
import { labelClass, problemClass } from "./label";

/** What opens beside it. */
export const colorChoices = lazily(() => import("./color-choices").then(({ ColorChoices }) => ColorChoices));

interface Props extends ColorChoicesProps {
  readonly label: string;
  /** Several colours; `value` says nothing then. */
  readonly mixed?: boolean;
  readonly quiet?: boolean;
}

const readHex = (typed: string): string | null => {
  const found = /^#?([0-9a-f]{3}|[0-9a-f]{6})$/i.exec(typed.trim())?.[1];
  if (!found) return null;
  const six = found.length === 3 ? found.replace(/./g, "$&$&") : found;
  return `#${six.toUpperCase()}`;
};

/** The colour itself, which opens what it can be taken from. */
export function ColorSwatch({ label, mixed = false, ...choosing }: Omit<Props, "quiet">) {
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={`Pick ${label.toLowerCase()}`}
        title={`Pick ${label.toLowerCase()}`}
        className="h-4 w-4 shrink-0 rounded-[3px] border border-hairline"
        style={{
          background: mixed
            ? "linear-gradient(135deg,var(--color-soft) 50%,var(--color-sheet) 50%)"
            : (choosing.value ??
              "repeating-linear-gradient(45deg,var(--canvas) 0 3px,var(--checker) 3px 6px)"),
        }}
      />
      <PopoverPanel label={label} className="p-3">
        <colorChoices.Component {...choosing} />
      </PopoverPanel>
    </Popover.Root>
  );
}

/** A colour: typed as hex, taken from the signature's own, or picked. */
export function ColorField({ label, quiet = false, mixed = false, ...choosing }: Props) {
  const { value, onChange, clearable = false } = choosing;
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);

  const commit = (): void => {
    if (draft === null) return;
    if (mixed && draft.trim() === "mixed") return setDraft(null);
    const empty = draft.trim() === "" || draft.trim() === "none";
    const hex = readHex(draft);
    const fits = hex !== null || (empty && clearable);
    setDraft(null);
    setProblem(fits ? null : `${draft.trim().slice(0, 12) || "This"} is no colour like #3F5B2E`);
    if (fits && hex !== value) onChange(hex);
  };

  return (
    <div>
      <label htmlFor={id} className={labelClass(quiet)}>
        {label}
      </label>
      <span className="flex items-center gap-1.5">
        <ColorSwatch label={label} mixed={mixed} {...choosing} />
        <input
          id={id}
          autoComplete="off"
          spellCheck={false}
          value={draft ?? (mixed ? "mixed" : (value ?? "none"))}
          aria-invalid={problem !== null}
          onChange={(event) => {
            setDraft(event.target.value);
            setProblem(null);
          }}
          onFocus={(event) => event.target.select()}
          onBlur={commit}
          onKeyDown={(event) => {
            if (event.key === "Enter") commit();
            if (event.key === "Escape") {
              setDraft(null);
              setProblem(null);
            }
          }}
          className="w-[68px] border-b border-soft bg-transparent py-0.5 focus:border-pine"
        />
      </span>
      {problem && (
        <span role="alert" className={problemClass(quiet)}>
          {problem}
        </span>
      )}
    </div>
  );
}
