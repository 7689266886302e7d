/**
 * A process of its own that decodes, draws and encodes pictures: what a hostile file can do to it, the server does
 * not notice. Started by `imaging.ts`, never imported.
 */
import sharp from "sharp";
import workerpool from "workerpool";
import type { LoopRecipe, Recipe } from "@/core/pictures";
import type { Initials } from "@/core/signature";
import { drawInitials } from "./draw-initials";
import { colorsOf } from "./colors-of";
import { findContent } from "./find-content";
import { findFocus } from "./find-focus";
import { inspectPicture } from "./inspect-picture";
import { renderCut, renderPreview } from "./render-cut";
import { renderLoop, renderLoopPicture, type Originals } from "./render-loop";
import { layText } from "./reveal-text";
import { unpackArchive } from "./unpack-archive";
import { viewPicture } from "./view-picture";
import { findBackground, frameTimes } from "./describe-picture";

// The pool is what runs side by side; each picture gets one thread, and nothing is kept between two.
sharp.concurrency(1);
sharp.cache(false);

const tasks = {
  inspectPicture,
  unpackArchive: (archive: Uint8Array, name: string) => unpackArchive(archive, name),
  renderCut: (original: Uint8Array, recipe: Recipe) => renderCut(original, recipe),
  renderInitials: (initials: Initials, recipe: Recipe) => renderCut(drawInitials(initials), recipe),
  renderPreview: (original: Uint8Array, recipe: Recipe) => renderPreview(original, recipe),
  renderLoop: (loop: LoopRecipe, originals: Originals) => renderLoop(loop, originals),
  renderLoopPicture,
  viewPicture,
  findBackground,
  frameTimes,
  findContent,
  findFocus,
  colorsOf,
  measureText: (text: Parameters<typeof layText>[0]) => {
    const { width, height } = layText(text);
    return { width, height };
  },
  /** The most memory that this process has held; bytes. */
  memory: () => process.resourceUsage().maxRSS * 1024,
};

export type ImagingTasks = typeof tasks;

workerpool.worker(tasks);
