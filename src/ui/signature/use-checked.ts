"use client";

/** What will go wrong with a signature that is edited, and putting it right. */
import type { CheckOptions, Finding } from "@/core/checks";
import { withPicturesOf } from "@/core/signature";
import type { Change } from "./editing/single-steps";
import type { OpenedStation } from "./editing/opened-station";
import type { EditedSignature } from "./editing/use-signature";
import { useAsides, type SettingAside } from "./use-asides";
import { useFindings, type Found } from "./use-findings";
import { useMending, type Mending } from "./use-mending";
import type { KnownPictures } from "./use-picture-facts";
import { usePictureColors, type PictureColorsOf } from "./stillness/use-picture-colors";

/** What the page brought along. */
export interface OpenedChecks extends Pick<OpenedStation, "base" | "colors" | "gaps" | "asides"> {
  readonly findings: readonly Finding[];
}

/** What may be learnt or chosen while the page is open. */
export type Known = Required<Pick<CheckOptions, "person" | "answers" | "organisation" | "networks">>;

export interface Checked extends Found, Mending, Pick<SettingAside, "setAside"> {
  readonly colors: PictureColorsOf;
}

/** `change` makes one step of a change. */
export function useChecked(
  edited: EditedSignature,
  opened: OpenedChecks,
  { person, answers, organisation, networks }: Known,
  pictures: KnownPictures,
  change: Change,
): Checked {
  const document = edited.state.doc;
  const colors = usePictureColors(withPicturesOf(document, person), opened.colors);
  const { asides, setAside } = useAsides(edited.id, opened.asides);
  const found = useFindings(
    document,
    {
      person,
      base: opened.base,
      pictures: pictures.facts,
      colors: colors.colors,
      answers,
      organisation,
      networks,
      gaps: opened.gaps,
      asides,
    },
    edited.asOpened ? opened.findings : [],
  );
  const mending = useMending(found.document, change, pictures.learnCut);
  return { ...found, ...mending, setAside, colors };
}
