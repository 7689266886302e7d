"use client";

import { useMemo } from "react";
import {
  fieldLabel,
  wordFieldNames,
  wordFields,
  longestField,
  type Details,
  type FieldId,
  type OwnField,
} from "@/core/people";
import { object, words } from "@/core/values";
import { useContractForm } from "../parts/asking/use-contract-form";
import { Button } from "../parts/button";
import { DialogFrame } from "../parts/dialog-frame";
import { TextField } from "../parts/fields/text-field";
import { FormProblem } from "../parts/form-problem";

/** Details that most people of a directory have alike; empty where most do not. */
export type UsualDetails = Readonly<Record<"web" | "address" | "organisation", string>>;

interface Props {
  readonly usual: UsualDetails;
  readonly ownFields: readonly OwnField[];
  /** The id of the list of departments. */
  readonly departments: string;
  readonly onClose: () => void;
  /** Rejects with an error that can be shown. */
  readonly onAdd: (details: Details) => Promise<void>;
}

/** Names of fields as a form has them, which reads dots and brackets as paths. */
const inForm = (index: number): string => `field${index}`;

/** Somebody who comes into the directory. */
export function NewPerson({ usual, ownFields, departments, onClose, onAdd }: Props) {
  const fields = useMemo<readonly FieldId[]>(
    () => [...wordFieldNames, ...wordFields(ownFields)],
    [ownFields],
  );
  const described = useMemo(
    () =>
      object(
        Object.fromEntries(
          fields.map((field, index) => [
            inForm(index),
            words(fieldLabel(field), longestField, field === "name" ? "A person needs a name." : null),
          ]),
        ),
      ),
    [fields],
  );
  const form = useContractForm<Record<string, string>>(
    described,
    Object.fromEntries(
      fields.map((field, index) => [inForm(index), field in usual ? usual[field as keyof UsualDetails] : ""]),
    ),
    (typed) =>
      onAdd(
        Object.fromEntries(
          fields
            .map((field, index) => [field, (typed[inForm(index)] ?? "").trim()] as const)
            .filter(([, said]) => said !== ""),
        ),
      ),
  );
  return (
    <DialogFrame
      title="Add a person"
      description="Only the name is needed. What is the same for most people is filled in already."
      onClose={onClose}
      className="w-[680px] overflow-y-auto"
    >
      <form noValidate onSubmit={(event) => void form.submit(event)} className="mt-4">
        <div className="grid grid-cols-2 gap-x-6 gap-y-3">
          {fields.map((field, index) => (
            <TextField
              key={field}
              label={fieldLabel(field)}
              {...form.field(inForm(index))}
              list={field === "department" ? departments : undefined}
            />
          ))}
        </div>
        <FormProblem>{form.problem}</FormProblem>
        <div className="mt-5 flex justify-end gap-2">
          <Button look="quiet" onClick={onClose}>
            Cancel
          </Button>
          <Button look="primary" type="submit" disabled={form.busy}>
            Add to the directory
          </Button>
        </div>
      </form>
    </DialogFrame>
  );
}
