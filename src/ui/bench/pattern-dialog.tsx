"use client";

import { Dialog } from "radix-ui";
import { useState } from "react";
import { toast } from "sonner";
import { Button } from "../parts/button";
import { request } from "../parts/request";

interface Props {
  readonly signatureId: string;
  readonly name: string;
  readonly onClose: () => void;
}

/** Saving a signature as a pattern that others are started from. */
export function PatternDialog({ signatureId, name, onClose }: Props) {
  const [draft, setDraft] = useState(name);
  const [problem, setProblem] = useState<string | null>(null);
  const save = async (): Promise<void> => {
    try {
      await request("POST", "/api/patterns", { signatureId, name: draft });
      toast(`“${draft.trim()}” is a pattern now. You find it where signatures are started.`);
      onClose();
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  return (
    <Dialog.Root open onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-ink/30" />
        <Dialog.Content className="fixed left-1/2 top-1/2 z-30 w-[440px] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 rounded-sm border border-hairline bg-paper p-6">
          <Dialog.Title className="font-serif text-2xl">Save as a pattern</Dialog.Title>
          <Dialog.Description className="mb-3 mt-1 text-soft">
            Layout, type, words and pictures as they are saved now. Fields stay bound to the directory.
          </Dialog.Description>
          <form
            onSubmit={(event) => {
              event.preventDefault();
              void save();
            }}
          >
            <label className="text-xs text-soft">
              Name of the pattern
              <input
                autoFocus
                value={draft}
                maxLength={80}
                onFocus={(event) => event.target.select()}
                onChange={(event) => setDraft(event.target.value)}
                className="block w-full border-b border-soft bg-transparent py-0.5 text-sm text-ink focus:border-pine"
              />
            </label>
            {problem && (
              <p role="alert" className="mt-1 text-rowan">
                {problem}
              </p>
            )}
            <div className="mt-4 flex gap-2">
              <Button type="submit" look="primary" disabled={draft.trim() === ""}>
                Save the pattern
              </Button>
              <Button look="quiet" onClick={onClose}>
                Leave it
              </Button>
            </div>
          </form>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
