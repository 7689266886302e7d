"use client";

import { AlertDialog } from "radix-ui";
import { useContext, useState } from "react";
import { compile } from "@/core/compile";
import type { Person } from "@/core/people";
import { parseSignature } from "@/core/signature";
import { Button } from "../../parts/button";
import { FocusHome, useFocusBack } from "../../parts/focus-home";
import { localPictures } from "../../parts/drawing/local-pictures";
import { SignatureFrame } from "../../parts/drawing/signature-frame";
import type { EditedSignature } from "./use-signature";

interface VersionProps {
  readonly title: string;
  readonly html: string;
  readonly action: string;
  readonly primary: boolean;
  readonly busy: boolean;
  readonly onKeep: () => void;
}

function Version({ title, html, action, primary, busy, onKeep }: VersionProps) {
  return (
    <div>
      <h3 className="mb-1 text-sm">{title}</h3>
      <div className="border border-hairline bg-canvas p-1">
        <SignatureFrame html={html} label={title} width={490} highest={200} />
      </div>
      <Button look={primary ? "primary" : "plain"} className="mt-3" disabled={busy} onClick={onKeep}>
        {action}
      </Button>
    </div>
  );
}

interface Props {
  readonly signature: EditedSignature;
  readonly person: Person | null;
  readonly base: string;
}

/** Two versions of one signature: both are shown, one goes on, and the other gets a place on the Shelf. */
export function ConflictDialog({ signature, person, base }: Props) {
  const focusBack = useFocusBack();
  const focusHome = useContext(FocusHome);
  const [busy, setBusy] = useState(false);
  const { name, state, saving, settle } = signature;
  if (saving.kind !== "stale") return null;
  const drawn = (document: typeof state.doc): string =>
    localPictures(compile(document, { destination: "webmail-paste", person, base }), base);
  const keep = async (which: "mine" | "saved"): Promise<void> => {
    setBusy(true);
    // Keys come before the dialog has given the focus back by itself.
    if (await settle(which)) focusHome?.();
    setBusy(false);
  };
  return (
    <AlertDialog.Root open>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-30 bg-ink/30" />
        <AlertDialog.Content
          onCloseAutoFocus={focusBack}
          className="fixed left-1/2 top-1/2 z-30 w-[1080px] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 rounded-sm border border-hairline bg-paper p-6"
        >
          <AlertDialog.Title className="font-serif text-2xl">Two versions of “{name}”</AlertDialog.Title>
          <AlertDialog.Description className="mt-1 text-soft">
            The same place was changed here and in another window. Nothing is lost: one goes on, and the other
            is kept among the versions.
          </AlertDialog.Description>
          <div className="mt-4 grid grid-cols-2 gap-6">
            <Version
              title="Yours, in this window"
              html={drawn(state.doc)}
              action="Go on with yours"
              primary
              busy={busy}
              onKeep={() => void keep("mine")}
            />
            <Version
              title="Saved from the other window"
              html={drawn(parseSignature(saving.saved))}
              action="Go on with the saved one"
              primary={false}
              busy={busy}
              onKeep={() => void keep("saved")}
            />
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
