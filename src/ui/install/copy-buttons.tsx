"use client";

import { ClipboardCopy, Code } from "lucide-react";
import { useState } from "react";
import { toast } from "sonner";
import type { WrittenForms } from "@/contract";
import { Button, buttonClass } from "../parts/button";
import { copyToClipboard } from "../parts/clipboard";
import { localPictures } from "../parts/drawing/local-pictures";
import { SignatureFrame } from "../parts/drawing/signature-frame";

interface CopyProps extends WrittenForms {
  readonly base: string;
  /** Is told each time that something was copied. */
  readonly onCopied: () => void;
}

/** The signature as it looks, or its source, on the clipboard. */
export function CopyButtons({ html, plainText, base, onCopied }: CopyProps) {
  const [showing, setShowing] = useState(false);
  const [refused, setRefused] = useState(false);
  const copy = (content: { text: string; html?: string }, said: string): void => {
    setRefused(false);
    if (copyToClipboard(content)) {
      toast(said);
      onCopied();
    } else setRefused(true);
  };
  return (
    <>
      <div className="flex flex-wrap gap-2">
        <Button
          look="primary"
          onClick={() =>
            copy({ text: plainText, html }, "Copied as it looks. Paste it into your webmail's signature box.")
          }
        >
          <ClipboardCopy size={16} aria-hidden />
          Copy the signature
        </Button>
        <Button onClick={() => copy({ text: html }, "The source is copied.")}>
          <Code size={16} aria-hidden />
          Copy the source
        </Button>
        <Button onClick={() => copy({ text: plainText }, "The plain text is copied.")}>
          Copy plain text
        </Button>
        <button
          type="button"
          className={buttonClass("quiet")}
          aria-expanded={showing}
          onClick={() => setShowing(!showing)}
        >
          {showing ? "Hide the source" : "Show the source"}
        </button>
      </div>
      {refused && <ToSelect html={localPictures(html, base)} />}
      {showing && (
        <pre
          tabIndex={0}
          aria-label="Source"
          className="mt-3 max-h-64 overflow-auto whitespace-pre-wrap border border-hairline bg-sheet p-3 font-mono text-xs [overflow-wrap:anywhere]"
        >
          {html}
        </pre>
      )}
    </>
  );
}

/** Where a browser gives no clipboard: the signature to be selected and copied by hand. */
const ToSelect = ({ html }: { readonly html: string }) => (
  <div role="alert" className="mt-3">
    <p className="pb-1 text-sm text-rowan">
      The browser did not let it be copied. Click into the frame, select everything in it and copy it, with
      the keys that you use elsewhere.
    </p>
    <div className="w-fit max-w-full border border-hairline bg-canvas p-1">
      <SignatureFrame html={html} label="The signature, to be selected" width={640} followable />
    </div>
  </div>
);
