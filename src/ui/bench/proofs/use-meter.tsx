"use client";

/** Measuring on the Bench how still the signature is, when typing has paused and the page has come to rest. */
import { useEffect, useState, type ReactNode } from "react";
import type { Stillness } from "@/contract";
import type { KnownColors } from "@/core/layout";
import { useSettled } from "../../parts/drawing/use-settled";
import { usePictureColors } from "../../signature/stillness/use-picture-colors";
import { useKeptStillness } from "../../signature/stillness/use-kept-stillness";
import { isAsOpened } from "../../signature/editing/is-as-opened";
import type { EditedSignature } from "../../signature/editing/use-signature";

const load = async () => (await import("../../signature/stillness/stillness-meter")).StillnessMeter;

/** Nobody waits for the number: first what is being done; ms. */
const rest = 2500;
const pause = 1200;

interface Options {
  readonly base: string;
  readonly colors: KnownColors;
  /** The revision that the page brought along, and how still that was, if it was measured. */
  readonly revision: number;
  readonly kept: Stillness | null;
}

export interface Meter {
  readonly stillness: Stillness | null;
  /** What measures: drawn anywhere. */
  readonly element: ReactNode;
}

/** `html` is the signature as it will be sent; null while another form or person is tried. */
export function useMeter(edited: EditedSignature, html: string | null, options: Options): Meter {
  const { base, revision, kept } = options;
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
  const { colors, complete } = usePictureColors(edited.state.doc, options.colors);
  const live = useKeptStillness(edited, html);
  const settled = useSettled(html, pause);
  const opened = isAsOpened(edited, { revision }) ? kept : null;
  return {
    stillness: html === null ? null : (live.measured ?? opened),
    element: Meter && (
      <Meter
        html={settled === html && complete && !live.measured ? html : null}
        base={base}
        colors={colors}
        onMeasured={live.onMeasured}
      />
    ),
  };
}
