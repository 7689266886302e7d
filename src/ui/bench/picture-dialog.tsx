"use client";

import { Upload } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { buttonClass } from "../parts/button";
import { DialogFrame } from "../parts/dialog-frame";
import { formatBytes, formatSize } from "../parts/format";
import { request } from "../parts/request";
import { acceptedPictures, uploadPicture, type UploadedOriginal } from "../parts/upload-picture";

interface Props {
  readonly onClose: () => void;
  readonly onChoose: (original: UploadedOriginal) => Promise<void>;
}

/** Choosing a picture for a cell: an original that is here already, or a new one. */
export function PictureDialog({ onClose, onChoose }: Props) {
  return (
    <DialogFrame
      title="Place a picture"
      description="It is cut to fit the cell; its exact size is set afterwards."
      onClose={onClose}
      className="flex w-[760px] flex-col"
    >
      <Chooser onChoose={onChoose} />
    </DialogFrame>
  );
}

function Chooser({ onChoose }: Pick<Props, "onChoose">) {
  const [originals, setOriginals] = useState<readonly UploadedOriginal[] | null>(null);
  const [progress, setProgress] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const upload = useRef<AbortController | null>(null);

  useEffect(() => {
    request<{ originals: readonly UploadedOriginal[] }>("GET", "/api/pictures").then(
      (answer) => setOriginals(answer.originals),
      (error: Error) => setProblem(error.message),
    );
    return () => upload.current?.abort();
  }, []);

  const attempt = async (action: () => Promise<void>): Promise<void> => {
    setProblem(null);
    try {
      await action();
    } catch (error) {
      setProblem((error as Error).message);
    }
    setProgress(null);
  };

  const take = (file: File | undefined): void => {
    if (!file) return;
    upload.current = new AbortController();
    setProgress(0);
    void attempt(async () => onChoose(await uploadPicture(file, setProgress, upload.current!.signal)));
  };

  return (
    <div
      className="flex min-h-0 flex-col"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        take(event.dataTransfer.files[0]);
      }}
    >
      <div className="my-3 flex items-center gap-3 border border-dashed border-soft px-3 py-3">
        <label
          className={`${buttonClass("primary")} cursor-pointer focus-within:outline-2 focus-within:outline-pine`}
        >
          <Upload size={15} aria-hidden />
          Upload a PNG or JPEG
          <input
            type="file"
            accept={acceptedPictures}
            className="sr-only"
            onChange={(event) => {
              take(event.target.files?.[0]);
              event.target.value = "";
            }}
          />
        </label>
        {progress === null ? (
          <span className="text-soft">or drop one here</span>
        ) : (
          <>
            <progress value={progress} max={1} aria-label="Upload" className="w-40 accent-pine" />
            <button type="button" className="text-pine underline" onClick={() => upload.current?.abort()}>
              Stop
            </button>
          </>
        )}
      </div>
      {problem && (
        <p role="alert" className="mb-2 text-rowan">
          {problem}
        </p>
      )}
      {originals?.length === 0 && <p className="text-soft">No picture has been uploaded yet.</p>}
      <ul className="grid min-h-0 grid-cols-4 gap-3 overflow-y-auto pr-1">
        {originals?.map((original) => (
          <li key={original.hash}>
            <button
              type="button"
              onClick={() => void attempt(() => onChoose(original))}
              className="w-full rounded-sm border border-hairline p-2 text-left hover:border-pine"
            >
              <img
                src={`/api/pictures/${original.hash}/thumbnail`}
                alt=""
                className="checkered h-24 w-full object-scale-down"
                loading="lazy"
              />
              <span className="mt-1 block truncate text-sm">{original.name}</span>
              <span className="block text-xs text-soft">
                {formatSize(original.width, original.height)} · {formatBytes(original.bytes)}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
