"use client";

import { ChevronDown } from "lucide-react";
import { Popover } from "radix-ui";
import { useId, useState } from "react";
import type { PersonChoice } from "@/contract";
import { labelClass } from "../fields/label";
import { PopoverPanel } from "../popover-panel";
import { PersonChoices } from "./person-choices";

interface Props {
  readonly label: string;
  /** Whose it is; null for nobody. */
  readonly value: string | null;
  /** What they are called, where that is known from before. */
  readonly name: string | null;
  /** What is said of nobody. */
  readonly none: string;
  /** Whether nobody can be chosen as well. */
  readonly offersNobody?: boolean;
  readonly onChange: (id: string | null, name: string | null) => void;
  /** Hides the label from view where its place says it. */
  readonly quiet?: boolean;
  readonly className?: string;
}

/** One person of a directory of any size: some letters of a name, title or department find them. */
export function PersonPicker(props: Props) {
  const { label, value, name, none, offersNobody = false, onChange, quiet = false, className } = props;
  const id = useId();
  /** What it is opened with, as typed already; null while it is closed. */
  const [begins, setBegins] = useState<string | null>(null);
  const [chosen, setChosen] = useState<PersonChoice | null>(null);
  const called = value === null ? none : chosen?.id === value ? chosen.name : (name ?? "who is taken out");
  const take = (person: PersonChoice | null): void => {
    setChosen(person);
    setBegins(null);
    onChange(person?.id ?? null, person?.name ?? null);
  };
  return (
    <div className={className}>
      <label htmlFor={id} className={labelClass(quiet)}>
        {label}
      </label>
      <Popover.Root open={begins !== null} onOpenChange={(open) => setBegins(open ? "" : null)}>
        <Popover.Trigger
          id={id}
          role="combobox"
          aria-label={label}
          aria-haspopup="listbox"
          onKeyDown={(event) => {
            if (event.ctrlKey || event.metaKey || event.altKey) return;
            // A list opens downwards, and letters look in it.
            if (event.key === "ArrowDown") setBegins("");
            else if (event.key.length === 1 && event.key !== " ") setBegins(event.key);
            else return;
            event.preventDefault();
          }}
          className="flex w-full items-center justify-between gap-1 border-b border-soft py-0.5 text-left text-sm text-ink"
        >
          <bdi className="min-w-0 truncate">{called}</bdi>
          <ChevronDown size={13} aria-hidden className="shrink-0 text-soft" />
        </Popover.Trigger>
        <PopoverPanel label={label} align="start" className="w-80 shadow-lg">
          <PersonChoices
            value={value}
            begins={begins ?? ""}
            nobody={offersNobody ? none : null}
            onChoose={take}
          />
        </PopoverPanel>
      </Popover.Root>
    </div>
  );
}
