"use client";

import { FileUp } from "lucide-react";
import { useState } from "react";
import { toast } from "sonner";
import { formatBytes } from "../../parts/format";
import { FilePicker } from "../../parts/files/file-picker";
import { useFileDrop } from "../../parts/files/use-file-drop";
import type { ListSource } from "./use-list";

interface Props {
  readonly onChoose: (source: ListSource) => void;
}

/** The most that a list weighs; bytes. */
const largest = 64 * 1024 * 1024;

const isBook = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b;

/** Where a list comes from: a file, or cells that were copied. */
export function ChooseList({ onChoose }: Props) {
  const [pasted, setPasted] = useState("");
  const take = async (files: readonly File[]): Promise<void> => {
    const [file, ...others] = files;
    if (!file) return;
    if (others.length > 0) toast(`One list at a time: ${file.name} is read.`);
    if (file.size > largest)
      return void toast.error(
        `${file.name} has ${formatBytes(file.size)}; a list may have ${formatBytes(largest)}.`,
      );
    const bytes = new Uint8Array(await file.arrayBuffer());
    if (bytes.length === 0) return void toast.error(`${file.name} is empty.`);
    if (isBook(bytes))
      return void toast.error(
        `${file.name} is a workbook or an archive: save the sheet as CSV, or copy its cells and paste them here.`,
      );
    onChoose({ name: file.name, content: bytes });
  };
  const drop = useFileDrop((files) => void take(files));
  const read = (text: string): void => {
    if (text.trim() !== "") onChoose({ name: "Pasted cells", content: text });
  };
  return (
    <div className="grid gap-6 border-t border-pine pt-6 md:grid-cols-2">
      <section
        aria-labelledby="a-file"
        {...drop.handlers}
        className={`flex min-h-64 flex-col items-center justify-center gap-3 rounded-sm border border-dashed p-6 text-center ${drop.over ? "border-pine bg-kelp" : "border-soft"}`}
      >
        <FileUp size={28} aria-hidden className="text-soft" />
        <h2 id="a-file" className="font-serif text-xl">
          A file
        </h2>
        <p className="max-w-sm text-soft">
          Drop it here: a table that a spreadsheet saved as CSV, or contact cards of an address book (.vcf).
          Commas, semicolons and all alphabets are found by themselves.
        </p>
        <FilePicker
          look="primary"
          accept=".csv,.tsv,.txt,.vcf,text/csv,text/vcard,text/plain,text/tab-separated-values"
          onPick={(files) => void take(files)}
        >
          Choose a file
        </FilePicker>
      </section>
      <section aria-labelledby="cells" className="flex flex-col">
        <h2 id="cells" className="font-serif text-xl">
          Cells from a spreadsheet
        </h2>
        <p id="cells-how" className="mb-2 text-soft">
          Select them there with the names of their columns, copy them, and paste them here.
        </p>
        <textarea
          aria-labelledby="cells"
          aria-describedby="cells-how"
          value={pasted}
          onChange={(event) => setPasted(event.target.value)}
          onPaste={(event) => {
            event.preventDefault();
            read(event.clipboardData.getData("text/plain"));
          }}
          onKeyDown={(event) => {
            if (event.key === "Enter" && (event.ctrlKey || event.metaKey)) read(pasted);
          }}
          placeholder={"Name\tTitle\tMail"}
          className="min-h-40 flex-1 resize-none rounded-sm border border-hairline bg-sheet p-2 font-mono text-xs"
        />
        <button
          type="button"
          disabled={pasted.trim() === ""}
          onClick={() => read(pasted)}
          className="mt-2 self-start text-pine underline disabled:opacity-40"
        >
          Read what is written here
        </button>
      </section>
    </div>
  );
}
