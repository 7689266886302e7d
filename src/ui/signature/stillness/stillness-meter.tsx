"use client";

import { useEffect, useRef } from "react";
import type { KnownColors } from "@/core/layout";
import { MeasuringFrame } from "./measuring-frame";
import { useStillness } from "./use-stillness";
import type { LiveStillness } from "./use-kept-stillness";

interface Props extends Pick<LiveStillness, "onMeasured"> {
  /** Null while somebody types. */
  readonly html: string | null;
  readonly base: string;
  readonly colors: KnownColors;
}

/** Measures a signature where its proofs are not all shown. */
export function StillnessMeter({ html, base, colors, onMeasured }: Props) {
  const frame = useRef<HTMLIFrameElement>(null);
  const { measured, design, done } = useStillness(frame, html, base, colors);
  useEffect(() => {
    if (done && html !== null) onMeasured({ measured, design }, html);
  }, [done, html, measured, design, onMeasured]);
  return <MeasuringFrame frame={frame} />;
}
