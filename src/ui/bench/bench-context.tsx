"use client";

import { createContext, useContext } from "react";
import type { AltContext, Finding, PictureFactsBySource } from "@/core/checks";
import type { IconLook } from "@/core/icons";
import type { FieldId } from "@/core/people";
import type { Settings } from "@/core/signature";
import type { BenchSelection } from "./editor/selection";
import type { LinkDefaults } from "../links/link-kinds";
import type { Palette } from "../parts/fields/color-choices";
import type { Form } from "../signature/form-switch";
import type { SettingAside } from "../signature/use-asides";
import type { Found } from "../signature/use-findings";
import type { Mending } from "../signature/use-mending";
import type { LetterType } from "./sheet/letter-type";
import type { PictureTarget } from "./pictures/place-picture";
import type { Editor } from "./editor/use-editor";

/** The findings of the signature as it was when typing paused last. */
export interface CheckedOnBench extends Found, Pick<Mending, "mend">, Pick<SettingAside, "setAside"> {
  /** Whether they are of an earlier document, or pictures are being drawn: mends wait. */
  readonly busy: boolean;
  /** Selects what one is about. */
  readonly show: (finding: Finding) => unknown;
}

/** What every tool of the Bench works on. */
export interface BenchValue {
  readonly editor: Editor;
  readonly settings: Settings;
  readonly selection: BenchSelection;
  /** Where colours can be taken from. */
  readonly palette: Palette;
  /** Shows a picture at another display size; a hosted one is cut again for it, one from elsewhere is as it is. */
  readonly resizePicture: (position: number, asked: { width: number } | { height: number }) => Promise<void>;
  /** Cuts every icon of a row again at the height that the row shows it at. */
  readonly resizeIcons: (position: number) => Promise<void>;
  /** Draws every icon of a row anew in a look. */
  readonly restyleIcons: (position: number, look: IconLook) => Promise<void>;
  /** Opens the choice of icons for the row at a position. */
  readonly chooseIcons: (position: number) => void;
  /** What will go wrong, and putting it right. */
  readonly checked: CheckedOnBench;
  readonly choosePicture: (target: PictureTarget) => void;
  /** Opens the cut of the picture with a source at a position. */
  readonly cutPicture: (source: string, position: number) => void;
  /** What is known of the files of its pictures. */
  readonly pictureFacts: PictureFactsBySource;
  /** The directory's fields, the user's own as well. */
  readonly fields: readonly FieldId[];
  /** What alt text is suggested from. */
  readonly altContext: AltContext;
  /** What links are offered from. */
  readonly linking: LinkDefaults;
  /** Whether the sheet and the proofs show the short form. */
  readonly form: Form;
  /** How the user's letters are set, and the setting of it. */
  readonly letterType: LetterType;
  readonly setLetterType: (letterType: LetterType) => void;
}

export const BenchContext = createContext<BenchValue | null>(null);

export function useBench(): BenchValue {
  const value = useContext(BenchContext);
  if (!value) throw new Error("The Bench's tools stand inside the Bench");
  return value;
}
