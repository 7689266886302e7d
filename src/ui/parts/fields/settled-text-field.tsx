"use client";

import { useState, type ComponentProps } from "react";
import { TextField } from "./text-field";

interface Props extends Omit<
  ComponentProps<typeof TextField>,
  "value" | "defaultValue" | "problem" | "onChange" | "onBlur" | "onKeyDown"
> {
  readonly value: string;
  /** Takes what is typed once it is left or Enter is pressed, without space around it, if it is another. */
  readonly onSettle: (value: string) => void;
  /** A sentence where what is typed cannot be taken: it is said, and what was there stays. */
  readonly check?: (value: string) => string | null;
}

/** A line of text that is taken as a whole when it is left; Esc puts back what was there. */
export function SettledTextField({ value, onSettle, check, ...field }: Props) {
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <TextField
      key={value}
      {...field}
      defaultValue={value}
      problem={problem}
      onBlur={(event) => {
        const typed = event.target.value.trim();
        const complaint = check?.(typed) ?? null;
        if (complaint !== null) event.target.value = value;
        else if (typed !== value) onSettle(typed);
        setProblem(complaint);
      }}
      onKeyDown={(event) => {
        if (event.key === "Escape") event.currentTarget.value = value;
        if (event.key === "Enter" || event.key === "Escape") event.currentTarget.blur();
      }}
    />
  );
}
