"use client";

/** A source that can be read, searched by the browser and copied, and not changed. */
import { useEffect, useRef } from "react";
import type { EditorView } from "@codemirror/view";
import { Download } from "lucide-react";
import { CopyButton } from "../../parts/copy-button";
import { IconButton } from "../../parts/icon-button";
import { createCodeView } from "./code-view";
import { changeBetween } from "./source-sync";

interface Props {
  readonly text: string;
  /** Keeps it as a file; null where it is nobody's file. */
  readonly onSave: (() => void) | null;
}

export function ReadSource({ text, onSave }: Props) {
  const holder = useRef<HTMLDivElement>(null);
  const view = useRef<EditorView | null>(null);
  useEffect(() => {
    if (!holder.current) return;
    view.current = createCodeView({
      parent: holder.current,
      text: "",
      label: "Source, to read",
      editable: false,
    });
    return () => view.current?.destroy();
  }, []);
  useEffect(() => {
    const changes = view.current && changeBetween(view.current.state.doc.toString(), text);
    if (changes) view.current?.dispatch({ changes });
  }, [text]);
  return (
    <>
      <div ref={holder} className="min-h-0 flex-1 overflow-hidden" />
      <div className="flex min-h-9 items-center gap-2 border-t border-hairline px-3 py-1 text-sm text-soft">
        <span className="flex-1">This is what is made of the signature; it is changed as it is built.</span>
        {onSave && (
          <IconButton label="Save this as a file" onClick={onSave}>
            <Download size={14} aria-hidden />
          </IconButton>
        )}
        <CopyButton label="Copy this source" text={text} />
      </div>
    </>
  );
}
