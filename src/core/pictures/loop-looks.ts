/**
 * How the several pictures of a loop are cut: each by a recipe of its own, all of them into the loop's one box. Crops are
 * in original px, the box in CSS px.
 */
import { cropToAspect, largestCrop } from "./crop";
import { plainRecipe, type Recipe, type Rectangle, type Size } from "./cut";
import { hasPixels, pixelsNeeded } from "./frame-geometry";
import type { LoopRecipe, LoopSource } from "./loop";

type Pictures = Extract<LoopSource, { kind: "pictures" }>;

/** A loop of several pictures. */
export type PicturesLoop = LoopRecipe & { readonly source: Pictures };

export const isPicturesLoop = (loop: LoopRecipe): loop is PicturesLoop => loop.source.kind === "pictures";

/** Whether a crop has the proportions of a box, but for the rounding of its sides to whole px. */
const fits = (crop: Rectangle, box: Size): boolean =>
  Math.abs(crop.width * box.height - crop.height * box.width) <= Math.max(box.width, box.height);

/** A recipe for the box of a loop. A crop that fits it stays as it is, however often it is asked. */
const fitting = (recipe: Recipe, { width, height, density }: LoopRecipe, original: Size): Recipe => ({
  ...recipe,
  width,
  height,
  density,
  crop: fits(recipe.crop, { width, height })
    ? recipe.crop
    : cropToAspect(recipe.crop, width / height, original),
});

/** The recipes of a loop's pictures; where none has been given, each covers the box. `sizes` are those of its originals. */
export function looksOf(loop: PicturesLoop, sizes: readonly Size[]): readonly Recipe[] {
  const { looks } = loop.source;
  return sizes.map((size, index) =>
    fitting(looks?.[index] ?? plainRecipe(largestCrop(size, loop.width / loop.height), loop), loop, size),
  );
}

/**
 * Changes how pictures of a loop are cut: one of them, or all where `only` is null. A crop is always that of one. A circle
 * makes the box a square, for every picture.
 */
export function changeLooks(
  loop: PicturesLoop,
  sizes: readonly Size[],
  patch: Partial<Recipe>,
  only: number | null,
): PicturesLoop {
  const { crop, ...rest } = patch;
  const round = patch.frame?.shape === "circle" || patch.plate?.shape === "circle";
  const side = Math.min(loop.width, loop.height);
  const boxed = round ? { ...loop, width: side, height: side } : loop;
  const looks = looksOf(loop, sizes).map((look, index) => {
    const own = only === null || only === index ? { ...look, ...rest } : look;
    const cropped = crop && index === only ? { ...own, crop } : own;
    return fitting(cropped, boxed, sizes[index] ?? loop);
  });
  return { ...boxed, source: { ...loop.source, looks } };
}

/**
 * The frames of a loop whose source has other pictures now, as `begun` has them: a picture that was shown already is
 * shown as long as before, and a new one as long as the last.
 */
export function framesKept(begun: LoopRecipe["frames"], before: LoopRecipe["frames"]): LoopRecipe["frames"] {
  const times = new Map<number, number>();
  for (const { picture, time } of before) if (!times.has(picture)) times.set(picture, time);
  const last = before.at(-1)?.time;
  return begun.map((frame) => ({ ...frame, time: times.get(frame.picture) ?? last ?? frame.time }));
}

/**
 * The pixels that the pictures of a loop would need for its density, or null where they have enough. `natural` is the size
 * of the source's first picture, or null where it is not known.
 */
export function loopPixelsNeeded(loop: LoopRecipe, natural: Size | null): Size | null {
  const { source, width, height, density } = loop;
  switch (source.kind) {
    case "ring-cycle":
      return pixelsNeeded({ ...source.picture, width, height, density });
    case "text-reveal":
      return null;
    case "pictures":
      for (const look of source.looks ?? []) {
        const needed = pixelsNeeded({ ...look, width, height, density });
        if (needed) return needed;
      }
      return source.looks || !natural ? null : lacking(natural, loop);
    case "animation":
      return natural && lacking(loop.crop ?? natural, loop);
  }
}

function lacking(shown: Size, { width, height, density }: LoopRecipe): Size | null {
  const needed = { width: width * density, height: height * density };
  return hasPixels(shown, needed) ? null : needed;
}
