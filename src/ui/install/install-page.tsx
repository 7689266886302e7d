"use client";

import { ClipboardCopy, Code, Download } from "lucide-react";
import { useState } from "react";
import { toast } from "sonner";
import type { Finding } from "@/core/checks";
import { Button, buttonClass } from "../parts/button";
import { copyToClipboard } from "../parts/clipboard";
import { localPictures } from "../parts/drawing/local-pictures";
import { SignatureFrame } from "../parts/drawing/signature-frame";
import { fileNameOf, saveFile } from "../parts/files/save-file";
import { FindingList } from "../signature/finding-list";
import { FormSwitch, type Form } from "../signature/form-switch";

/** One form of a signature, compiled for each way out. */
export interface CompiledForms {
  /** For pasting. */
  readonly html: string;
  readonly plainText: string;
  /** The whole file for a document engine. */
  readonly file: string;
}

interface Props {
  readonly name: string;
  readonly revision: number;
  readonly full: CompiledForms;
  /** What a reply holds; null where that is the whole. */
  readonly short: CompiledForms | null;
  readonly base: string;
  readonly findings: readonly Finding[];
}

const fileName = (name: string, form: Form): string =>
  fileNameOf(form === "short" ? `${name} in replies` : name, ".htm");

/** The ways out: copied as it looks, as source, or as a file. */
export function InstallPage({ name, revision, full, short, base, findings }: Props) {
  const [showing, setShowing] = useState(false);
  const [form, setForm] = useState<Form>("full");
  const { html, plainText, file } = form === "short" ? (short ?? full) : full;

  const copy = (content: { text: string; html?: string }, said: string): void => {
    if (copyToClipboard(content)) toast(said);
    else toast.error("The browser did not let it be copied. Download the file instead.");
  };

  const download = (): void => saveFile(file, fileName(name, form));

  return (
    <div className="grid grid-cols-[minmax(0,1fr)_300px] gap-8">
      <div>
        <div className="flex items-baseline gap-3 pb-3">
          <h1 className="font-serif text-2xl">Install</h1>
          <p className="text-soft">
            version {revision} · {html.length.toLocaleString("en")} of 10,000 characters
          </p>
          {short && (
            <div className="ml-auto">
              <FormSwitch form={form} onChange={setForm} />
            </div>
          )}
        </div>
        <div className="w-fit max-w-full border border-hairline bg-canvas p-1">
          <SignatureFrame
            html={localPictures(html, base)}
            label={`${name}, as it will be installed`}
            width={640}
          />
        </div>
        {form === "short" && (
          <p className="mt-2 text-soft">
            This is the form for answers. Install it beside the full one where your mail has a box for
            replies; it follows every change of the full form.
          </p>
        )}
        <section className="mt-6 border-t border-pine pt-3">
          <h2 className="font-serif text-lg">Webmail settings</h2>
          <ol className="my-2 list-decimal space-y-0.5 pl-5">
            <li>Copy the signature with the button below.</li>
            <li>Open the settings of your webmail and find the box for a signature.</li>
            <li>Empty the box, click into it and paste.</li>
            <li>Save there, write to yourself, and look at what arrives.</li>
          </ol>
          <div className="flex flex-wrap gap-2">
            <Button
              look="primary"
              onClick={() =>
                copy(
                  { text: plainText, html },
                  "Copied as it looks. Paste it into your webmail's signature box.",
                )
              }
            >
              <ClipboardCopy size={16} aria-hidden />
              Copy the signature
            </Button>
            <Button onClick={() => copy({ text: html }, "The source is copied.")}>
              <Code size={16} aria-hidden />
              Copy the source
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
          {showing && (
            <pre
              tabIndex={0}
              aria-label="Source"
              className="mt-3 max-h-64 overflow-auto whitespace-pre-wrap border border-hairline bg-sheet p-3 font-mono text-xs [overflow-wrap:anywhere]"
            >
              {html}
            </pre>
          )}
        </section>
        <section className="mt-6 border-t border-pine pt-3">
          <h2 className="font-serif text-lg">Desktop mail that reads a file</h2>
          <ol className="my-2 list-decimal space-y-0.5 pl-5">
            <li>Download the file. Its pictures stay at their addresses.</li>
            <li>Close the mail program, and put the file into its folder of signatures.</li>
            <li>Open the program and choose the signature by the file&apos;s name.</li>
          </ol>
          <Button onClick={download}>
            <Download size={16} aria-hidden />
            Download {fileName(name, form)}
          </Button>
        </section>
      </div>
      <aside aria-label="Findings">
        <h2 className="mb-3 font-serif text-2xl">Before you install</h2>
        <FindingList findings={findings} empty="Nothing stands in the way." />
      </aside>
    </div>
  );
}
