"use client";

import { useState } from "react";
import { toast } from "sonner";
import { endpoints } from "@/contract";
import { ask } from "../../parts/asking/ask";
import { Button } from "../../parts/button";
import { DialogFrame } from "../../parts/dialog-frame";

interface Props {
  readonly signatureId: string;
  readonly name: string;
  /** Whether what is on the sheet is saved: the pattern is made of that. */
  readonly saved: boolean;
  readonly onClose: () => void;
}

/** Saving a signature as a pattern that others are started from. */
export function PatternDialog({ signatureId, name, saved, onClose }: Props) {
  const [draft, setDraft] = useState(name);
  const [problem, setProblem] = useState<string | null>(null);
  const save = async (): Promise<void> => {
    try {
      await ask(endpoints.savePattern, { body: { signatureId, name: draft } });
      toast(`“${draft.trim()}” is a pattern now. You find it where signatures are started.`);
      onClose();
    } catch (error) {
      setProblem((error as Error).message);
    }
  };
  return (
    <DialogFrame
      title="Save as a pattern"
      description="Layout, type, words and pictures as they are saved now. Fields stay bound to the directory."
      onClose={onClose}
      className="w-[440px]"
    >
      <form
        className="mt-3"
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
          <Button type="submit" look="primary" disabled={draft.trim() === "" || !saved}>
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
