"use client";

/** Which signature goes under which letters of an address, and how: the same in every client but for words and looks. */
import type { HeldSignature, SignatureChoice } from "@/core/desks";
import { CheckField } from "../../parts/fields/check-field";
import { ChoiceField } from "../../parts/fields/choice-field";
import { signatureNames } from "./writing-fields";

interface Put {
  readonly choice: SignatureChoice;
  readonly put: (address: string, change: Partial<SignatureChoice>) => unknown;
}

interface UnderProps extends Put {
  readonly field: "underNew" | "underAnswers";
  readonly held: readonly Pick<HeldSignature, "id" | "name">[];
  readonly label: string;
  readonly quiet?: boolean;
  readonly none: string;
  readonly look: string;
  readonly className?: string;
}

export const UnderField = ({ choice, put, field, held, label, quiet, none, look, className }: UnderProps) => (
  <ChoiceField
    label={label}
    quiet={quiet ?? false}
    look={look}
    className={className ?? ""}
    value={choice[field] ?? ""}
    choices={signatureNames(held, none)}
    onChange={(id) => void put(choice.address, { [field]: id === "" ? null : id })}
  />
);

/** Above or below what an answer quotes. */
export const PlaceField = ({ choice, put, label }: Put & { readonly label: string }) => (
  <CheckField
    label={label}
    checked={choice.place === "above"}
    onChange={(above) => void put(choice.address, { place: above ? "above" : "below" })}
  />
);

/** With or without the delimiter line (RFC 3676, 4.3). */
export const DelimiterField = ({ choice, put, label }: Put & { readonly label: string }) => (
  <CheckField
    label={label}
    checked={choice.delimiter}
    onChange={(delimiter) => void put(choice.address, { delimiter })}
  />
);
