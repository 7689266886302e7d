"use client";

import { Pencil, Trash2 } from "lucide-react";
import { Popover } from "radix-ui";
import { useState } from "react";
import { toast } from "sonner";
import { addressOf, endpoints, type OwnIcon } from "@/contract";
import { ask } from "../parts/asking/ask";
import { Button } from "../parts/button";
import { IconButton } from "../parts/icon-button";
import { PopoverPanel } from "../parts/popover-panel";
import { TextField } from "../parts/fields/text-field";
import { useContractForm } from "../parts/asking/use-contract-form";
import { FormProblem } from "../parts/form-problem";

interface Props {
  readonly icon: OwnIcon;
  readonly onChoose: () => void;
  /** Once it was changed or taken out. */
  readonly onChanged: () => Promise<void>;
}

/** What it is called, and where it came from. */
function Facts({ icon, onDone }: { icon: OwnIcon; onDone: () => Promise<void> }) {
  const { name, note } = icon;
  const form = useContractForm(endpoints.describeIcon.body, { name, note }, async (body) => {
    await ask(endpoints.describeIcon, { params: { hash: icon.hash }, body });
    await onDone();
  });
  return (
    <form onSubmit={(event) => void form.submit(event)}>
      <TextField label="Name" maxLength={60} {...form.field("name")} />
      <TextField
        label="Where it came from, and how it may be used"
        maxLength={300}
        className="mt-2"
        {...form.field("note")}
      />
      <FormProblem>{form.problem}</FormProblem>
      <Button type="submit" className="mt-2" disabled={form.busy}>
        Keep it
      </Button>
    </form>
  );
}

/** An icon of the user's own, on light and on dark, as mail is read. */
export function OwnIconTile({ icon, onChoose, onChanged }: Props) {
  const [open, setOpen] = useState(false);
  const remove = async (): Promise<void> => {
    try {
      await ask(endpoints.deleteIcon, { params: { hash: icon.hash } });
      await onChanged();
      toast(`${icon.name} is out of the pack. Rows that have it keep it.`);
    } catch (error) {
      toast.error((error as Error).message);
    }
  };
  return (
    <li className="border border-hairline">
      <button
        type="button"
        onClick={onChoose}
        title={icon.note ? `From: ${icon.note}` : "Where it came from is not said"}
        className="block w-full p-1.5 pb-0 text-left hover:bg-kelp"
      >
        <span className="flex">
          {["bg-canvas", "bg-dark-canvas"].map((canvas) => (
            <span key={canvas} className={`flex h-10 flex-1 items-center justify-center ${canvas}`}>
              <img
                src={addressOf(endpoints.pictureThumbnail, { hash: icon.hash })}
                alt=""
                className="h-6 max-w-6 object-contain"
              />
            </span>
          ))}
        </span>
        <span className="mt-1 block truncate text-xs">{icon.name}</span>
      </button>
      <span className="flex justify-end">
        <Popover.Root open={open} onOpenChange={setOpen}>
          <Popover.Trigger asChild>
            <IconButton label={`Describe ${icon.name}`} className="h-6">
              <Pencil size={12} aria-hidden />
            </IconButton>
          </Popover.Trigger>
          <PopoverPanel label={`About ${icon.name}`} className="w-72 p-3">
            <Facts
              icon={icon}
              onDone={async () => {
                setOpen(false);
                await onChanged();
              }}
            />
          </PopoverPanel>
        </Popover.Root>
        <IconButton label={`Take ${icon.name} out of the pack`} className="h-6" onClick={() => void remove()}>
          <Trash2 size={12} aria-hidden />
        </IconButton>
      </span>
    </li>
  );
}
