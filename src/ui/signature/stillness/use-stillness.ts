"use client";

/** Measures every proof of a signature in a frame that nobody sees, one after the other, while the page stays usable. */
import { useEffect, useRef, useState, type RefObject } from "react";
import type { Stillness } from "@/contract";
import { designOf, messageArea, messageOf, received, standIns } from "@/core/clients";
import { driftBetween, isStill, unrest, type KnownColors, type PartDrift } from "@/core/layout";
import { localPictures } from "../../parts/drawing/local-pictures";
import { bodyOf, drawInto, frameMargin } from "../../parts/drawing/frame-document";
import { readParts, type DrawnSignature } from "./read-parts";
import { allProofs, keyText, type ProofKey } from "./proof-keys";

export interface MeasuredProof extends ProofKey {
  readonly drift: readonly PartDrift[];
  readonly still: boolean;
  /** The greater, the worse. */
  readonly unrest: number;
  /** How wide it is beyond its pane; px. */
  readonly overflow: number;
  /** What it is drawn at as a whole to fit its pane: 1, or less in kinds that shrink. */
  readonly scale: number;
  /** The smallest type as it is shown; px. */
  readonly smallestType: number;
}

export type Measured = ReadonlyMap<string, MeasuredProof>;

/** Wide enough that nothing in the design wraps for want of room. */
const designWidth = 1200;

const paper = "html{background:#ffffff}";

export interface MeasuredAll {
  /** Empty until all of it is done. */
  readonly measured: Measured;
  readonly done: boolean;
  /** What was measured last, of an earlier HTML while this one is measured. */
  readonly before: Measured;
  /** How wide the design is, with the room around it; px. */
  readonly design: number;
}

/** Before anything is measured: as wide as signatures mostly are. */
const nothing: MeasuredAll = { measured: new Map(), done: false, before: new Map(), design: 480 };

/** Until the fonts that what is drawn needs are there, and pictures whose size is only known from their file. */
async function settled(body: HTMLElement): Promise<void> {
  void body.offsetHeight;
  await body.ownerDocument.fonts.ready;
  const unsized = [...body.querySelectorAll("img")].filter(
    (picture) =>
      picture.src && !picture.complete && !(picture.hasAttribute("width") && picture.hasAttribute("height")),
  );
  await Promise.all(
    unsized.map(
      (picture) =>
        new Promise<void>((resolve) => {
          picture.addEventListener("load", () => resolve(), { once: true });
          picture.addEventListener("error", () => resolve(), { once: true });
        }),
    ),
  );
}

/** Lets whoever uses the page go first. */
const breathe = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

function compared(
  key: ProofKey,
  design: DrawnSignature,
  shown: DrawnSignature,
  colors: KnownColors,
): MeasuredProof {
  const { width, shrinks } = standIns[key.client];
  const drift = driftBetween(design.parts, shown.parts, colors);
  const overflow = Math.max(0, Math.ceil(shown.width - width));
  const scale = shrinks && overflow > 0 ? width / shown.width : 1;
  return {
    ...key,
    drift,
    still: isStill(drift),
    unrest: unrest(drift),
    overflow: shrinks ? 0 : overflow,
    scale,
    smallestType: shown.smallestType * scale,
  };
}

/**
 * The proofs of some HTML once all of them have been measured; null measures nothing and ends what is under way. `frame` is
 * the one to measure in; it is as wide as each kind's pane while that is drawn.
 */
export function useStillness(
  frame: RefObject<HTMLIFrameElement | null>,
  html: string | null,
  base: string,
  colors: KnownColors,
): MeasuredAll {
  const [state, setState] = useState<MeasuredAll & { readonly html: string | null }>({ html, ...nothing });
  const run = useRef(0);

  useEffect(() => {
    const element = frame.current;
    if (!element || html === null) return;
    const current = ++run.current;
    const stopped = (): boolean => run.current !== current;

    const draw = async (drawn: string, area: string, width: number): Promise<DrawnSignature | null> => {
      element.style.width = `${width}px`;
      const body = bodyOf(element);
      if (!body) return null;
      drawInto(body, { html: localPictures(drawn, base), area });
      await settled(body);
      return stopped() ? null : readParts(body);
    };

    const measureAll = async (): Promise<void> => {
      const message = messageOf(html, true);
      const design = await draw(designOf(message.read), paper, designWidth + 2 * frameMargin);
      if (!design) return;
      const measured = new Map<string, MeasuredProof>();
      for (const key of allProofs) {
        const standIn = standIns[key.client];
        const shown = received(message, key.client, key);
        const drawn = await draw(shown.html, messageArea(standIn, key.mode), standIn.width);
        if (!drawn) return;
        measured.set(keyText(key), compared(key, design, drawn, colors));
        await breathe();
      }
      const width = design.whole + 2 * frameMargin;
      setState({ html, measured, done: true, before: measured, design: width });
    };

    const begin = (): void => void measureAll();
    if (bodyOf(element)) begin();
    element.addEventListener("load", begin);
    return () => {
      run.current += 1;
      element.removeEventListener("load", begin);
    };
  }, [frame, html, base, colors]);

  // Frames keep their size while the next HTML is measured.
  return state.html === html ? state : { ...state, measured: nothing.measured, done: false };
}

/** In how many of all proofs a signature is still; of accounts that differ the worse counts. */
export function stillness(measured: Measured): Stillness {
  const counted = new Map<string, boolean>();
  for (const { client, mode, still } of measured.values()) {
    const key = `${client} ${mode}`;
    counted.set(key, (counted.get(key) ?? true) && still);
  }
  return { still: [...counted.values()].filter(Boolean).length, all: counted.size };
}
