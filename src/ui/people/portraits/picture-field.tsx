"use client";

import { Trash2, Upload } from "lucide-react";
import { useRouter } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import { toast } from "sonner";
import { endpoints, type DirectoryPerson, type Original } from "@/contract";
import {
  fieldLabel,
  initialsOf,
  readPictureDetail,
  typedValue,
  writePictureDetail,
  type FieldId,
  type PictureDetail,
} from "@/core/people";
import { ask, send } from "../../parts/asking/ask";
import { sayRemoved } from "../../parts/asking/use-refreshing";
import { Button } from "../../parts/button";
import { acceptedPictures } from "../../parts/files/accepted-files";
import { FilePicker } from "../../parts/files/file-picker";
import { useFileDrop } from "../../parts/files/use-file-drop";
import { formatSize } from "../../parts/format";
import { lazily } from "../../parts/lazily";
import { takeStepBack, type DirectoryChanged } from "../directory-steps";
import { FocusFrame } from "./focus-frame";
import { keepDetail } from "./keep-detail";

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

/** Fewer px than this in the part that shows are too few for most places at the density of today's displays. */
const enough = 192;

/** A picture of somebody: chosen, moved under its frame, taken away. */
export function PictureField({ of, field, original }: Props) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [choosing, setChoosing] = useState(false);
  const value = typedValue(of.person, field);
  const detail = readPictureDetail(value);
  const label = fieldLabel(field);
  const name = of.person.name || "somebody without a name";

  // A change is made from the one before it, whether or not the page has been made anew since.
  const last = useRef(value);
  useEffect(() => {
    last.current = value;
  }, [value]);
  const put = async (next: PictureDetail | null): Promise<DirectoryChanged | null> => {
    const done = await keepDetail({ id: of.id, name, field, value: last.current }, next);
    last.current = next ? writePictureDetail(next) : "";
    return done;
  };

  const attempt = async (
    action: () => Promise<DirectoryChanged | null>,
  ): Promise<DirectoryChanged | null> => {
    setBusy(true);
    try {
      const done = await action();
      router.refresh();
      return done;
    } catch (error) {
      toast.error((error as Error).message);
      router.refresh();
      return null;
    } finally {
      setBusy(false);
    }
  };
  const keep = (next: PictureDetail | null): Promise<DirectoryChanged | null> => attempt(() => put(next));
  const choose = async (hash: string): Promise<DirectoryChanged | null> => {
    const { focus } = await ask(endpoints.suggestFocus, { params: { hash } });
    return put({ original: hash, focus });
  };
  const upload = ([file]: readonly File[]): void => {
    if (!file) return;
    void attempt(async () => {
      const { originals, refused } = await send(endpoints.addPictures, { file });
      const [first] = originals;
      if (!first) throw new Error(refused[0]?.message ?? `“${file.name}” holds no picture.`);
      return choose(first.hash);
    });
  };
  const remove = async (): Promise<void> => {
    const gone = await keep(null);
    if (gone)
      sayRemoved(`${name} has no ${label.toLowerCase()} any more.`, () =>
        takeStepBack(gone, () => router.refresh()),
      );
  };
  const { over, handlers } = useFileDrop(upload);
  const few = detail && original && original.type !== "svg" && detail.focus.side < enough;
  return (
    <section
      aria-label={label}
      {...handlers}
      className={`flex items-center gap-5 rounded-sm ${over ? "bg-kelp outline-2 outline-pine" : ""}`}
    >
      {detail && original ? (
        <FocusFrame
          {...{ original, focus: detail.focus, name, size: frame }}
          onChange={async (focus) => (await keep({ ...detail, focus })) !== null}
        />
      ) : (
        <div
          className="flex shrink-0 items-center justify-center rounded-full border border-dashed border-soft font-serif text-4xl text-soft"
          style={{ width: frame, height: frame }}
          aria-hidden
        >
          {initialsOf(of.person.name)}
        </div>
      )}
      <div className="min-w-0 space-y-1.5 text-sm">
        <p className="font-medium">{label}</p>
        <p className="text-xs text-soft" aria-live="polite">
          {busy
            ? "One moment…"
            : detail && original
              ? `${original.name}, ${formatSize(original.width, original.height)}. Drag it, or use the arrow keys; plus and minus make it closer or wider.`
              : detail
                ? "The photograph is not in the library any more: choose another."
                : "None yet: initials, another picture or nothing stands for it, as each signature says."}
        </p>
        {few && (
          <p className="text-xs text-clay">
            What shows has {detail.focus.side} × {detail.focus.side} px: it will be blurred on most displays.
          </p>
        )}
        <div className="flex flex-wrap gap-2">
          <FilePicker accept={acceptedPictures} disabled={busy} onPick={upload}>
            <Upload size={15} aria-hidden />
            {detail ? "Another photograph" : "A photograph"}
          </FilePicker>
          <Button disabled={busy} onClick={() => setChoosing(true)}>
            From the library
          </Button>
          {detail && (
            <Button look="quiet" disabled={busy} onClick={() => void remove()}>
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
            await attempt(() => choose(hash));
          }}
        />
      )}
    </section>
  );
}
