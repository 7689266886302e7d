"use client";

import { Upload } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { Button, buttonClass } from "../../parts/button";
import { CopyButton } from "../../parts/copy-button";
import { formatCount } from "../../parts/format";
import { request } from "../../parts/request";

interface Props {
  readonly base: string;
  readonly files: readonly string[];
}

/** The stand-in web space: uploads to it are at its invented address. */
export function WebSpacePanel({ base, files }: Props) {
  const router = useRouter();
  const [problem, setProblem] = useState<string | null>(null);

  const upload = async (chosen: readonly File[]): Promise<void> => {
    setProblem(null);
    try {
      for (const file of chosen) {
        const form = new FormData();
        form.set("file", file);
        const response = await fetch("/api/web-space", { method: "POST", body: form });
        const answer = (await response.json()) as { error?: { message: string } };
        if (answer.error) throw new Error(answer.error.message);
      }
      router.refresh();
    } catch (error) {
      setProblem((error as Error).message);
    }
  };

  return (
    <section aria-label="Stand-in web space" id="web-space" className="border-t border-pine pt-3">
      <h2 className="font-serif text-xl">A web space to try publishing on</h2>
      <p className="text-soft">
        Sedgeweb takes pictures, or a zip of them. What is uploaded is at{" "}
        <span className="font-mono text-xs">{base}/</span>
        <CopyButton label="Copy the address of the web space" text={base} />
      </p>
      <div className="mt-2 flex items-center gap-3">
        <label
          className={`${buttonClass("plain")} cursor-pointer focus-within:outline-2 focus-within:outline-pine`}
        >
          <Upload size={15} aria-hidden />
          Upload to Sedgeweb
          <input
            type="file"
            multiple
            className="sr-only"
            onChange={(event) => {
              const chosen = [...(event.target.files ?? [])];
              event.target.value = "";
              void upload(chosen);
            }}
          />
        </label>
        {files.length > 0 && (
          <Button
            look="quiet"
            onClick={() => void request("DELETE", "/api/web-space").then(() => router.refresh())}
          >
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
