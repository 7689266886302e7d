"use client";

import { useId, type InputHTMLAttributes, type Ref } from "react";
import { labelClass } from "./label";

interface Props extends Omit<InputHTMLAttributes<HTMLInputElement>, "className"> {
  readonly label: string;
  /** Why what is typed cannot be taken. */
  readonly problem?: string | null;
  /** Hides the label from view where its place says it. */
  readonly quiet?: boolean;
  /** Set in the type of source, as addresses are. */
  readonly mono?: boolean;
  readonly className?: string;
  readonly ref?: Ref<HTMLInputElement>;
}

/** A line of text to be typed. */
export function TextField({
  label,
  problem = null,
  quiet = false,
  mono = false,
  className = "",
  ...input
}: Props) {
  const id = useId();
  return (
    <div className={className}>
      <label htmlFor={id} className={labelClass(quiet)}>
        {label}
      </label>
      <input
        autoComplete="off"
        {...input}
        id={id}
        aria-invalid={input["aria-invalid"] ?? problem !== null}
        aria-describedby={problem === null ? undefined : `${id}-problem`}
        className={`block w-full border-b border-soft bg-transparent py-0.5 text-sm text-ink focus:border-pine ${mono ? "font-mono" : ""}`}
      />
      {problem !== null && (
        <span id={`${id}-problem`} role="alert" className="mt-0.5 block text-xs text-rowan">
          {problem}
        </span>
      )}
    </div>
  );
}
