"use client";

import { ToggleGroup } from "radix-ui";

/** The whole signature, or what a reply holds of it. */
export type Form = "full" | "short";

const names: Readonly<Record<Form, string>> = { full: "Full", short: "In replies" };

/** Which form is shown. */
export function FormSwitch({ form, onChange }: { form: Form; onChange: (form: Form) => void }) {
  return (
    <ToggleGroup.Root
      type="single"
      value={form}
      onValueChange={(next) => next && onChange(next as Form)}
      aria-label="Form of the signature"
      className="flex gap-3"
    >
      {(Object.keys(names) as Form[]).map((each) => (
        <ToggleGroup.Item
          key={each}
          value={each}
          className="whitespace-nowrap border-b-2 border-transparent pb-0.5 text-sm text-soft data-[state=on]:border-pine data-[state=on]:font-medium data-[state=on]:text-ink"
        >
          {names[each]}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
