/** Loops: made from originals or text, kept as cuts whose type is GIF. */
import type { Cut, LoopPreview, Original } from "@/contract";
import {
  firstLoop,
  originalsOfLoop,
  publicFileName,
  resizeLoop,
  type LoopRecipe,
  type LoopSource,
  type Size,
} from "@/core/pictures";
import { notFound } from "../http/refusal";
import { dataAddress } from "../imaging/data-address";
import { imaging } from "../imaging/imaging";
import type { RenderedLoop } from "../imaging/render-loop";
import { addCut } from "./cuts";
import { findOriginal, readOriginal } from "./originals";

async function firstOriginal(source: LoopSource): Promise<Original> {
  const [hash] = originalsOfLoop(source);
  if (hash === undefined) throw notFound("original");
  return findOriginal(hash);
}

/** The size of a source's first picture: px of an original, or CSS px of a text. */
export async function naturalSize(source: LoopSource): Promise<Size> {
  if (source.kind === "text-reveal") return imaging.measureText(source.text);
  return firstOriginal(source);
}

async function readOriginals({ source }: LoopRecipe): Promise<ReadonlyMap<string, Uint8Array>> {
  const hashes = [...new Set(originalsOfLoop(source))];
  return new Map(await Promise.all(hashes.map(async (hash) => [hash, await readOriginal(hash)] as const)));
}

/** What a loop begins as, for its source: frames, times and size. */
export async function startLoop(source: LoopSource): Promise<LoopRecipe> {
  const natural = await naturalSize(source);
  const times =
    source.kind === "animation" ? await imaging.frameTimes(await readOriginal(source.original)) : [];
  return firstLoop(source, natural, times);
}

export const renderLoop = async (loop: LoopRecipe): Promise<RenderedLoop> =>
  imaging.renderLoop(loop, await readOriginals(loop));

/** What a loop would come out as; nothing is kept. */
export async function previewLoop(loop: LoopRecipe): Promise<LoopPreview> {
  const { bytes, width, height, frames, colors } = await renderLoop(loop);
  return { width, height, frames, colors, bytes: bytes.length, picture: dataAddress(bytes, "gif") };
}

/** One picture of a loop by itself, as the data address of a PNG. */
export const previewLoopPicture = async (loop: LoopRecipe, picture: number): Promise<string> =>
  dataAddress(await imaging.renderLoopPicture(loop, await readOriginals(loop), picture), "png");

async function nameOf({ source }: LoopRecipe): Promise<string> {
  if (source.kind === "text-reveal") return source.text.words;
  return (await firstOriginal(source)).name;
}

/** Renders a loop and keeps it under a name; where that is empty, under that of what it is made of. */
export async function makeLoop(loop: LoopRecipe, name = ""): Promise<Cut> {
  const rendered = await renderLoop(loop);
  const original = originalsOfLoop(loop.source)[0] ?? null;
  return addCut(rendered, publicFileName(name.trim() || (await nameOf(loop)), "gif"), original, loop);
}

const animationOf = ({ hash, frames }: Original): LoopSource => ({
  kind: "animation",
  original: hash,
  count: frames,
});

/** The whole of an animation, at its own size at 2x, but no wider than `widest` CSS px. */
export async function loopWhole(original: Original, widest: number): Promise<Cut> {
  const loop = await startLoop(animationOf(original));
  return makeLoop(widest < loop.width ? await resized(loop, { width: Math.floor(widest) }) : loop);
}

const resized = async (
  loop: LoopRecipe,
  asked: { width: number } | { height: number },
): Promise<LoopRecipe> => resizeLoop(loop, await naturalSize(loop.source), asked);

/** A loop made again at another display size. */
export const loopAgain = async (
  { loop, fileName }: { readonly loop: LoopRecipe; readonly fileName: string },
  asked: { width: number } | { height: number },
): Promise<Cut> => makeLoop(await resized(loop, asked), fileName);
