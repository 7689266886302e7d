"use client";

import { useCallback, useState } from "react";
import type { Cut } from "@/contract";
import { factsOfForeign, factsOfHosted, type PictureFacts, type PictureFactsBySource } from "@/core/checks";
import type { AddressReport } from "@/core/links";

export interface KnownPictures {
  /** What is known of pictures' files, by their sources. */
  readonly facts: PictureFactsBySource;
  readonly learnCut: (cut: Cut) => void;
  readonly learnForeign: (report: AddressReport) => void;
}

/** What is known of the files of pictures; more is learnt as they are made and looked at. */
export function usePictureFacts(known: PictureFactsBySource): KnownPictures {
  const [facts, setFacts] = useState(known);
  const learn = useCallback((source: string, learnt: PictureFacts) => {
    setFacts((before) => ({ ...before, [source]: learnt }));
  }, []);
  const learnCut = useCallback((cut: Cut) => learn(cut.source, factsOfHosted(cut)), [learn]);
  const learnForeign = useCallback(
    (report: AddressReport) => learn(report.address, factsOfForeign(report)),
    [learn],
  );
  return { facts, learnCut, learnForeign };
}
