"use client";

/** What will go wrong with a signature that is edited in single steps, and putting it right. */
import type { LinkAnswers } from "@/core/checks";
import type { EditedSignature } from "./editing/use-signature";
import type { OpenedStation } from "./editing/opened-station";
import { useSingleSteps, type Change } from "./editing/single-steps";
import { useAsides, type SettingAside } from "./use-asides";
import { useFindings, type Found } from "./use-findings";
import { useMending, type Mending } from "./use-mending";
import { usePictureFacts, type KnownPictures } from "./use-picture-facts";
import { usePictureColors, type PictureColorsOf } from "./stillness/use-picture-colors";

export interface StationFindings extends Found, Mending, Pick<SettingAside, "setAside"> {
  readonly known: KnownPictures;
  readonly colors: PictureColorsOf;
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
  const { signature, person, base, organisation, networks, gaps } = opened;
  const document = edited.state.doc;
  const known = usePictureFacts(opened.pictures);
  const colors = usePictureColors(document, opened.colors);
  const { asides, setAside } = useAsides(signature.id, opened.asides);
  const found = useFindings(
    document,
    {
      person,
      base,
      pictures: known.facts,
      colors: colors.colors,
      answers,
      organisation,
      networks,
      gaps,
      asides,
    },
    edited.asOpened ? opened.findings : [],
  );
  const change = useSingleSteps(edited);
  const mending = useMending(change, known.learnCut);
  return {
    ...found,
    ...mending,
    setAside,
    known,
    colors,
    change,
    busy: found.document !== document || mending.drawing,
  };
}
