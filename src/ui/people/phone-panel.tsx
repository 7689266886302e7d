"use client";

import { Phone } from "lucide-react";
import { Popover } from "radix-ui";
import { toast } from "sonner";
import { endpoints } from "@/contract";
import { drawnPerson, emptyPerson, type PhoneForm } from "@/core/people";
import { ask } from "../parts/asking/ask";
import { useContractForm } from "../parts/asking/use-contract-form";
import { Button, buttonClass } from "../parts/button";
import { CheckField } from "../parts/fields/check-field";
import { TextField } from "../parts/fields/text-field";
import { WordSwitch } from "../parts/fields/word-switch";
import { FormProblem } from "../parts/form-problem";
import { PopoverPanel } from "../parts/popover-panel";

interface Props {
  readonly form: PhoneForm;
  readonly onKept: () => void;
}

const styles: Readonly<Record<PhoneForm["style"], string>> = {
  typed: "as typed",
  international: "international",
  national: "national",
};

/** A number of a range that is kept for fiction. */
const sample = "+44 1632 960118 ext. 12";

/** How phone numbers are written in every signature. */
export function PhonePanel({ form: kept, onKept }: Props) {
  const form = useContractForm(endpoints.keepPhoneForm.body, kept, async (body) => {
    await ask(endpoints.keepPhoneForm, { body });
    onKept();
    toast("Phone numbers are written so in every signature. What was typed stays as it is.");
  });
  const { typed } = form;
  const shown = drawnPerson({ ...emptyPerson, phone: sample }, typed).phone;
  return (
    <Popover.Root>
      <Popover.Trigger className={buttonClass("quiet")}>
        <Phone size={15} aria-hidden />
        Numbers
      </Popover.Trigger>
      <PopoverPanel label="How phone numbers are written" align="end" className="w-80 p-4 text-sm">
        <form noValidate onSubmit={(event) => void form.submit(event)}>
          <p className="mb-2 font-medium">How phone numbers are written in signatures</p>
          <WordSwitch
            label="Form of numbers"
            value={typed.style}
            choices={styles}
            onChange={(style) => form.set("style", style)}
          />
          <CheckField
            label="with the extension behind the number"
            className="mt-3"
            checked={typed.extension}
            disabled={typed.style === "typed"}
            onChange={(extension) => form.set("extension", extension)}
          />
          <TextField
            label="Calling code of numbers that are typed without one"
            inputMode="numeric"
            placeholder="44"
            {...form.field("callingCode")}
            className="mt-3"
          />
          <p className="mt-3 text-soft">
            <span className="font-mono text-xs">{sample}</span> is written
            <br />
            <span className="text-ink">{shown}</span>
          </p>
          <FormProblem>{form.problem}</FormProblem>
          <Button type="submit" look="primary" className="mt-3" disabled={form.busy}>
            Write them so
          </Button>
        </form>
      </PopoverPanel>
    </Popover.Root>
  );
}
