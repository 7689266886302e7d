"use client";

import type { ComponentProps } from "react";
import { TextField } from "./text-field";

interface Props extends Omit<
  ComponentProps<typeof TextField>,
  "value" | "defaultValue" | "onChange" | "onBlur" | "onKeyDown"
> {
  readonly value: string;
  /** Takes what is typed once it is left or Enter is pressed, without space around it, if it is another. */
  readonly onSettle: (value: string) => void;
}

/** A line of text that is taken as a whole when it is left; Esc puts back what was there. */
export function SettledTextField({ value, onSettle, ...field }: Props) {
  return (
    <TextField
      key={value}
      {...field}
      defaultValue={value}
      onBlur={(event) => {
        const typed = event.target.value.trim();
        if (typed !== value) onSettle(typed);
      }}
      onKeyDown={(event) => {
        if (event.key === "Escape") event.currentTarget.value = value;
        if (event.key === "Enter" || event.key === "Escape") event.currentTarget.blur();
      }}
    />
  );
}
