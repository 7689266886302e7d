"use client";

import { X } from "lucide-react";
import { IconButton } from "../../parts/icon-button";
import { PersonPicker } from "../../parts/people/person-picker";

export interface Named {
  readonly id: string;
  /** Null for who is not in the directory any more. */
  readonly name: string | null;
}

interface Props {
  readonly label: string;
  readonly named: readonly Named[];
  readonly onChange: (named: readonly Named[]) => void;
  readonly className?: string;
}

/** People who are chosen one by one. */
export function PeopleNamed({ label, named, onChange, className }: Props) {
  return (
    <div className={className}>
      <PersonPicker
        label={label}
        value={null}
        name={null}
        none="choose somebody"
        onChange={(id, name) => {
          if (id !== null && !named.some((each) => each.id === id)) onChange([...named, { id, name }]);
        }}
      />
      <ul aria-label="Chosen by name" className="mt-1 max-h-40 overflow-y-auto">
        {named.map(({ id, name }) => (
          <li key={id} className="flex items-center justify-between gap-2 border-b border-hairline py-0.5">
            <bdi className={`min-w-0 truncate ${name === null ? "text-soft" : ""}`}>
              {name ?? "somebody who was taken out"}
            </bdi>
            <IconButton
              label={`Leave out ${name ?? "somebody who was taken out"}`}
              onClick={() => onChange(named.filter((each) => each.id !== id))}
            >
              <X size={14} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
    </div>
  );
}
