"use client";

import { ToggleGroup } from "radix-ui";

interface Props<T extends string> {
  readonly label: string;
  readonly value: T;
  /** Each choice by its name. */
  readonly choices: Readonly<Partial<Record<T, string>>>;
  readonly onChange: (value: T) => void;
}

/** A choice of a few, each a word; the one that holds is underlined. */
export function WordSwitch<T extends string>({ label, value, choices, onChange }: Props<T>) {
  return (
    <ToggleGroup.Root
      type="single"
      value={value}
      onValueChange={(next) => next && onChange(next as T)}
      aria-label={label}
      className="flex gap-3"
    >
      {(Object.keys(choices) as T[]).map((each) => (
        <ToggleGroup.Item
          key={each}
          value={each}
          className="whitespace-nowrap border-b-2 border-transparent pb-0.5 text-sm text-soft data-[state=on]:border-pine data-[state=on]:font-medium data-[state=on]:text-ink"
        >
          {choices[each]}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
