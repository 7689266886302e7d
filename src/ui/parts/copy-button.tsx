"use client";

import { Check, Copy } from "lucide-react";
import { useState } from "react";
import { toast } from "sonner";
import { IconButton } from "./icon-button";
import { copyToClipboard } from "./clipboard";

/** Copies a piece of text and says so. */
export function CopyButton({ label, text }: { label: string; text: string }) {
  const [done, setDone] = useState(false);
  return (
    <IconButton
      label={label}
      onClick={() => {
        if (!copyToClipboard({ text })) return void toast.error("The browser did not let it be copied.");
        setDone(true);
        setTimeout(() => setDone(false), 1500);
      }}
    >
      {done ? <Check size={14} aria-hidden className="text-lichen" /> : <Copy size={14} aria-hidden />}
      <span aria-live="polite" className="sr-only">
        {done ? "Copied" : ""}
      </span>
    </IconButton>
  );
}
