"use client";

import { Upload } from "lucide-react";
import { useRouter } from "next/navigation";
import { endpoints } from "@/contract";
import { ask, send } from "../../parts/asking/ask";
import { Button } from "../../parts/button";
import { CopyButton } from "../../parts/copy-button";
import { FilePicker } from "../../parts/files/file-picker";
import { formatCount } from "../../parts/format";
import { useAttempt } from "../../parts/asking/use-attempt";

interface Props {
  readonly base: string;
  readonly files: readonly string[];
}

/** The invented web space: uploads to it are at its invented address. */
export function WebSpacePanel({ base, files }: Props) {
  const router = useRouter();
  const { busy, problem, attempt } = useAttempt();

  const upload = (files: readonly File[]): Promise<boolean> =>
    attempt(async () => {
      for (const file of files) await send(endpoints.uploadToWebSpace, { file });
      router.refresh();
    });

  return (
    <section aria-label="Invented web space" id="web-space" className="border-t border-pine pt-3">
      <h2 className="font-serif text-xl">A web space to try publishing on</h2>
      <p className="text-soft">Sedgeweb takes pictures, or a zip of them. What is uploaded is at</p>
      <p className="flex items-center gap-1">
        <span className="font-mono text-xs">{base}/</span>
        <CopyButton label="Copy the address of the web space" text={base} />
      </p>
      <div className="mt-2 flex items-center gap-3">
        <FilePicker multiple disabled={busy} onPick={(chosen) => void upload(chosen)}>
          <Upload size={15} aria-hidden />
          Upload to Sedgeweb
        </FilePicker>
        {files.length > 0 && (
          <Button look="quiet" onClick={() => void ask(endpoints.emptyWebSpace).then(() => router.refresh())}>
            Empty it
          </Button>
        )}
        <span role="status" className="min-w-0 truncate text-soft" title={files.join(", ")}>
          {files.length === 0
            ? "Nothing is there yet."
            : `${formatCount(files.length, "file")}: ${files.join(", ")}`}
        </span>
      </div>
      {problem && (
        <p role="alert" className="mt-2 text-rowan">
          {problem}
        </p>
      )}
    </section>
  );
}
