"use client";

/** The colours of a signature's hosted pictures: those that the page brought along, and those of pictures placed since. */
import { useEffect, useMemo, useRef, useState } from "react";
import type { Node } from "prosemirror-model";
import { endpoints } from "@/contract";
import { readPicturePath } from "@/core/addresses";
import type { KnownColors } from "@/core/layout";
import { pictureSourcesOf } from "@/core/signature";
import { ask } from "../../parts/asking/ask";

export interface PictureColorsOf {
  readonly colors: KnownColors;
  /** Whether all that can be known is known: until then nothing is measured. */
  readonly complete: boolean;
}

export function usePictureColors(document: Node, opened: KnownColors): PictureColorsOf {
  const [colors, setColors] = useState(opened);
  /** Those that were asked for, answered or not: a picture that cannot be looked at is asked for once. */
  const [asked, setAsked] = useState<ReadonlySet<string>>(new Set());
  const underWay = useRef(new Set<string>());
  const sources = useMemo(
    () => pictureSourcesOf(document).filter((source) => readPicturePath(source) !== null),
    [document],
  );
  const missing = sources.filter((source) => !colors[source] && !asked.has(source));
  const wanted = missing.join("\n");

  useEffect(() => {
    const next = wanted.split("\n").filter((source) => source !== "" && !underWay.current.has(source));
    if (next.length === 0) return;
    for (const source of next) underWay.current.add(source);
    ask(endpoints.findPictureColors, { body: { sources: next } })
      .then(({ colors: found }) => setColors((before) => ({ ...before, ...found })))
      // Without them a picture counts as seen, as one from elsewhere does.
      .catch(() => undefined)
      .finally(() => setAsked((before) => new Set([...before, ...next])));
  }, [wanted]);

  return { colors, complete: missing.length === 0 };
}
