"use client";

import { X } from "lucide-react";
import { ChoiceField } from "../../parts/fields/choice-field";
import type { Colleague } from "./rooms";

interface Props {
  readonly label: string;
  readonly addresses: readonly string[];
  readonly colleagues: readonly Colleague[];
  readonly onChange: (addresses: readonly string[]) => void;
  readonly look: string;
}

/** Several people, each chosen by name; each can be taken off again. */
export function PeopleField({ label, addresses, colleagues, onChange, look }: Props) {
  const nameOf = (address: string): string =>
    colleagues.find(({ mail }) => mail.toLowerCase() === address.toLowerCase())?.name ?? address;
  const left = colleagues.filter(({ mail }) => !addresses.includes(mail.toLowerCase()));
  return (
    <div className="flex flex-wrap items-center gap-2">
      {addresses.map((address) => (
        <span key={address} className="desk-chip" title={address}>
          {nameOf(address)}
          <button
            type="button"
            aria-label={`Take ${nameOf(address)} off`}
            onClick={() => onChange(addresses.filter((each) => each !== address))}
          >
            <X size={12} aria-hidden />
          </button>
        </span>
      ))}
      <ChoiceField
        label={label}
        quiet
        look={look}
        className="min-w-48 flex-1"
        none={addresses.length === 0 ? "choose a colleague" : "and somebody else"}
        value={null}
        choices={Object.fromEntries(left.map(({ name, mail }) => [mail.toLowerCase(), `${name} (${mail})`]))}
        onChange={(address) => onChange([...addresses, address])}
      />
    </div>
  );
}
