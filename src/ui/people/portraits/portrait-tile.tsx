"use client";

import { Upload } from "lucide-react";
import Link from "next/link";
import type { PersonPortrait } from "@/contract";
import { writePictureDetail } from "@/core/people";
import { acceptedPictures } from "../../parts/files/accepted-files";
import { FilePicker } from "../../parts/files/file-picker";
import { useFileDrop } from "../../parts/files/use-file-drop";
import { FocusFrame } from "./focus-frame";
import { InitialsCircle } from "./initials-circle";
import { saysTooFew } from "./too-few";
import { usePictureOf } from "./use-picture-of";

interface Props {
  readonly of: PersonPortrait;
  /** What somebody has just made of it. */
  readonly onMoved: (of: PersonPortrait) => void;
  readonly onChanged: () => void;
}

/** px. */
const frame = 128;

/** Somebody on the sheet: their portrait, moved where it stands, or a place for one. */
export function PortraitTile({ of, onMoved, onChanged }: Props) {
  const { detail, name, busy, keep, upload } = usePictureOf(of, "portrait", onChanged);
  const { over, handlers } = useFileDrop(upload);
  const { original } = of;
  const few = detail && original && saysTooFew(detail, original);
  return (
    <li
      {...handlers}
      className={`min-w-0 rounded-sm p-1 ${over ? "bg-kelp outline-2 outline-pine" : ""}`}
      aria-busy={busy}
    >
      {detail && original ? (
        <FocusFrame
          {...{ original, focus: detail.focus, name, size: frame }}
          onChange={async (focus) => {
            const kept = await keep({ ...detail, focus });
            const portrait = writePictureDetail({ ...detail, focus });
            if (kept) onMoved({ ...of, person: { ...of.person, portrait } });
            return kept;
          }}
        />
      ) : (
        <InitialsCircle name={of.person.name} size={frame} />
      )}
      <Link
        href={`/people/${of.id}`}
        prefetch={false}
        className="mt-1.5 block max-w-40 truncate rounded-sm text-sm font-medium hover:text-pine"
      >
        <bdi>{of.person.name || "without a name"}</bdi>
      </Link>
      {few && <p className="max-w-40 text-xs text-clay">{few}</p>}
      {!(detail && original) && (
        <div className="mt-1">
          <FilePicker
            look="quiet"
            label={`A photograph of ${name}`}
            accept={acceptedPictures}
            disabled={busy}
            onPick={upload}
          >
            <Upload size={14} aria-hidden />
            {busy ? "One moment…" : "A photograph"}
          </FilePicker>
        </div>
      )}
    </li>
  );
}
