"use client";

import { useRef, useState } from "react";
import { endpoints } from "@/contract";
import { standIns } from "@/core/clients";
import { ask } from "../parts/asking/ask";
import { RichBox, writtenIn } from "./rich-box";

const limit = standIns["webmail-inline"].signatureLimit!;

/** The stand-in's settings: a box that takes a pasted signature and keeps it. */
export function Preferences({ personId, kept }: { personId: string; kept: string }) {
  const box = useRef<HTMLDivElement>(null);
  const [length, setLength] = useState(kept.length);
  const [said, setSaid] = useState<{ text: string; good: boolean } | null>(null);
  const [busy, setBusy] = useState(false);

  const changed = (): void => {
    setLength(writtenIn(box.current).length);
    setSaid({ text: "Not kept yet.", good: true });
  };

  const keep = async (): Promise<void> => {
    setBusy(true);
    try {
      const answer = await ask(endpoints.keepMailroomSignature, {
        params: { person: personId },
        body: { html: writtenIn(box.current) },
      });
      setLength(answer.html.length);
      setSaid({ text: "Kept. It goes under every new letter.", good: true });
    } catch (error) {
      setSaid({ text: (error as Error).message, good: false });
    }
    setBusy(false);
  };

  return (
    <>
      <p className="mb-2 mt-4 font-semibold">What goes under your letters</p>
      <RichBox
        label="What goes under your letters"
        box={box}
        initial={kept}
        onChange={changed}
        className="min-h-56"
      />
      <div className="mt-3 flex items-center gap-4">
        <button type="button" className="mm-button" disabled={busy} onClick={() => void keep()}>
          Keep it
        </button>
        <button
          type="button"
          className="text-(--mm-act) underline"
          onClick={() => {
            if (!box.current) return;
            box.current.innerHTML = "";
            box.current.focus();
            changed();
          }}
        >
          Empty the box
        </button>
        <span
          className={`ml-auto text-sm ${length > limit ? "font-semibold text-(--mm-wrong)" : "text-(--mm-soft)"}`}
        >
          {length.toLocaleString("en")} of {limit.toLocaleString("en")} characters
        </span>
      </div>
      <p
        role="status"
        className={`mt-2 min-h-5 ${said && !said.good ? "text-(--mm-wrong)" : "text-(--mm-soft)"}`}
      >
        {said?.text}
      </p>
    </>
  );
}
