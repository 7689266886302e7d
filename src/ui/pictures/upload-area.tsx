"use client";

import { Upload, X } from "lucide-react";
import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import { buttonClass } from "../parts/button";
import { IconButton } from "../parts/icon-button";
import { acceptedPictures, uploadPicture } from "../parts/upload-picture";

interface Upload {
  readonly id: number;
  readonly name: string;
  /** 0 to 1. */
  readonly progress: number;
  readonly problem: string | null;
  readonly stop: () => void;
}

/** Uploads by picker, drop and paste, several at once, each with its progress. */
export function UploadArea() {
  const router = useRouter();
  const [uploads, setUploads] = useState<readonly Upload[]>([]);
  const [over, setOver] = useState(false);
  const next = useRef(0);

  const change = (id: number, patch: Partial<Upload> | null): void =>
    setUploads((all) =>
      patch === null
        ? all.filter((upload) => upload.id !== id)
        : all.map((upload) => (upload.id === id ? { ...upload, ...patch } : upload)),
    );

  const take = async (file: File): Promise<void> => {
    const id = next.current++;
    const controller = new AbortController();
    const stop = (): void => controller.abort();
    setUploads((all) => [...all, { id, name: file.name, progress: 0, problem: null, stop }]);
    try {
      await uploadPicture(file, (progress) => change(id, { progress }), controller.signal);
      change(id, null);
      router.refresh();
    } catch (error) {
      change(id, { problem: (error as Error).message });
    }
  };

  const takeAll = (files: Iterable<File>): void => {
    for (const file of files) void take(file);
  };

  return (
    <section
      aria-label="Upload"
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        takeAll(event.dataTransfer.files);
      }}
      onPaste={(event) => takeAll(event.clipboardData.files)}
      className={`border border-dashed px-4 py-3 ${over ? "border-pine bg-kelp" : "border-soft"}`}
    >
      <div className="flex items-center gap-3">
        <label
          className={`${buttonClass("primary")} cursor-pointer focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-pine`}
        >
          <Upload size={15} aria-hidden />
          Upload pictures
          <input
            type="file"
            multiple
            accept={acceptedPictures}
            className="sr-only"
            onChange={(event) => {
              takeAll(event.target.files ?? []);
              event.target.value = "";
            }}
          />
        </label>
        <span className="text-soft">PNG or JPEG, up to 20 MB each. Drop or paste them here as well.</span>
      </div>
      <ul>
        {uploads.map(({ id, name, progress, problem, stop }) => (
          <li key={id} className="mt-2 flex items-center gap-3">
            {problem ? (
              <span role="alert" className="text-rowan">
                {problem}
              </span>
            ) : (
              <>
                <span className="w-56 truncate">{name}</span>
                <progress
                  value={progress}
                  max={1}
                  aria-label={`Upload of ${name}`}
                  className="w-48 accent-pine"
                />
              </>
            )}
            <IconButton
              label={problem ? `Dismiss the message about ${name}` : `Stop the upload of ${name}`}
              onClick={() => (problem ? change(id, null) : stop())}
            >
              <X size={14} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
    </section>
  );
}
