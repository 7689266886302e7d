"use client";

import { Check, Copy, OctagonX, Pencil, Trash2, TriangleAlert } from "lucide-react";
import Link from "next/link";
import { useState } from "react";
import type { ShelfCard as Signature } from "@/contract";
import { formatBytes, formatCount } from "../parts/format";
import { IconButton } from "../parts/icon-button";
import { localPictures } from "../parts/drawing/local-pictures";
import { SignatureFrame } from "../parts/drawing/signature-frame";

interface Props {
  readonly signature: Signature;
  readonly onRename: (name: string) => Promise<unknown>;
  readonly onDuplicate: () => Promise<unknown>;
  readonly onDelete: () => Promise<void>;
}

/** Its links fetch nothing ahead: a shelf of forty would ask for eighty pages that nobody opens. */
export function ShelfCard({ signature, onRename, onDuplicate, onDelete }: Props) {
  const { id, name, personName, html, base, weight, findings, breaking, stillness, lateInstalls } = signature;
  const [renaming, setRenaming] = useState(false);
  return (
    <div className="border-t border-pine pt-2">
      <div className="flex items-baseline gap-2.5">
        {renaming ? (
          <RenameField
            name={name}
            onDone={(wanted) => {
              setRenaming(false);
              if (wanted !== null) void onRename(wanted);
            }}
          />
        ) : (
          <h2 className="min-w-0 truncate font-serif text-xl">
            <Link href={`/signatures/${id}`} prefetch={false} className="rounded-sm hover:text-pine">
              {name}
            </Link>
          </h2>
        )}
        <span className="min-w-0 truncate text-soft">
          {personName ? `for ${personName}` : "for nobody yet"}
        </span>
        <span className="ml-auto">
          <Verdict findings={findings} breaking={breaking} />
        </span>
      </div>
      <Link
        href={`/signatures/${id}`}
        prefetch={false}
        aria-label={`Open ${name}`}
        className="mt-2 block border border-hairline bg-canvas p-2 hover:border-pine"
      >
        <SignatureFrame
          html={localPictures(html, base)}
          label={`${name}, as it looks`}
          width={560}
          highest={196}
          fit
        />
      </Link>
      <div className="mt-1 flex items-center gap-1 text-soft">
        <IconButton label={`Rename ${name}`} onClick={() => setRenaming(true)}>
          <Pencil size={15} aria-hidden />
        </IconButton>
        <IconButton label={`Duplicate ${name}`} onClick={() => void onDuplicate()}>
          <Copy size={15} aria-hidden />
        </IconButton>
        <IconButton label={`Delete ${name}`} onClick={() => void onDelete()}>
          <Trash2 size={15} aria-hidden />
        </IconButton>
        <span className="ml-auto whitespace-nowrap">
          {lateInstalls > 0 && (
            <>
              <Link
                href={`/signatures/${id}/install`}
                prefetch={false}
                className="rounded-sm text-clay underline hover:text-pine"
              >
                {formatCount(lateInstalls, "install")} out of date
              </Link>
              {" · "}
            </>
          )}
          {stillness && (
            <Link
              href={`/signatures/${id}/proof`}
              prefetch={false}
              className={`rounded-sm underline hover:text-pine ${stillness.still < stillness.all ? "text-clay" : ""}`}
            >
              still in {stillness.still} of {stillness.all}
            </Link>
          )}
          {stillness && " · "}
          {html.length.toLocaleString("en")} characters · {formatBytes(weight)}
        </span>
      </div>
    </div>
  );
}

/** The worst that is open, in words and as a sign, so that it is not told by colour alone. */
function Verdict({ findings, breaking }: Pick<Signature, "findings" | "breaking">) {
  const [tone, Sign, words] =
    breaking > 0
      ? ([
          "text-rowan",
          OctagonX,
          `${breaking} will break${findings > breaking ? ` · ${findings - breaking} more` : ""}`,
        ] as const)
      : findings > 0
        ? (["text-clay", TriangleAlert, formatCount(findings, "finding")] as const)
        : (["text-lichen", Check, "ready"] as const);
  return (
    <span className={`flex items-center gap-1 self-center whitespace-nowrap font-medium ${tone}`}>
      <Sign size={14} aria-hidden />
      {words}
    </span>
  );
}

function RenameField({ name, onDone }: { name: string; onDone: (name: string | null) => void }) {
  const [draft, setDraft] = useState(name);
  const finish = (): void => onDone(draft.trim() && draft.trim() !== name ? draft.trim() : null);
  return (
    <input
      autoFocus
      aria-label="New name"
      value={draft}
      maxLength={80}
      onChange={(event) => setDraft(event.target.value)}
      onFocus={(event) => event.target.select()}
      onBlur={finish}
      onKeyDown={(event) => {
        if (event.key === "Enter") finish();
        if (event.key === "Escape") onDone(null);
      }}
      className="w-56 border-b border-pine bg-transparent font-serif text-xl"
    />
  );
}
