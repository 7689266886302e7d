/** An original's bytes as a sharp pipeline: upright, in sRGB, of its first frame. */
import sharp, { type Metadata, type Sharp } from "sharp";
import { mostPixels, sniffType, type OriginalType, type Size } from "@/core/pictures";

export interface OpenedOriginal {
  /** A fresh pipeline; `scale` draws a vector that many times its own size. */
  readonly pipeline: Sharp;
  /** Upright, and of one frame; px. */
  readonly size: Size;
  readonly vector: boolean;
  /** The size that the pipeline draws: another than its own for a vector only. */
  readonly drawn: Size;
  /** How many times its own size a vector is drawn; 1 for all else. */
  readonly scale: number;
  readonly type: OriginalType;
}

/** Units of an SVG are drawn as px at this density (SVG 2, section 8.2). */
const svgDensity = 72;
/** The densest that a vector is drawn, and the most pixels that it may fill. */
const densest = 24;
const mostVectorPixels = 16_000_000;

/** How many times larger a vector is drawn, at most `wanted`, so that it can be held and no side of it falls under a px. */
const vectorScale = (wanted: number, { width, height }: Size): number =>
  Math.max(
    1 / Math.min(width, height),
    Math.min(wanted, densest, Math.sqrt(mostVectorPixels / (width * height))),
  );

const upright = ({ autoOrient: { width, height } }: Metadata): Size => ({ width, height });

export async function openOriginal(
  bytes: Uint8Array,
  { frame = 0, scale: wanted = () => 1 }: { frame?: number; scale?: (size: Size) => number } = {},
): Promise<OpenedOriginal> {
  const type = sniffType(bytes) as OriginalType;
  const vector = type === "svg";
  const options = { failOn: "error", limitInputPixels: mostPixels, page: frame } as const;
  const size = upright(await sharp(bytes, options).metadata());
  const scale = vector ? vectorScale(wanted(size), size) : 1;
  const pipeline = sharp(bytes, vector ? { ...options, density: svgDensity * scale } : options)
    .autoOrient()
    .toColorspace("srgb");
  const drawn = vector ? upright(await pipeline.clone().metadata()) : size;
  return { pipeline, size, vector, drawn, scale, type };
}

/** A pipeline's pixels as RGBA. */
export async function toPixels(pipeline: Sharp) {
  const { data, info } = await pipeline.ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
}
