"use client";

import { useState } from "react";
import { toast } from "sonner";
import { endpoints, type OwnPage } from "@/contract";
import { fieldLabel, longestField, type FieldId } from "@/core/people";
import { ask } from "../parts/asking/ask";
import { useRefreshing } from "../parts/asking/use-refreshing";
import { Button } from "../parts/button";
import { TextField } from "../parts/fields/text-field";

interface Props extends Pick<OwnPage, "details" | "asked"> {
  readonly secret: string;
}

/** What the signatures say of somebody, and asking for what is wrong of it to be corrected. */
export function AboutYou({ secret, details, asked }: Props) {
  const refreshing = useRefreshing();
  const [typed, setTyped] = useState<Readonly<Partial<Record<FieldId, string>>>>({});
  const [busy, setBusy] = useState(false);
  const waiting = new Map(asked.map(({ field, after }) => [field, after]));
  const saidOf = (field: FieldId, value: string): string => typed[field] ?? waiting.get(field) ?? value;
  const said = Object.fromEntries(
    details
      .filter(({ field, value }) => saidOf(field, value) !== (waiting.get(field) ?? value))
      .map(({ field, value }) => [field, saidOf(field, value)]),
  );
  const send = async (): Promise<void> => {
    setBusy(true);
    if (await refreshing(() => ask(endpoints.askForCorrection, { params: { secret }, body: { said } }))) {
      setTyped({});
      toast("Sent to the office. Your signature shows it once it is accepted there.");
    }
    setBusy(false);
  };
  return (
    <section aria-labelledby="about-you" className="mt-8 border-t border-pine pt-3">
      <h2 id="about-you" className="font-serif text-xl">
        Is everything about you right?
      </h2>
      <p className="pb-3 text-soft">
        This is what your signature says. Write over what is wrong and send it to the office.
      </p>
      <form
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void send();
        }}
      >
        <div className="grid gap-x-8 gap-y-3 sm:grid-cols-2">
          {details.map(({ field, value }) => (
            <div key={field}>
              <TextField
                label={fieldLabel(field)}
                dir="auto"
                maxLength={longestField}
                value={saidOf(field, value)}
                onChange={(event) => setTyped({ ...typed, [field]: event.target.value })}
              />
              {waiting.has(field) && (
                <p className="mt-0.5 text-xs text-clay">
                  Waits for the office; until then it is {value === "" ? "empty" : <bdi>“{value}”</bdi>}.
                </p>
              )}
            </div>
          ))}
        </div>
        <Button type="submit" className="mt-4" disabled={busy || Object.keys(said).length === 0}>
          Ask for it to be corrected
        </Button>
      </form>
    </section>
  );
}
