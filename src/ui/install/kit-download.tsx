"use client";

import { Download } from "lucide-react";
import type { KitKind, PicturesIn } from "@/core/install-kinds";
import { buttonClass } from "../parts/button";
import { WordSwitch } from "../parts/fields/word-switch";
import { installKinds } from "./kinds";

const meaning: Readonly<Record<PicturesIn, string>> = {
  hosted: "Light, and always the newest; many clients show them only when they are asked to.",
  carried: "Shown at once, offline too; each letter is heavier by them, and old letters keep old ones.",
};

interface KitProps {
  readonly kind: KitKind;
  /** Where it is taken from. */
  readonly href: string;
  /** Why it carries its pictures; null where they stay at their addresses. */
  readonly carried: string | null;
  readonly pictures: PicturesIn;
  readonly onPictures: (next: PicturesIn) => void;
  /** Is told each time that it is taken. */
  readonly onTaken?: () => void;
}

/** The files of a kind, with its pictures where they are wanted. */
export function KitDownload({ kind, href, carried, pictures, onPictures, onTaken }: KitProps) {
  const choosable = kind !== "webmail";
  return (
    <div className="mt-3">
      {choosable && (
        <div className="pb-2">
          <WordSwitch
            label="Pictures"
            value={pictures}
            choices={{ carried: "Pictures in the kit", hosted: "Pictures at their addresses" }}
            onChange={onPictures}
          />
          <p className="pt-1 text-xs text-soft">
            {meaning[pictures]}
            {pictures === "carried" && carried !== null && ` Here, ${carried}.`}
          </p>
        </div>
      )}
      <a
        href={href}
        download
        onClick={onTaken}
        className={buttonClass(kind === "webmail" ? "plain" : "primary")}
      >
        <Download size={16} aria-hidden />
        Download {installKinds[kind].kit}
      </a>
    </div>
  );
}
