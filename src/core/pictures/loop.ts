/**
 * Loops: short animations as recipes. A loop has a source that gives numbered pictures, and a list of frames that
 * says which picture is shown for how long. Times are milliseconds; a GIF holds them in hundredths of a second.
 */
import { contentHash } from "../addresses";
import {
  color,
  count,
  describeValue,
  flag,
  list,
  maybe,
  milliseconds,
  object,
  optional,
  px,
  tagged,
  text,
  type TypeOf,
} from "../values";
import {
  cropValue,
  densityValue,
  displaySide,
  displaySize,
  proportionsOf,
  recipeValue,
  type Density,
  type Size,
} from "./cut";
import { mostFrames } from "./limits";

/** Browsers draw frames that ask for less at 100 ms. */
export const shortestTime = 20;
export const longestTime = 10_000;

const original = contentHash("an original");

export const revealedText = object(
  {
    words: text(120),
    font: text(60),
    size: px(8, 96),
    bold: flag,
    color,
    /** Null for a clear background. */
    background: optional(color),
  },
  "a text",
);
export type RevealedText = TypeOf<typeof revealedText>;

export const ringColors = list(color, { least: 1, most: 12, what: "colours" });

export const loopSourceValue = tagged("kind", {
  /** The frames of an animation that was uploaded. */
  animation: { original, count: count(1, mostFrames) },
  /** Several originals one after the other, each cut by its recipe; without recipes, each covers the same box. */
  pictures: {
    originals: list(original, { least: 1, most: 60, what: "pictures" }),
    looks: maybe(list(recipeValue, { least: 1, most: 60, what: "recipes" })),
  },
  /** A framed photo whose ring steps through colours, there and back. */
  "ring-cycle": { original, picture: recipeValue, colors: ringColors },
  /** A line of text that appears word by word; picture 0 has none of the words, the last has them all. */
  "text-reveal": { text: revealedText },
});
export type LoopSource = TypeOf<typeof loopSourceValue>;

/** Which picture of the source is shown, from 0, and for how long. */
const loopFrame = object(
  { picture: count(0, 10_000), time: milliseconds(shortestTime, longestTime, 10) },
  "a frame",
);
export type LoopFrame = TypeOf<typeof loopFrame>;
export const frameTimeValue = loopFrame.fields.time;

const loopParts = object(
  {
    source: loopSourceValue,
    frames: list(loopFrame, { least: 1, most: mostFrames, what: "frames" }),
    /** 0 repeats for ever. */
    repeats: count(0, 100),
    /** Colours of the palette. */
    colors: count(2, 256),
    /** What of each picture of an animation is shown; null for all of it. */
    crop: optional(cropValue),
    width: displaySide,
    height: displaySide,
    density: densityValue,
    /**
     * Mixed into half-clear edges, and laid under everything clear when `solid`. Null makes hard edges, which show no
     * rim on any canvas.
     */
    fill: optional(color),
    solid: flag,
  },
  "a loop",
);
export const loopFields = loopParts.fields;
export type LoopRecipe = TypeOf<typeof loopParts>;

/** A loop none of whose frames shows a picture that its source does not have. */
export const loopValue = describeValue<LoopRecipe, "loop">("loop", (given) => {
  const complaint = loopParts.check(given);
  if (complaint !== null) return complaint;
  const { source, frames } = loopParts.read(given);
  if (source.kind === "pictures" && source.looks && source.looks.length !== source.originals.length)
    return "has not one recipe for each of its pictures";
  return frames.every(({ picture }) => picture < pictureCount(source))
    ? null
    : "has a frame that shows a picture that its source does not have";
});

/** A time that a GIF can hold. */
export const frameTime = (time: number): number =>
  Math.round(Math.max(shortestTime, Math.min(longestTime, time)) / 10) * 10;

/** The order in which a ring steps through its colours: there and back, without a stop at either end. */
export const thereAndBack = <T>(steps: readonly T[]): readonly T[] => [
  ...steps,
  ...steps.slice(1, -1).reverse(),
];

export const wordsOf = (text: string): readonly string[] => text.split(/\s+/).filter((word) => word !== "");

/** How many pictures a source has. */
export function pictureCount(source: LoopSource): number {
  switch (source.kind) {
    case "animation":
      return source.count;
    case "pictures":
      return source.originals.length;
    case "ring-cycle":
      return source.colors.length;
    case "text-reveal":
      return wordsOf(source.text.words).length + 1;
  }
}

/**
 * The frames that a source begins with. Those of a text begin with the whole of it, since some clients show only
 * the first frame; then the words come one by one.
 */
export function firstFrames(source: LoopSource, times: readonly number[] = []): readonly LoopFrame[] {
  const count = pictureCount(source);
  const all = Array.from({ length: count }, (_, picture) => picture);
  switch (source.kind) {
    case "animation":
      return all.map((picture) => ({ picture, time: frameTime(times[picture] ?? 100) }));
    case "pictures":
      return all.map((picture) => ({ picture, time: 1500 }));
    case "ring-cycle":
      return thereAndBack(all).map((picture) => ({ picture, time: 600 }));
    case "text-reveal":
      return [
        { picture: count - 1, time: 2500 },
        ...all.slice(1, -1).map((picture) => ({ picture, time: 450 })),
      ];
  }
}

