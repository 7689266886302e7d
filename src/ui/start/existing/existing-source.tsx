"use client";

import { FileUp } from "lucide-react";
import { useState } from "react";
import { FilePicker } from "../../parts/files/file-picker";
import { useFileDrop } from "../../parts/files/use-file-drop";
import type * as existingReader from "./read-existing";
import type { Existing } from "./read-existing";

interface Props {
  readonly disabled: boolean;
  readonly onRead: (existing: Existing) => void;
}

type Reader = typeof existingReader;

/** What reads is loaded when something is brought. */
const loadReader = (): Promise<Reader> => import("./read-existing");

const accepted = ".html,.htm,.xhtml,.eml,.mht,.mhtml,.webarchive,.json,.txt,text/html,message/rfc822";

/** Bringing what somebody has: dropped, chosen or pasted. */
export function ExistingSource({ disabled, onRead }: Props) {
  const [reading, setReading] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);

  const read = async (how: (reader: Reader) => Promise<Existing>): Promise<void> => {
    setReading(true);
    setTrouble(null);
    try {
      const reader = await loadReader();
      await how(reader).then(onRead, (error: unknown) => setTrouble(reader.troubleOf(error)));
    } catch {
      setTrouble("What reads it could not be loaded: look at the connection, and try again.");
    } finally {
      setReading(false);
    }
  };
  const take = ([file]: readonly File[]): void => {
    if (file) void read(({ readExistingFile }) => readExistingFile(file));
  };
  const { over, handlers } = useFileDrop(take);

  return (
    <div
      {...handlers}
      className={`border border-dashed px-3 py-3 ${over ? "border-pine bg-kelp" : "border-soft"}`}
    >
      <FilePicker look="primary" accept={accepted} disabled={disabled || reading} onPick={take}>
        <FileUp size={15} aria-hidden />
        Choose a file
      </FilePicker>
      <p className="mt-2 text-xs text-soft">
        HTML, a mail, a web page saved in one file, a web archive, or a signature of Still Line. Or drop it
        here.
      </p>
      <textarea
        aria-label="Paste a copied signature, or its HTML"
        placeholder="Or paste a copied signature, or its HTML, here"
        rows={2}
        value=""
        disabled={disabled || reading}
        onChange={() => undefined}
        onPaste={(event) => {
          event.preventDefault();
          const { clipboardData } = event;
          const [file] = clipboardData.files;
          const html = clipboardData.getData("text/html");
          if (html === "" && file) return take([file]);
          const plain = clipboardData.getData("text/plain");
          void read(({ readExistingPaste }) => readExistingPaste(html, plain));
        }}
        className="mt-2 block w-full resize-none border border-hairline bg-sheet px-2 py-1.5 text-sm"
      />
      {reading && (
        <p role="status" className="mt-1 text-sm text-soft">
          Reading…
        </p>
      )}
      {trouble !== null && (
        <p role="alert" className="mt-1 text-sm text-rowan">
          {trouble}
        </p>
      )}
    </div>
  );
}
