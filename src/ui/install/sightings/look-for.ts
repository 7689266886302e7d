/** Looks for a signature in a screenshot, and says what was found in the form in which it is kept. */
import { endpoints, type ToldSighting } from "@/contract";
import type { KnownColors, PartDrift } from "@/core/layout";
import { driftOfSighting, type DrawnDesign, type Place, type Sighting } from "@/core/sighting";
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

const hundredths = (value: number): number => Math.round(value * 100) / 100;

/** The colours of the pictures of a design, as far as they are known: without them they count as seen. */
async function colorsOf({ parts }: DrawnDesign): Promise<KnownColors> {
  const sources = [...new Set(parts.flatMap(({ source }) => (source.startsWith("/h/") ? [source] : [])))];
  if (sources.length === 0) return {};
  const found = await ask(endpoints.findPictureColors, { body: { sources } }).catch(() => null);
  return found?.colors ?? {};
}

function toTold(design: DrawnDesign, sighting: Sighting, colors: KnownColors, place: Place): ToldSighting {
  const shown = new Map(sighting.shown.map((part) => [part.id, part]));
  const box = (id: number) => {
    const { left, top, width, height } = shown.get(id) ?? design.parts.find((part) => part.id === id)!;
    return {
      left: hundredths(left),
      top: hundredths(top),
      width: hundredths(width),
      height: hundredths(height),
    };
  };
  const rounded = (part: PartDrift) => ({
    ...part,
    text: part.text.slice(0, 4000),
    moved: hundredths(part.moved),
    resized: hundredths(part.resized),
    recolored: hundredths(part.recolored),
    contrast: part.contrast === null ? null : hundredths(part.contrast),
    visibility: part.visibility === null ? null : hundredths(part.visibility),
  });
  return {
    place: {
      scale: Math.round(place.scale * 10_000) / 10_000,
      left: hundredths(place.left),
      top: hundredths(place.top),
    },
    ground: sighting.ground,
    parts: driftOfSighting(design.parts, sighting, colors).map((part) => ({
      ...rounded(part),
      clear: !sighting.unclear.includes(part.id),
      box: box(part.id),
    })),
  };
}

/** The part of a screenshot that holds the signature, and what of it moved, with some room. */
function cutOut(canvas: HTMLCanvasElement, design: DrawnDesign, { place, shown }: Sighting) {
  const { scale, left, top } = place;
  const size = { left: 0, top: 0, width: design.pixels.width, height: design.pixels.height };
  const boxes = [
    { ...size, width: size.width / design.density, height: size.height / design.density },
    ...shown,
  ];
  const edge = (side: "left" | "top" | "right" | "bottom"): number => {
    const far = side === "right" || side === "bottom";
    const along =
      side === "left" || side === "right" ? (["left", "width"] as const) : (["top", "height"] as const);
    const ends = boxes.map((box) => box[along[0]] + (far ? box[along[1]] + room : -room));
    const at = (far ? Math.max(...ends) : Math.min(...ends)) * scale + (along[0] === "left" ? left : top);
    return Math.round(Math.max(0, Math.min(along[0] === "left" ? canvas.width : canvas.height, at)));
  };
  const [x, y] = [edge("left"), edge("top")];
  const out = document.createElement("canvas");
  out.width = Math.max(1, edge("right") - x);
  out.height = Math.max(1, edge("bottom") - y);
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
