"use client";

import { BadgeCheck, ImagePlus, X } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { endpoints } from "@/contract";
import type { InstallForm, InstallUse, KitKind } from "@/core/install-kinds";
import { ask, send } from "../../parts/asking/ask";
import { Button } from "../../parts/button";
import { FilePicker } from "../../parts/files/file-picker";
import { IconButton } from "../../parts/icon-button";
import { TextField } from "../../parts/fields/text-field";
import { WordSwitch } from "../../parts/fields/word-switch";
import { useKept } from "../../parts/use-kept";
import { pictureFile, readScreenshot } from "../sightings/screenshot";
import { useNames } from "./install-words";

interface Props {
  readonly id: string;
  readonly revision: number;
  readonly kind: KitKind;
  readonly form: InstallForm;
  /** Whose address it most likely is installed for. */
  readonly account: string;
}

/** Recording that the steps are done: one press where nothing is otherwise than usual. */
export function RecordInstall({ id, revision, kind, form, account: usual }: Props) {
  const router = useRouter();
  const [account, setAccount] = useState(usual);
  const [use, setUse] = useState<InstallUse>(form === "short" ? "answers" : "both");
  const [by, setBy] = useKept("installed by", "");
  const [note, setNote] = useState("");
  /** A screenshot of how it looks there. */
  const [shot, setShot] = useState<File | null>(null);
  const [saving, setSaving] = useState(false);

  const attach = async (install: string, file: File): Promise<void> => {
    try {
      const kept = await pictureFile(await readScreenshot(file), file.name);
      await send(endpoints.keepSighting, { params: { id: install }, file: kept });
      setShot(null);
    } catch (error) {
      toast.error(`The install is recorded, its screenshot is not: ${(error as Error).message}`);
    }
  };

  const record = async (): Promise<void> => {
    setSaving(true);
    try {
      const made = await ask(endpoints.recordInstall, {
        params: { id },
        body: { revision, form, kind, account: account.trim(), use, by: by.trim(), note: note.trim() },
      });
      setNote("");
      if (shot) await attach(made.id, shot);
      toast("Recorded. You will see here and on the Shelf when it is out of date.");
      router.refresh();
    } catch (error) {
      toast.error((error as Error).message);
    } finally {
      setSaving(false);
    }
  };

  return (
    <section aria-labelledby="record" className="mt-6 border-t border-hairline pt-3">
      <h3 id="record" className="font-serif text-lg">
        Done?
      </h3>
      <p className="pb-2 text-soft">
        Keep a record, and you will be told when what is installed is out of date.
      </p>
      <form
        className="grid gap-x-6 gap-y-3 sm:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault();
          void record();
        }}
      >
        <TextField
          label="Account or machine"
          value={account}
          maxLength={120}
          onChange={(event) => setAccount(event.target.value)}
        />
        <TextField
          label="Installed by"
          value={by}
          maxLength={120}
          onChange={(event) => setBy(event.target.value)}
        />
        <TextField
          label="Note"
          placeholder="such as where its file lies"
          value={note}
          maxLength={2000}
          className="sm:col-span-2"
          onChange={(event) => setNote(event.target.value)}
        />
        <div className="sm:col-span-2">
          <p className="pb-1 text-xs text-soft">It stands under</p>
          <WordSwitch label="It stands under" value={use} choices={useNames} onChange={setUse} />
        </div>
        <div className="flex flex-wrap items-center gap-2 sm:col-span-2">
          <FilePicker accept="image/*" onPick={([file]) => setShot(file ?? null)}>
            <ImagePlus size={16} aria-hidden />
            {shot ? "Attach another screenshot" : "Attach a screenshot"}
          </FilePicker>
          {shot ? (
            <>
              <span className="min-w-0 truncate text-sm">{shot.name}</span>
              <IconButton label={`Leave ${shot.name} out`} onClick={() => setShot(null)}>
                <X size={15} aria-hidden />
              </IconButton>
            </>
          ) : (
            <span className="text-sm text-soft">of how it looks there, if you like</span>
          )}
        </div>
        <div>
          <Button type="submit" disabled={saving}>
            <BadgeCheck size={16} aria-hidden />
            It is installed
          </Button>
        </div>
      </form>
    </section>
  );
}
