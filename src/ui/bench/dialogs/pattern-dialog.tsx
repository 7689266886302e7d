"use client";

import { toast } from "sonner";
import { endpoints } from "@/contract";
import { ask } from "../../parts/asking/ask";
import { Button } from "../../parts/button";
import { DialogFrame } from "../../parts/dialog-frame";
import { TextField } from "../../parts/fields/text-field";
import { useContractForm } from "../../parts/asking/use-contract-form";
import { FormProblem } from "../../parts/form-problem";

interface Props {
  readonly signatureId: string;
  readonly name: string;
  /** Whether what is on the sheet is saved: the pattern is made of that. */
  readonly saved: boolean;
  readonly onClose: () => void;
}

/** Saving a signature as a pattern that others are started from. */
export function PatternDialog({ signatureId, name, saved, onClose }: Props) {
  const form = useContractForm(endpoints.savePattern.body, { signatureId, name }, async (body) => {
    await ask(endpoints.savePattern, { body });
    toast(`“${body.name.trim()}” is a pattern now. You find it where signatures are started.`);
    onClose();
  });
  return (
    <DialogFrame
      title="Save as a pattern"
      description="Layout, type, words and pictures as they are saved now. Fields stay bound to the directory."
      onClose={onClose}
      className="w-[440px]"
    >
      <form className="mt-3" onSubmit={(event) => void form.submit(event)}>
        <TextField
          label="Name of the pattern"
          autoFocus
          maxLength={80}
          onFocus={(event) => event.target.select()}
          {...form.field("name")}
        />
        <FormProblem>{form.problem}</FormProblem>
        <div className="mt-4 flex gap-2">
          <Button type="submit" look="primary" disabled={form.busy || !saved}>
            Save the pattern
          </Button>
          <Button look="quiet" onClick={onClose}>
            Leave it
          </Button>
        </div>
      </form>
    </DialogFrame>
  );
}
