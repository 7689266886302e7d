/** Looks for a signature in a screenshot, and says what was found in the form in which it is kept. */
import { endpoints, magnification, measure, type ToldSighting } from "@/contract";
import { around, grown, type Box, type KnownColors } from "@/core/layout";
import { driftOfSighting, type DrawnDesign, type Place, type Sighting } from "@/core/sighting";
import { within } from "@/core/values";
import type { SightingAnswer, SightingRequest } from "@/workers/sighting.worker";
import { ask } from "../../parts/asking/ask";
import { drawnDesign } from "./drawn-design";
import { contextOf, pixelsOf } from "./pixels-of";
import { LookError, pictureFile, readScreenshot } from "./screenshot";

/** So much of what is around a signature is kept with it; px of the design. */
const room = 16;

export interface Looked {
  readonly told: ToldSighting;
  /** The screenshot as far as it is kept. */
  readonly kept: File;
}

/** The worker's answer; ended by the signal. */
function sought(
  request: SightingRequest,
  onProgress: (done: number) => void,
  signal: AbortSignal,
): Promise<Sighting | null> {
  const worker = new Worker(new URL("../../../workers/sighting.worker.ts", import.meta.url), {
    type: "module",
  });
  return new Promise<Sighting | null>((resolve, reject) => {
    worker.addEventListener("message", ({ data }: MessageEvent<SightingAnswer>) => {
      if (data.kind === "progress") onProgress(data.done);
      else resolve(data.sighting);
    });
    worker.addEventListener("error", () =>
      reject(new LookError("What compares could not be loaded: look at the connection, and try again.")),
    );
    signal.addEventListener("abort", () => reject(signal.reason as Error));
    worker.postMessage(request);
  }).finally(() => worker.terminate());
}

/** The colours of the pictures of a design, as far as they are known: without them they count as seen. */
async function colorsOf({ parts }: DrawnDesign): Promise<KnownColors> {
  const sources = [...new Set(parts.flatMap(({ source }) => (source.startsWith("/h/") ? [source] : [])))];
  if (sources.length === 0) return {};
  const found = await ask(endpoints.findPictureColors, { body: { sources } }).catch(() => null);
  return found?.colors ?? {};
}

/** As far as it is kept, to a hundredth. */
const kept = (value: number): number => within(measure, value);

const keptOrNull = (value: number | null): number | null => (value === null ? null : kept(value));

const keptBox = ({ left, top, width, height }: Box): Box => ({
  left: kept(left),
  top: kept(top),
  width: kept(width),
  height: kept(height),
});

function toTold(design: DrawnDesign, sighting: Sighting, colors: KnownColors, place: Place): ToldSighting {
  const boxes = new Map<number, Box>([...design.parts, ...sighting.shown].map((part) => [part.id, part]));
  return {
    place: {
      scale: within(magnification, place.scale),
      left: kept(place.left),
      top: kept(place.top),
    },
    ground: sighting.ground,
    parts: driftOfSighting(design.parts, sighting, colors).map((part) => ({
      ...part,
      text: part.text.slice(0, 4000),
      moved: kept(part.moved),
      resized: kept(part.resized),
      recolored: kept(part.recolored),
      contrast: keptOrNull(part.contrast),
      visibility: keptOrNull(part.visibility),
      clear: !sighting.unclear.includes(part.id),
      box: keptBox(boxes.get(part.id) ?? { left: 0, top: 0, width: 0, height: 0 }),
    })),
  };
}

/** The part of a screenshot that holds the signature, and what of it moved, with some room. */
function cutOut(canvas: HTMLCanvasElement, { pixels, density }: DrawnDesign, { place, shown }: Sighting) {
  const { scale, left, top } = place;
  const whole = { left: 0, top: 0, width: pixels.width / density, height: pixels.height / density };
  const wanted = grown(around([whole, ...shown]), room);
  const inPicture = (at: number, from: number, length: number): number =>
    Math.round(Math.max(0, Math.min(length, from + at * scale)));
  const x = inPicture(wanted.left, left, canvas.width);
  const y = inPicture(wanted.top, top, canvas.height);
  const out = document.createElement("canvas");
  out.width = Math.max(1, inPicture(wanted.left + wanted.width, left, canvas.width) - x);
  out.height = Math.max(1, inPicture(wanted.top + wanted.height, top, canvas.height) - y);
  contextOf(out).drawImage(canvas, -x, -y);
  return { canvas: out, place: { scale, left: left - x, top: top - y } };
}

export interface Looking {
  readonly html: string;
  readonly base: string;
  readonly onProgress: (done: number) => void;
  readonly signal: AbortSignal;
  /** Whether the whole screenshot is kept as it is. */
  readonly whole: boolean;
}

/** Null where the screenshot does not hold the signature. Throws a LookError, or the signal's reason. */
export async function lookFor(
  file: File,
  { html, base, onProgress, signal, whole }: Looking,
): Promise<Looked | null> {
  const canvas = await readScreenshot(file);
  const design = await drawnDesign(html, base);
  signal.throwIfAborted();
  const [sighting, colors] = await Promise.all([
    sought({ design, picture: pixelsOf(canvas) }, onProgress, signal),
    colorsOf(design),
  ]);
  if (!sighting) return null;
  const cut = whole ? { canvas, place: sighting.place } : cutOut(canvas, design, sighting);
  return {
    told: toTold(design, sighting, colors, cut.place),
    kept: await pictureFile(cut.canvas, file.name),
  };
}
