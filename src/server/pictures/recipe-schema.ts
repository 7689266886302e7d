/** Recipes as they come from outside, checked; and as older ones were kept, made whole. */
import type { mixed } from "yup";
import { array, boolean, number, object, string } from "yup";
import {
  largestDisplay,
  longestSide,
  longestTime,
  mostFrames,
  pictureCount,
  plainRecipe,
  shortestTime,
  type Format,
  type Frame,
  type LoopRecipe,
  type LoopSource,
  type Recipe,
} from "@/core/pictures";
import { colorField, hashField, taggedField } from "../http/fields";

const color = colorField;
const between = (least: number, most: number, what: string) =>
  number().required().min(least, `${what} is at least ${least}.`).max(most, `${what} is at most ${most}.`);
const side = (what: string) => between(1, largestDisplay, what).integer(`${what} is a whole number of px.`);
const originalHash = () => hashField("Name an original.");

const crop = object({
  x: number().required().min(0),
  y: number().required().min(0),
  width: between(1, longestSide, "A crop's width"),
  height: between(1, longestSide, "A crop's height"),
});

const ring = object({
  width: between(0.5, 40, "A ring's width"),
  gap: between(0, 40, "A ring's gap"),
  color: color().required(),
});

const frames = {
  rectangle: object({ shape: string().required() }),
  rounded: object({ shape: string().required(), radius: between(0, 600, "A radius") }),
  circle: object({ shape: string().required(), ring: ring.nullable().defined() }),
  ellipse: object({ shape: string().required() }),
  "soft-ellipse": object({ shape: string().required(), softness: between(0, 1, "A softness") }),
};

const frame = taggedField("shape", frames);

const formats = {
  lightest: object({ kind: string().required() }),
  png: object({ kind: string().required() }),
  palette: object({ kind: string().required(), colors: number().required().oneOf([2, 4, 16, 256]) }),
  jpeg: object({ kind: string().required(), quality: between(30, 100, "A quality").integer() }),
};

const format = taggedField("kind", formats);

const fields = {
  crop: crop.required(),
  clear: object({
    color: color().required(),
    tolerance: between(0, 100, "A tolerance"),
    softness: between(0, 100, "A softness"),
  })
    .nullable()
    .defined(),
  tint: color().nullable().defined(),
  plate: object({
    shape: string()
      .required()
      .oneOf(["circle", "rounded", "rectangle"] as const),
    color: color().required(),
    margin: between(0, 200, "A plate's margin"),
    radius: between(0, 600, "A plate's radius"),
    line: number().min(0.5, "A plate's line is at least 0.5 px.").max(40, "A plate's line is at most 40 px."),
  })
    .nullable()
    .defined(),
  frame: frame as unknown as ReturnType<typeof mixed<Frame>>,
  width: side("A width"),
  height: side("A height"),
  density: number()
    .required()
    .oneOf([1, 2, 3] as const),
  enlarge: boolean().required(),
  fill: color().nullable().defined(),
  format: format as unknown as ReturnType<typeof mixed<Format>>,
  use: string()
    .oneOf(["photo", "logo", "icon", "banner"] as const)
    .nullable()
    .defined(),
};

export const recipeSchema = object(fields);

/** Rejects with a ValidationError that says what is wrong. */
export const readRecipe = async (input: unknown): Promise<Recipe> =>
  (await recipeSchema.validate(input, { stripUnknown: true })) as Recipe;

/** A recipe as it was kept: what recipes did not hold at the time is filled in. */
export function keptRecipe(text: string): Recipe {
  const kept = JSON.parse(text) as Partial<Recipe> & Pick<Recipe, "crop" | "width" | "height">;
  const recipe = { ...plainRecipe(kept.crop, kept), ...kept };
  const { frame: own } = recipe;
  return own.shape === "circle" && own.ring
    ? { ...recipe, frame: { ...own, ring: { ...own.ring, gap: own.ring.gap ?? 0 } } }
    : recipe;
}

const text = object({
  words: string().required("Write the words that are to appear.").max(120),
  font: string().required().max(60),
  size: between(8, 96, "A size"),
  bold: boolean().required(),
  color: color().required(),
  background: color().nullable().defined(),
});

const sources = {
  animation: object({
    kind: string().required(),
    original: originalHash(),
    count: between(1, mostFrames, "The number of frames").integer(),
  }),
  pictures: object({
    kind: string().required(),
    originals: array(originalHash()).required().min(1, "Choose at least one picture.").max(60),
  }),
  "ring-cycle": object({
    kind: string().required(),
    original: originalHash(),
    picture: recipeSchema.required(),
    colors: array(color().required())
      .required()
      .min(1, "A ring has at least one colour.")
      .max(12, "A ring has at most 12 colours."),
  }),
  "text-reveal": object({ kind: string().required(), text: text.required() }),
};

const source = taggedField("kind", sources);

/** Rejects with a ValidationError that says what is wrong. */
export const readLoopSource = async (input: unknown): Promise<LoopSource> =>
  (await object({ source }).validate({ source: input }, { stripUnknown: true })).source as LoopSource;

const loopSchema = object({
  source: source as unknown as ReturnType<typeof mixed<LoopSource>>,
  frames: array(
    object({
      picture: number().required().integer().min(0),
      time: between(shortestTime, longestTime, "A frame's time"),
    }),
  )
    .required()
    .min(1, "A loop has at least one frame.")
    .max(mostFrames, `A loop has at most ${mostFrames} frames.`),
  repeats: between(0, 100, "The number of repeats").integer(),
  colors: between(2, 256, "The number of colours").integer(),
  crop: crop.nullable().default(null),
  width: side("A width"),
  height: side("A height"),
  density: number()
    .required()
    .oneOf([1, 2, 3] as const),
  fill: color().nullable().defined(),
  solid: boolean().required(),
}).test(
  "pictures",
  "A frame shows a picture that its source does not have.",
  ({ source: own, frames: all }) => all.every(({ picture }) => picture < pictureCount(own as LoopSource)),
);

/** Rejects with a ValidationError that says what is wrong. */
export const readLoop = async (input: unknown): Promise<LoopRecipe> =>
  (await loopSchema.validate(input, { stripUnknown: true })) as unknown as LoopRecipe;
