"use client";

import { WordSwitch } from "../parts/fields/word-switch";

/** The whole signature, or what a reply holds of it. */
export type Form = "full" | "short";

const names = { full: "Full", short: "In replies" } as const;

/** Which form is shown. */
export const FormSwitch = ({ form, onChange }: { form: Form; onChange: (form: Form) => void }) => (
  <WordSwitch label="Form of the signature" value={form} choices={names} onChange={onChange} />
);
