"use client";

import { Check, ChevronDown, ChevronUp } from "lucide-react";
import { Select } from "radix-ui";
import { useId } from "react";
import { labelClass } from "./label";

const scrolling = "flex justify-center py-0.5 text-soft";

interface Props<T extends string> {
  readonly label: string;
  /** Null shows `none`. */
  readonly value: T | null;
  readonly choices: Readonly<Record<T, string>>;
  readonly onChange: (value: T) => void;
  /** What is said while nothing is chosen. */
  readonly none?: string;
  /** Hides the label from view where its place says it. */
  readonly quiet?: boolean;
  readonly disabled?: boolean;
  readonly className?: string;
  /** How what is clicked looks, where a screen has a look of its own. */
  readonly look?: string;
}

/** One of several words. */
export function ChoiceField<T extends string>(props: Props<T>) {
  const { label, value, choices, onChange, none = "choose", quiet = false, disabled = false } = props;
  const { look = "border-b border-soft py-0.5 text-sm text-ink" } = props;
  const id = useId();
  const names = Object.entries<string>(choices);
  // A choice that is the empty text counts as none to the primitive, and has a name all the same.
  const named = names.find(([choice]) => choice === "" && value === "")?.[1] ?? none;
  return (
    <div className={props.className}>
      <label htmlFor={id} className={labelClass(quiet)}>
        {label}
      </label>
      <Select.Root value={value ?? ""} disabled={disabled} onValueChange={(next) => onChange(next as T)}>
        <Select.Trigger
          id={id}
          className={`flex w-full items-center justify-between gap-1 text-left disabled:opacity-50 ${look}`}
        >
          <span className="min-w-0 truncate">
            <Select.Value placeholder={named} />
          </span>
          <ChevronDown size={13} aria-hidden className="shrink-0 text-soft" />
        </Select.Trigger>
        <Select.Portal>
          <Select.Content
            position="popper"
            sideOffset={2}
            className="z-50 max-h-[min(320px,var(--radix-select-content-available-height))] min-w-[var(--radix-select-trigger-width)] overflow-hidden rounded-sm border border-hairline bg-paper py-1 shadow-lg"
          >
            <Select.ScrollUpButton className={scrolling}>
              <ChevronUp size={13} aria-hidden />
            </Select.ScrollUpButton>
            <Select.Viewport>
              {names.map(([choice, name]) => (
                <Select.Item
                  key={choice}
                  value={choice}
                  className="flex cursor-default items-center gap-2 py-1 pl-2 pr-4 text-sm outline-none data-[highlighted]:bg-kelp"
                >
                  <span className="w-3.5 shrink-0">
                    <Select.ItemIndicator>
                      <Check size={13} aria-hidden className="text-pine" />
                    </Select.ItemIndicator>
                  </span>
                  <Select.ItemText>{name}</Select.ItemText>
                </Select.Item>
              ))}
            </Select.Viewport>
            <Select.ScrollDownButton className={scrolling}>
              <ChevronDown size={13} aria-hidden />
            </Select.ScrollDownButton>
          </Select.Content>
        </Select.Portal>
      </Select.Root>
    </div>
  );
}