/** A frame at another place in the order. */
export function moveFrame(frames: readonly LoopFrame[], from: number, to: number): readonly LoopFrame[] {
  if (from === to || !frames[from] || to < 0 || to >= frames.length) return frames;
  const moved = frames.filter((_, index) => index !== from);
  moved.splice(to, 0, frames[from]);
  return moved;
}

/** All but one frame; the last one stays. */
export const removeFrame = (frames: readonly LoopFrame[], at: number): readonly LoopFrame[] =>
  frames.length > 1 && frames[at] ? frames.filter((_, index) => index !== at) : frames;

/** The same round begun at another frame. */
export const beginAt = (frames: readonly LoopFrame[], first: number): readonly LoopFrame[] =>
  first > 0 && frames[first] ? [...frames.slice(first), ...frames.slice(0, first)] : frames;

export const setFrameTime = (frames: readonly LoopFrame[], at: number, time: number): readonly LoopFrame[] =>
  frames.map((frame, index) => (index === at ? { ...frame, time: frameTime(time) } : frame));

/** All times divided by a speed: 2 is twice as fast. */
export const changeSpeed = (frames: readonly LoopFrame[], speed: number): readonly LoopFrame[] =>
  frames.map((frame) => ({ ...frame, time: frameTime(frame.time / speed) }));

/** Every second frame, each shown for the time of the two. */
export const halveFrames = (frames: readonly LoopFrame[]): readonly LoopFrame[] =>
  frames.flatMap((frame, index) =>
    index % 2 === 1 ? [] : [{ ...frame, time: frameTime(frame.time + (frames[index + 1]?.time ?? 0)) }],
  );

/** One round; ms. */
export const roundTime = (frames: readonly LoopFrame[]): number =>
  frames.reduce((sum, { time }) => sum + time, 0);

/** The proportions that a loop's display size keeps. `natural` is the size of the source's first picture. */
export const loopProportions = (
  { source, crop, width, height }: Pick<LoopRecipe, "source" | "crop" | "width" | "height">,
  natural: Size,
): Size => {
  if (source.kind === "ring-cycle") return proportionsOf(source.picture);
  return source.kind === "pictures" && source.looks ? { width, height } : (crop ?? natural);
};

/** Loops are drawn large enough for a sharp display where their weight allows it. */
export function firstLoop(source: LoopSource, natural: Size, times: readonly number[] = []): LoopRecipe {
  const size =
    source.kind === "ring-cycle"
      ? { width: source.picture.width, height: source.picture.height }
      : source.kind === "text-reveal"
        ? natural
        : displaySize(natural, { width: Math.max(1, Math.min(300, Math.round(natural.width / 2))) });
  return {
    source,
    frames: firstFrames(source, times),
    repeats: 0,
    colors: 128,
    crop: null,
    ...size,
    density: 2,
    fill: null,
    solid: false,
  };
}

/**
 * A loop at another exact width or height. The photo inside a ring is cut at the loop's own size, so that the ring stays
 * as wide as it says. `natural` is the size of the source's first picture. Throws as `displaySize` does.
 */
export function resizeLoop(
  loop: LoopRecipe,
  natural: Size,
  asked: { width: number } | { height: number },
): LoopRecipe {
  const size = displaySize(loopProportions(loop, natural), asked);
  const { source } = loop;
  if (source.kind === "ring-cycle")
    return { ...loop, ...size, source: { ...source, picture: { ...source.picture, ...size } } };
  if (source.kind === "pictures" && source.looks)
    return {
      ...loop,
      ...size,
      source: { ...source, looks: source.looks.map((look) => ({ ...look, ...size })) },
    };
  return { ...loop, ...size };
}

/** The originals that a loop is made of. */
export function originalsOfLoop(source: LoopSource): readonly string[] {
  switch (source.kind) {
    case "animation":
    case "ring-cycle":
      return [source.original];
    case "pictures":
      return source.originals;
    case "text-reveal":
      return [];
  }
}

export interface LighterLoop {
  readonly what: "fewer-colors" | "fewer-frames" | "smaller";
  readonly loop: LoopRecipe;
}

/** What would bring a loop's weight down, each by itself; what cannot be had is left out. */
export function lighterLoops(loop: LoopRecipe): readonly LighterLoop[] {
  const { colors, frames, density, width, height } = loop;
  const smaller =
    density > 1
      ? { ...loop, density: (density - 1) as Density }
      : {
          ...loop,
          width: Math.max(1, Math.round(width * 0.75)),
          height: Math.max(1, Math.round(height * 0.75)),
        };
  return [
    ...(colors > 8
      ? [{ what: "fewer-colors" as const, loop: { ...loop, colors: Math.round(colors / 2) } }]
      : []),
    ...(frames.length > 3
      ? [{ what: "fewer-frames" as const, loop: { ...loop, frames: halveFrames(frames) } }]
      : []),
    { what: "smaller" as const, loop: smaller },
  ];
}
