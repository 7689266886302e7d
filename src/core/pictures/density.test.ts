import sharp, { type Sharp } from "sharp";
import { describe, expect, it } from "vitest";
import { withDensity } from "./density";

const dot = (): Sharp => sharp({ create: { width: 6, height: 4, channels: 3, background: "#3F5B2E" } });
const same = async (one: Uint8Array, other: Uint8Array): Promise<boolean> =>
  Buffer.compare(await sharp(one).raw().toBuffer(), await sharp(other).raw().toBuffer()) === 0;

describe("the density of a picture", () => {
  it.each([
    ["a PNG that says none", () => dot().png().toBuffer()],
    ["a PNG that says another", () => dot().withMetadata({ density: 300 }).png().toBuffer()],
    ["a JPEG that says another", () => dot().withMetadata({ density: 72 }).jpeg().toBuffer()],
    ["a JPEG that says none", () => dot().jpeg().toBuffer()],
  ])("is said of %s, and what it shows stays", async (_what, make) => {
    const before = await make();
    const after = withDensity(before, 96);
    expect((await sharp(after).metadata()).density).toBe(96);
    expect(await same(before, after)).toBe(true);
    expect(withDensity(after, 96)).toEqual(after);
  });

  it("is not said where there is no room for it, or nothing that it could be said of", async () => {
    const gif = await dot().gif().toBuffer();
    expect(withDensity(gif, 96)).toBe(gif);
    const broken = (await dot().png().toBuffer()).subarray(0, 20);
    expect(withDensity(broken, 96)).toBe(broken);
    expect(withDensity(new Uint8Array(), 96)).toEqual(new Uint8Array());
  });
});
