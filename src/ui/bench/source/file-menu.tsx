"use client";

/** The signature's HTML opened from disk and saved back: to the very file where the browser lets one, else as a download. */
import { File as FileIcon } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { useRef, useState } from "react";
import { toast } from "sonner";
import { compile, fileForms, fileNameOf, fileText } from "@/core/compile";
import type { NoteGroup } from "@/core/importing";
import type { Person } from "@/core/people";
import { saveFile } from "../../parts/files/save-file";
import { MenuPanel, menuItemClass } from "../../parts/menu-panel";
import { reportDialog } from "../../importing/lazy-report";
import { useBench } from "../bench-context";
import type { SourceHandle, SourceOf } from "./built-source";
import { filePickers, type PickedFile } from "./file-pickers";
import { openedFile } from "./opened-file";

interface Props {
  readonly signature: SourceOf;
  readonly person: Person | null;
  readonly base: string;
  readonly handle: SourceHandle | null;
}

const destination = "html-file";

export function FileMenu({ signature, person, base, handle }: Props) {
  const { editor } = useBench();
  const [file, setFile] = useState<PickedFile | null>(null);
  const [report, setReport] = useState<readonly NoteGroup[] | null>(null);
  const fallback = useRef<HTMLInputElement>(null);
  const name = fileNameOf(signature.name, fileForms[destination].ending);

  /** What is saved gives the very signature back when it is opened again. */
  const written = async (): Promise<string> => {
    handle?.sync.flush();
    const document = signature.current().doc;
    const { withUnsaid } = await import("@/core/importing");
    const html = compile(document, { destination, person, base });
    return fileText(withUnsaid(html, document), destination);
  };

  const attempt = (action: () => Promise<void>): void => {
    action().catch((error: unknown) => {
      // Whoever closes the choice of a file wants nothing.
      if ((error as Error).name !== "AbortError") toast.error((error as Error).message);
    });
  };

  const take = async (picked: PickedFile): Promise<void> => {
    const opened = await openedFile(await picked.read());
    editor.apply(({ tr }) => opened.onto(tr), { focus: false });
    setFile(picked.write ? picked : null);
    toast(`${picked.name} is the signature now. ${opened.said}`.trim(), {
      duration: 9000,
      ...(opened.groups.length > 0
        ? { action: { label: "Report", onClick: () => setReport(opened.groups) } }
        : {}),
    });
  };

  const open = (): void => {
    const pick = filePickers.open();
    if (pick) attempt(async () => take(await pick()));
    else fallback.current?.click();
  };
  const saveBack = (): void =>
    attempt(async () => {
      await file?.write?.(await written());
      toast(`Saved to ${file?.name}.`);
    });
  const saveAs = (): void =>
    attempt(async () => {
      const pick = filePickers.save();
      if (!pick) return saveFile(await written(), name, fileForms[destination].type);
      const picked = await pick(name);
      await picked.write?.(await written());
      setFile(picked);
      toast(`Saved to ${picked.name}.`);
    });

  return (
    <>
      <DropdownMenu.Root modal={false}>
        <DropdownMenu.Trigger
          aria-label="File"
          title="File"
          className="inline-flex h-7 min-w-7 items-center justify-center rounded-sm px-1 hover:bg-kelp data-[state=open]:bg-kelp"
        >
          <FileIcon size={15} aria-hidden />
        </DropdownMenu.Trigger>
        <MenuPanel className="min-w-64">
          <DropdownMenu.Item onSelect={open} className={menuItemClass}>
            Open a file from disk…
          </DropdownMenu.Item>
          <DropdownMenu.Item disabled={!file} onSelect={saveBack} className={menuItemClass}>
            {file ? `Save back to ${file.name}` : "Save back: no file is open"}
          </DropdownMenu.Item>
          <DropdownMenu.Item onSelect={saveAs} className={menuItemClass}>
            Save as a file: {name}
          </DropdownMenu.Item>
        </MenuPanel>
      </DropdownMenu.Root>
      <input
        ref={fallback}
        type="file"
        accept=".html,.htm,.txt,.json"
        aria-label="A file with the signature"
        tabIndex={-1}
        className="sr-only"
        onChange={(event) => {
          const [picked] = event.target.files ?? [];
          event.target.value = "";
          if (picked)
            attempt(() => take({ name: picked.name, read: () => Promise.resolve(picked), write: null }));
        }}
      />
      {report && <reportDialog.Component groups={report} onClose={() => setReport(null)} />}
    </>
  );
}
