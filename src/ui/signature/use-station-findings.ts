"use client";

/** What will go wrong with a signature that is edited in single steps, and putting it right. */
import type { LinkAnswers } from "@/core/checks";
import type { EditedSignature } from "./editing/use-signature";
import type { OpenedStation } from "./editing/opened-station";
import { useSingleSteps, type Change } from "./editing/single-steps";
import { useChecked, type Checked } from "./use-checked";
import { usePictureFacts, type KnownPictures } from "./use-picture-facts";

export interface StationFindings extends Checked {
  readonly known: KnownPictures;
  readonly change: Change;
  /** Whether the findings are of an earlier document, or pictures are being drawn: mends wait. */
  readonly busy: boolean;
}

/** `answers` are those of links, where more has been learnt of them since the page was opened. */
export function useStationFindings(
  edited: EditedSignature,
  opened: OpenedStation,
  answers: LinkAnswers = opened.answers,
): StationFindings {
  const known = usePictureFacts(opened.pictures);
  const change = useSingleSteps(edited);
  const checked = useChecked(edited, opened, { ...opened, answers }, known, change);
  return { ...checked, known, change, busy: checked.document !== edited.state.doc || checked.drawing };
}
