"use client";

import { AlertDialog } from "radix-ui";
import { useState } from "react";
import { Button } from "../parts/button";
import { SignatureFrame } from "../parts/signature-frame";

interface Props {
  readonly name: string;
  /** Compiled HTML of both versions. */
  readonly mine: string;
  readonly saved: string;
  readonly onKeep: (keep: "mine" | "saved") => Promise<void>;
  /** Called once it is gone, so that work goes on where it was. */
  readonly onClosed: () => void;
}

/** Two versions of one signature: both are shown, one goes on, and the other gets a place on the Shelf. */
export function StaleDialog({ name, mine, saved, onKeep, onClosed }: Props) {
  const [busy, setBusy] = useState(false);
  const keep = async (which: "mine" | "saved"): Promise<void> => {
    setBusy(true);
    await onKeep(which);
    setBusy(false);
  };
  return (
    <AlertDialog.Root open>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-30 bg-ink/30" />
        <AlertDialog.Content
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            onClosed();
          }}
          className="fixed left-1/2 top-1/2 z-30 w-[1080px] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 rounded-sm border border-hairline bg-paper p-6"
        >
          <AlertDialog.Title className="font-serif text-2xl">Two versions of “{name}”</AlertDialog.Title>
          <AlertDialog.Description className="mt-1 text-soft">
            It was changed in another window since you opened it here. Nothing is lost: one version goes on,
            and the other is put on the Shelf as a signature of its own.
          </AlertDialog.Description>
          <div className="mt-4 grid grid-cols-2 gap-6">
            {(
              [
                { keep: "mine", title: "Yours, in this window", html: mine, action: "Go on with yours" },
                {
                  keep: "saved",
                  title: "Saved from the other window",
                  html: saved,
                  action: "Go on with the saved one",
                },
              ] as const
            ).map((version) => (
              <div key={version.keep}>
                <h3 className="mb-1 text-sm">{version.title}</h3>
                <div className="border border-hairline bg-white p-1">
                  <SignatureFrame html={version.html} label={version.title} width={490} height={200} />
                </div>
                <Button
                  look={version.keep === "mine" ? "primary" : "plain"}
                  className="mt-3"
                  disabled={busy}
                  onClick={() => void keep(version.keep)}
                >
                  {version.action}
                </Button>
              </div>
            ))}
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
