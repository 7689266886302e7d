"use client";

import { ToggleGroup } from "radix-ui";
import type { ReactNode } from "react";

interface Props<T extends string> {
  readonly label: string;
  /** Null where none of them holds, or not the same everywhere. */
  readonly value: T | null;
  readonly choices: readonly { readonly value: T; readonly label: string; readonly drawing: ReactNode }[];
  readonly onChange: (value: T) => void;
}

/** One of a few that are told by a drawing: one stop for Tab, walked by the arrow keys. */
export function IconChoice<T extends string>({ label, value, choices, onChange }: Props<T>) {
  return (
    <ToggleGroup.Root
      type="single"
      value={value ?? ""}
      onValueChange={(next) => next && onChange(next as T)}
      aria-label={label}
      className="flex gap-0.5"
    >
      {choices.map((choice) => (
        <ToggleGroup.Item
          key={choice.value}
          value={choice.value}
          aria-label={choice.label}
          title={choice.label}
          className="inline-flex h-7 min-w-7 items-center justify-center rounded-sm px-1 text-ink hover:bg-kelp data-[state=on]:bg-kelp data-[state=on]:text-pine"
        >
          {choice.drawing}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
