/** Rendering a loop: its source's pictures drawn once each, put in order, given one palette, and written as a GIF. */
import sharp, { type Sharp } from "sharp";
import { channelsOf } from "@/core/color";
import {
  byteAt,
  clampCrop,
  countColors,
  largestCrop,
  mostFramePixels,
  mostFrames,
  quantize,
  type LoopRecipe,
  type Pixels,
  type Size,
} from "@/core/pictures";
import { Refusal } from "../http/refusal";
import { contentHash } from "./content-hash";
import { openAnimation, type OpenedAnimation } from "./open-animation";
import { openOriginal, toPixels } from "./open-original";
import { drawCut } from "./render-cut";
import { layText } from "./reveal-text";
import { writeGif } from "./write-gif";

export interface RenderedLoop extends Size {
  readonly bytes: Buffer;
  readonly type: "gif";
  readonly hash: string;
  /** Frames in the file: neighbours that came out alike are one. */
  readonly frames: number;
  /** Colours in the file, a clear background counting as one. */
  readonly colors: number;
}

/** Bytes of the originals that a loop names, by their hash. */
export type Originals = ReadonlyMap<string, Uint8Array>;

type DrawPicture = (index: number) => Promise<Sharp>;

/** One entry of a palette is kept for what is clear or left out. */
const mostOpaque = 255;

const nothing = { r: 0, g: 0, b: 0, alpha: 0 };

const bytesOf = (originals: Originals, hash: string): Uint8Array => {
  const bytes = originals.get(hash);
  if (!bytes) throw new RangeError(`The loop names the original ${hash}, and its bytes were not given`);
  return bytes;
};

/** How one of a source's pictures is drawn at the loop's own size. */
function drawingOf(loop: LoopRecipe, originals: Originals, size: Size): DrawPicture {
  const { source } = loop;
  switch (source.kind) {
    case "animation": {
      let opened: Promise<OpenedAnimation> | null = null;
      return async (frame) => {
        opened ??= openAnimation(bytesOf(originals, source.original));
        const { size: natural, frame: open } = await opened;
        const { x, y, width, height } = clampCrop(loop.crop ?? { x: 0, y: 0, ...natural }, natural);
        const pipeline = await open(frame);
        return pipeline.extract({ left: x, top: y, width, height }).resize({ ...size, fit: "fill" });
      };
    }
    case "pictures":
      return async (index) => {
        const look = source.looks?.[index];
        const bytes = bytesOf(originals, source.originals[index]!);
        if (look) {
          const { width, height, density } = loop;
          const { pipeline } = await drawCut(bytes, { ...look, width, height, density });
          return fromPixels(await toPixels(pipeline)).resize({ ...size, fit: "fill" });
        }
        const { pipeline, drawn } = await openOriginal(bytes, {
          scale: (natural) => Math.max(size.width / natural.width, size.height / natural.height),
        });
        const { x, y, width, height } = largestCrop(drawn, size.width / size.height);
        return pipeline.extract({ left: x, top: y, width, height }).resize({ ...size, fit: "fill" });
      };
    case "ring-cycle":
      return async (index) => {
        const { picture, colors } = source;
        const frame =
          picture.frame.shape === "circle" && picture.frame.ring
            ? { ...picture.frame, ring: { ...picture.frame.ring, color: colors[index]! } }
            : { shape: "circle" as const, ring: { width: 3, gap: 0, color: colors[index]! } };
        const { pipeline } = await drawCut(bytesOf(originals, source.original), {
          ...picture,
          frame,
          fill: null,
        });
        const drawn = await toPixels(pipeline);
        return fromPixels(drawn).resize({ ...size, fit: "fill" });
      };
    case "text-reveal": {
      const laid = layText(source.text);
      const fitted = { ...size, fit: "contain", background: nothing } as const;
      return (shown) => Promise.resolve(sharp(laid.draw(shown, size.width / laid.width)).resize(fitted));
    }
  }
}

const fromPixels = ({ data, width, height }: Pixels): Sharp =>
  sharp(data, { raw: { width, height, channels: 4 } });

/** Largest part of a pixel that may be missing where an edge is mixed with a fill. */
const nearlyClear = 64;

/** A GIF holds nothing half clear: edges are hard, or mixed with the fill, or everything is laid over it. */
function settleEdges({ data }: Pixels, { fill, solid }: LoopRecipe): void {
  const behind = channelsOf(fill ?? "#FFFFFF");
  for (let at = 0; at < data.length; at += 4) {
    const alpha = byteAt(data, at + 3);
    if (alpha === 255) continue;
    const clear = !solid && alpha < (fill ? nearlyClear : 128);
    if (clear) {
      data.fill(0, at, at + 4);
      continue;
    }
    if (fill || solid)
      for (let channel = 0; channel < 3; channel++)
        data[at + channel] = Math.round(
          (byteAt(data, at + channel) * alpha + behind[channel]! * (255 - alpha)) / 255,
        );
    data[at + 3] = 255;
  }
}

const sizeOf = ({ width, height, density }: LoopRecipe): Size => ({
  width: width * density,
  height: height * density,
});

function checkSize({ frames }: LoopRecipe, { width, height }: Size): void {
  if (frames.length > mostFrames || width * height * frames.length > mostFramePixels)
    throw new Refusal(
      413,
      "loop-too-large",
      `${frames.length} frames of ${width} × ${height} px are more than a loop can hold: remove some, or make it smaller.`,
    );
}

/** One picture of a loop by itself, as PNG. */
export async function renderLoopPicture(
  loop: LoopRecipe,
  originals: Originals,
  picture: number,
): Promise<Buffer> {
  const drawn = await toPixels(await drawingOf(loop, originals, sizeOf(loop))(picture));
  settleEdges(drawn, loop);
  return fromPixels(quantize(drawn, loop.colors)).png({ compressionLevel: 6 }).toBuffer();
}

/** Refuses loops that are too large, and words that the font cannot write. */
export async function renderLoop(loop: LoopRecipe, originals: Originals): Promise<RenderedLoop> {
  const size = sizeOf(loop);
  checkSize(loop, size);
  const draw = drawingOf(loop, originals, size);
  // In the order in which an animation is decoded.
  const shown = [...new Set(loop.frames.map(({ picture }) => picture))].sort((one, other) => one - other);
  const frameBytes = size.width * size.height * 4;
  // All pictures stand in one tall one, so that they share a palette and nothing flickers between frames.
  const tall = new Uint8Array(frameBytes * shown.length);
  for (const [place, picture] of shown.entries()) {
    const drawn = await toPixels(await draw(picture));
    settleEdges(drawn, loop);
    tall.set(drawn.data, place * frameBytes);
  }
  const settled = quantize(
    { data: tall, width: size.width, height: size.height * shown.length },
    Math.min(mostOpaque, loop.colors),
  );
  const frames = loop.frames.map(({ picture, time }) => ({ picture: shown.indexOf(picture), time }));
  const written = writeGif(settled, size, frames, loop.repeats);
  return {
    ...written,
    type: "gif",
    hash: contentHash(written.bytes),
    ...size,
    colors: countColors(settled),
  };
}
