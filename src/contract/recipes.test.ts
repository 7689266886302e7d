import { describe, expect, it } from "vitest";
import { loopValue, plainRecipe, recipeValue, type Recipe } from "@/core/pictures";
import { readInput } from "./yup-of";

const good = plainRecipe({ x: 0, y: 0, width: 10, height: 10 }, { width: 5, height: 5 });

describe("a recipe from outside", () => {
  it("is read as it is", async () => {
    expect(await readInput(recipeValue, good)).toEqual(good);
    const ringed: Recipe = {
      ...good,
      frame: { shape: "circle", ring: { width: 2, gap: 1, color: "#FF0000" } },
    };
    expect(await readInput(recipeValue, ringed)).toEqual(ringed);
  });

  it.each([
    [{ width: 0 }, /^Width must be .* not 0\.$/],
    [{ width: 2.5 }, /^Width must be .* not 2\.5\.$/],
    [{ density: 4 }, /^Density must be .* not 4\.$/],
    [{ fill: "red" }, /^Fill must be a colour such as #3F5B2E, not "red"\.$/],
    [{ frame: { shape: "star" } }, /^Frame.* not "star"\.$/],
    [{ format: { kind: "jpeg", quality: 5 } }, /^Format.*quality must be a number from 30.* not 5\.$/],
    [{ clear: { color: "#FFFFFF", tolerance: 61, softness: 0 } }, /tolerance must be a number from 0 to 60/],
    [{ clear: { color: "#FFFFFF", tolerance: -1, softness: 0 } }, /tolerance must be a number from 0 to 60/],
    [{ extra: 1 }, "There is no field “extra” here."],
  ] as const)("%j is refused", async (patch, message) => {
    await expect(readInput(recipeValue, { ...good, ...patch })).rejects.toThrow(message);
  });

  it("of a loop names only pictures that its source has", async () => {
    const loop = {
      source: { kind: "pictures", originals: ["0123456789abcdef0123"] },
      frames: [{ picture: 0, time: 100 }],
      repeats: 0,
      colors: 16,
      crop: null,
      width: 10,
      height: 10,
      density: 2,
      fill: "#FFFFFF",
      solid: false,
    };
    expect(await readInput(loopValue, loop)).toEqual(loop);
    await expect(readInput(loopValue, { ...loop, frames: [{ picture: 1, time: 100 }] })).rejects.toThrow(
      "a frame that shows a picture that its source does not have.",
    );
    await expect(readInput(loopValue, { ...loop, colors: 1 })).rejects.toThrow(
      /colors must be a number from 2 .* not 1\.$/,
    );
  });
});
