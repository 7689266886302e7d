"use client";

/** Measuring on the Bench how still the signature is, when typing has paused and the page has come to rest. */
import { useEffect, useState, type ReactNode } from "react";
import type { Stillness } from "@/contract";
import { useSettled } from "../../parts/drawing/use-settled";
import type { PictureColorsOf } from "../../signature/stillness/use-picture-colors";
import { useKeptStillness, type LiveStillness } from "../../signature/stillness/use-kept-stillness";
import { isAsOpened } from "../../signature/editing/is-as-opened";
import type { EditedSignature } from "../../signature/editing/use-signature";

const load = async () => (await import("../../signature/stillness/stillness-meter")).StillnessMeter;

/** Nobody waits for the number: first what is being done; ms. */
const rest = 2500;
const pause = 1200;

interface Options {
  readonly base: string;
  /** Whether what is shown is what will be sent, and no other form or person is tried. */
  readonly asSent: boolean;
  readonly colors: PictureColorsOf;
  /** The revision that the page brought along, and how still that was, if it was measured. */
  readonly revision: number;
  readonly kept: Stillness | null;
}

export interface Meter extends Pick<LiveStillness, "last"> {
  /** Of what would be sent. */
  readonly stillness: Stillness | null;
  /** What measures: drawn anywhere. */
  readonly element: ReactNode;
}

/** `html` is what is shown. */
export function useMeter(edited: EditedSignature, html: string, options: Options): Meter {
  const { base, revision, kept, asSent } = options;
  const { colors, complete } = options.colors;
  const [Meter, setMeter] = useState<Awaited<ReturnType<typeof load>> | null>(null);
  useEffect(() => {
    let here = true;
    const timer = setTimeout(() => {
      // Where the server is away there is no number, and nothing else is missing.
      load().then(
        (loaded) => here && setMeter(() => loaded),
        () => undefined,
      );
    }, rest);
    return () => {
      here = false;
      clearTimeout(timer);
    };
  }, []);
  const live = useKeptStillness(edited, asSent ? html : null);
  const settled = useSettled(html, pause);
  const opened = isAsOpened(edited, { revision }) ? kept : null;
  return {
    stillness: asSent ? (live.measured ?? opened) : null,
    last: live.last,
    element: Meter && (
      <Meter
        html={settled === html && complete && live.last?.html !== html ? html : null}
        base={base}
        colors={colors}
        onMeasured={live.onMeasured}
      />
    ),
  };
}
