"use client";

import { WordSwitch } from "../parts/fields/word-switch";
import { FormSwitch, type Form } from "../signature/form-switch";
import type { TrialPerson, Tried } from "./use-trial";
import type { Filters } from "./wall";

interface Props {
  readonly filters: Filters;
  readonly onChange: (filters: Filters) => void;
  readonly form: Form;
  /** Null where a reply holds the whole. */
  readonly onForm: ((form: Form) => void) | null;
  readonly trial: TrialPerson;
}

const details: Readonly<Record<Tried, string>> = {
  own: "Its own details",
  longest: "Longest",
  shortest: "Shortest",
  "other-letters": "Other letters",
  "right-to-left": "Right to left",
};

/** Which proofs the wall shows, and of what. */
export function WallFilters({ filters, onChange, form, onForm, trial }: Props) {
  const set = (change: Partial<Filters>): void => onChange({ ...filters, ...change });
  return (
    <div className="flex flex-wrap gap-x-9 gap-y-1 border-y border-hairline py-1.5">
      <WordSwitch
        label="Kinds"
        value={filters.family}
        choices={{ all: "All kinds", webmail: "Webmail", desktop: "Desktop", phone: "Phone" }}
        onChange={(family) => set({ family })}
      />
      <WordSwitch
        label="Mode"
        value={filters.mode}
        choices={{ both: "Both modes", light: "Light", dark: "Dark" }}
        onChange={(mode) => set({ mode })}
      />
      <WordSwitch
        label="Pictures"
        value={filters.pictures}
        choices={{ shown: "Pictures", blocked: "Pictures blocked" }}
        onChange={(pictures) => set({ pictures })}
      />
      <WordSwitch
        label="Quoted"
        value={filters.quoted}
        choices={{ "0": "As sent", "1": "Quoted", "3": "Quoted three times" }}
        onChange={(quoted) => set({ quoted })}
      />
      <WordSwitch
        label="Accounts"
        value={filters.account}
        choices={{ own: "Own accounts", other: "Another provider’s" }}
        onChange={(account) => set({ account })}
      />
      <WordSwitch
        label="Fonts"
        value={filters.conditions.fonts}
        choices={{ installed: "Its fonts", next: "The next face", widest: "The widest face" }}
        onChange={(fonts) => set({ conditions: { ...filters.conditions, fonts } })}
      />
      <WordSwitch
        label="Display"
        value={String(filters.conditions.scale)}
        choices={{ "1": "Display at 100 %", "1.25": "125 %", "1.5": "150 %" }}
        onChange={(scale) => set({ conditions: { ...filters.conditions, scale: Number(scale) } })}
      />
      <WordSwitch label="Details" value={trial.tried} choices={details} onChange={trial.choose} />
      {onForm && <FormSwitch form={form} onChange={onForm} />}
    </div>
  );
}
