"use client";

import { Trash2, Upload } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import type { DirectoryPerson, Original } from "@/contract";
import { fieldLabel, type FieldId } from "@/core/people";
import { Button } from "../../parts/button";
import { acceptedPictures } from "../../parts/files/accepted-files";
import { FilePicker } from "../../parts/files/file-picker";
import { useFileDrop } from "../../parts/files/use-file-drop";
import { formatSize } from "../../parts/format";
import { lazily } from "../../parts/lazily";
import { FocusFrame } from "./focus-frame";
import { InitialsCircle } from "./initials-circle";
import { saysTooFew } from "./too-few";
import { usePictureOf } from "./use-picture-of";

const chooser = lazily(() =>
  import("../../bench/dialogs/picture-dialog").then(({ PictureDialog }) => PictureDialog),
);

interface Props {
  readonly of: DirectoryPerson;
  readonly field: FieldId;
  /** What is in the library of the photograph that they have; null where there is none. */
  readonly original: Original | null;
}

/** px. */
const frame = 132;

/** A picture of somebody: chosen, moved under its frame, taken away. */
export function PictureField({ of, field, original }: Props) {
  const router = useRouter();
  const [choosing, setChoosing] = useState(false);
  const { detail, name, busy, ...picture } = usePictureOf(of, field, () => router.refresh());
  const { over, handlers } = useFileDrop(picture.upload);
  const few = detail && original && saysTooFew(detail, original);
  return (
    <section
      aria-label={fieldLabel(field)}
      {...handlers}
      className={`flex items-center gap-5 rounded-sm ${over ? "bg-kelp outline-2 outline-pine" : ""}`}
    >
      {detail && original ? (
        <FocusFrame
          {...{ original, focus: detail.focus, name, size: frame }}
          onChange={(focus) => picture.keep({ ...detail, focus })}
        />
      ) : (
        <InitialsCircle name={of.person.name} size={frame} />
      )}
      <div className="min-w-0 space-y-1.5 text-sm">
        <p className="font-medium">{fieldLabel(field)}</p>
        <p className="text-xs text-soft" aria-live="polite">
          {busy
            ? "One moment…"
            : detail && original
              ? `${original.name}, ${formatSize(original.width, original.height)}. Drag it, or use the arrow keys; plus and minus make it closer or wider.`
              : detail
                ? "The photograph is not in the library any more: choose another."
                : "None yet: initials, another picture or nothing stands for it, as each signature says."}
        </p>
        {few && <p className="text-xs text-clay">{few}</p>}
        <div className="flex flex-wrap gap-2">
          <FilePicker accept={acceptedPictures} disabled={busy} onPick={picture.upload}>
            <Upload size={15} aria-hidden />
            {detail ? "Another photograph" : "A photograph"}
          </FilePicker>
          <Button disabled={busy} onClick={() => setChoosing(true)}>
            From the library
          </Button>
          {detail && (
            <Button look="quiet" disabled={busy} onClick={() => void picture.remove()}>
              <Trash2 size={15} aria-hidden />
              Take it away
            </Button>
          )}
        </div>
      </div>
      {choosing && (
        <chooser.Component
          inLine={false}
          onClose={() => setChoosing(false)}
          onChoose={async (choice) => {
            const hash =
              choice.kind === "original"
                ? choice.original.hash
                : choice.kind === "cut"
                  ? choice.cut.originalHash
                  : null;
            if (hash === null)
              throw new Error("A portrait is made from a photograph of the library: choose an original.");
            setChoosing(false);
            await picture.choose(hash);
          }}
        />
      )}
    </section>
  );
}
