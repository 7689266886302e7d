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
import { useAttempt } from "../parts/asking/use-attempt";

interface Props {
  readonly icon: OwnIcon;
  readonly onChoose: () => void;
  /** Once it was changed or taken out. */
  readonly onChanged: () => Promise<void>;
}

const field =
  "mt-1 block w-full border-b border-soft bg-transparent py-0.5 text-sm text-ink focus:border-pine";

/** What it is called, and where it came from. */
function Facts({ icon, onDone }: { icon: OwnIcon; onDone: () => Promise<void> }) {
  const [name, setName] = useState(icon.name);
  const [note, setNote] = useState(icon.note);
  const { busy, problem, attempt } = useAttempt();
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void attempt(async () => {
          await ask(endpoints.describeIcon, { params: { hash: icon.hash }, body: { name, note } });
          await onDone();
        });
      }}
    >
      <label className="block text-xs text-soft">
        Name
        <input
          value={name}
          maxLength={60}
          onChange={(event) => setName(event.target.value)}
          className={field}
        />
      </label>
      <label className="mt-2 block text-xs text-soft">
        Where it came from, and how it may be used
        <input
          value={note}
          maxLength={300}
          onChange={(event) => setNote(event.target.value)}
          className={field}
        />
      </label>
      {problem && (
        <p role="alert" className="mt-1 text-xs text-rowan">
          {problem}
        </p>
      )}
      <Button type="submit" className="mt-2" disabled={busy}>
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
