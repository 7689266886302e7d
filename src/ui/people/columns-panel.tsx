"use client";

import { Columns3, Plus, Trash2 } from "lucide-react";
import { Popover } from "radix-ui";
import { toast } from "sonner";
import { endpoints } from "@/contract";
import {
  fieldKind,
  fieldLabel,
  isPictureField,
  wordFieldNames,
  type FieldId,
  type FieldKind,
  type OwnField,
} from "@/core/people";
import { ask } from "../parts/asking/ask";
import { useContractForm } from "../parts/asking/use-contract-form";
import { Button, buttonClass } from "../parts/button";
import { CheckField } from "../parts/fields/check-field";
import { ChoiceField } from "../parts/fields/choice-field";
import { TextField } from "../parts/fields/text-field";
import { FormProblem } from "../parts/form-problem";
import { IconButton } from "../parts/icon-button";
import { PopoverPanel } from "../parts/popover-panel";

interface Props {
  readonly ownFields: readonly OwnField[];
  readonly shown: readonly FieldId[];
  readonly onShow: (shown: readonly FieldId[]) => void;
  /** The fields are others now. */
  readonly onFields: () => void;
}

const kindNames: Readonly<Record<FieldKind, string>> = {
  text: "text",
  phone: "phone number",
  mail: "mail address",
  web: "web address",
  date: "date",
  picture: "picture",
};

const blank: { readonly kind: FieldKind; readonly name: string } = { kind: "text", name: "" };

/** Which columns the table has, and the fields of the user's own. */
export function ColumnsPanel({ ownFields, shown, onShow, onFields }: Props) {
  const fields: readonly FieldId[] = [...wordFieldNames, ...ownFields];
  const form = useContractForm(endpoints.addOwnField.body, blank, async (body, { reset }) => {
    const { fields: now } = await ask(endpoints.addOwnField, { body });
    const added = now.at(-1);
    if (added) onShow([...shown, added]);
    reset();
    onFields();
  });
  const remove = async (field: OwnField): Promise<void> => {
    try {
      await ask(endpoints.removeOwnField, { body: { field } });
      onFields();
      toast(`“${fieldLabel(field)}” is no field any more. What people have there is kept.`, {
        duration: 10_000,
        action: {
          label: "Take it back",
          onClick: () =>
            void ask(endpoints.addOwnField, {
              body: { kind: fieldKind(field), name: fieldLabel(field) },
            }).then(onFields, (error: Error) => toast.error(error.message)),
        },
      });
    } catch (error) {
      toast.error((error as Error).message);
    }
  };
  return (
    <Popover.Root>
      <Popover.Trigger className={buttonClass("quiet")}>
        <Columns3 size={15} aria-hidden />
        Columns
      </Popover.Trigger>
      <PopoverPanel label="Columns" align="end" className="w-80 p-4 text-sm">
        <ul className="grid grid-cols-2 gap-x-4 gap-y-1">
          {fields.map((field) => (
            <li key={field} className="flex items-start justify-between">
              <CheckField
                label={fieldLabel(field)}
                checked={shown.includes(field)}
                // Pictures stand on each person's page.
                disabled={field === "name" || isPictureField(field)}
                onChange={(checked) =>
                  onShow(checked ? [...shown, field] : shown.filter((each) => each !== field))
                }
              />
              {ownFields.includes(field as OwnField) && (
                <IconButton
                  label={`Take out the field ${fieldLabel(field)}`}
                  className="-mt-1"
                  onClick={() => void remove(field as OwnField)}
                >
                  <Trash2 size={14} aria-hidden />
                </IconButton>
              )}
            </li>
          ))}
        </ul>
        <form
          noValidate
          onSubmit={(event) => void form.submit(event)}
          className="mt-3 border-t border-hairline pt-3"
        >
          <p className="font-medium">A field of your own</p>
          <div className="mt-2 grid grid-cols-2 gap-3">
            <TextField label="Name" {...form.field("name")} />
            <ChoiceField
              label="What it holds"
              value={form.typed.kind}
              choices={kindNames}
              onChange={(kind) => form.set("kind", kind)}
            />
          </div>
          <FormProblem>{form.problem}</FormProblem>
          <Button type="submit" className="mt-3" disabled={form.busy}>
            <Plus size={15} aria-hidden />
            Add the field
          </Button>
          <p className="mt-2 text-xs text-soft">
            It can be put into signatures on the Bench, beside the fields that every directory has.
          </p>
        </form>
      </PopoverPanel>
    </Popover.Root>
  );
}
