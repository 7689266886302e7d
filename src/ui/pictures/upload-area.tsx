"use client";

import { FolderOpen, Upload, X } from "lucide-react";
import { useEffect } from "react";
import { FilePicker } from "../parts/files/file-picker";
import { IconButton } from "../parts/icon-button";
import { acceptedUploads } from "../parts/files/accepted-files";
import { useFileDrop } from "../parts/files/use-file-drop";
import { useUploads } from "./use-uploads";

/** What file systems leave in folders. */
const isHidden = ({ name }: File): boolean => /^(\.|Thumbs\.db$|desktop\.ini$)/i.test(name);

/** Nothing where there is none. */
const Sentences = ({
  sentences,
  ...own
}: {
  sentences: readonly string[];
  role: "alert" | "status";
  className?: string;
}) =>
  sentences.length > 0 && (
    <p {...own}>
      {sentences.map((sentence) => (
        <span key={sentence} className="block">
          {sentence}
        </span>
      ))}
    </p>
  );

/** Uploads by picker, folder, drop and paste, several at once, each with its progress. */
export function UploadArea() {
  const { uploads, takeAll, dismiss } = useUploads();
  const { over, handlers } = useFileDrop(takeAll);

  const pick = (files: readonly File[]): void => takeAll(files.filter((file) => !isHidden(file)));

  // Pasted wherever the focus is, but for fields that take the text of a paste.
  useEffect(() => {
    const onPaste = (event: ClipboardEvent): void => {
      const files = [...(event.clipboardData?.files ?? [])];
      if (files.length === 0) return;
      event.preventDefault();
      takeAll(files);
    };
    addEventListener("paste", onPaste);
    return () => removeEventListener("paste", onPaste);
  }, [takeAll]);

  return (
    <section
      aria-label="Upload"
      {...handlers}
      className={`border border-dashed px-4 py-3 ${over ? "border-pine bg-kelp" : "border-soft"}`}
    >
      <div className="flex flex-wrap items-center gap-3">
        <FilePicker look="primary" multiple accept={acceptedUploads} onPick={pick}>
          <Upload size={15} aria-hidden />
          Upload pictures
        </FilePicker>
        <FilePicker folder onPick={pick}>
          <FolderOpen size={15} aria-hidden />A whole folder
        </FilePicker>
        <span className="text-soft">
          PNG, JPEG, GIF, WebP, AVIF or SVG up to 20 MB, or a zip of them. Drop or paste works as well.
        </span>
      </div>
      <ul>
        {uploads.map(({ id, name, progress, problems, notes, stop }) => (
          <li key={id} className="mt-2 flex items-center gap-3">
            {problems.length + notes.length > 0 ? (
              <div>
                <Sentences role="alert" className="text-rowan" sentences={problems} />
                <Sentences role="status" sentences={notes} />
              </div>
            ) : (
              <>
                <span className="w-56 truncate">{name}</span>
                <progress
                  value={progress}
                  max={1}
                  aria-label={`Upload of ${name}`}
                  className="w-48 accent-pine"
                />
                <span className="text-soft">{progress >= 1 ? "Being looked at…" : ""}</span>
              </>
            )}
            <IconButton
              label={
                problems.length + notes.length > 0
                  ? `Dismiss the message about ${name}`
                  : `Stop the upload of ${name}`
              }
              onClick={() => (problems.length + notes.length > 0 ? dismiss(id) : stop())}
            >
              <X size={14} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
    </section>
  );
}
