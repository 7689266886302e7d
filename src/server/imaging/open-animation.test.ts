import sharp from "sharp";
import { expect, it } from "vitest";
import { openAnimation } from "./open-animation";
import { openOriginal, toPixels } from "./open-original";

/** Frames of one grey each, darker from one to the next, with a red corner so that what is up is known. */
async function animation(count: number, width: number, height: number): Promise<Buffer> {
  const data = Buffer.alloc(count * width * height * 3);
  for (let frame = 0; frame < count; frame += 1) {
    const from = frame * width * height * 3;
    data.fill(250 - frame * 12, from, from + width * height * 3);
    data.set([255, 0, 0], from);
  }
  const raw = { width, height: height * count, channels: 3, pageHeight: height } as const;
  return sharp(data, { raw }).gif().toBuffer();
}

it("frames are the same however many are decoded at a time, in whatever order they are asked for", async () => {
  // Seven of them are decoded at a time.
  const bytes = await animation(20, 1500, 1500);
  const { size, frame } = await openAnimation(bytes);
  expect(size).toEqual({ width: 1500, height: 1500 });
  const seen = new Set<string>();
  expect((await sharp(bytes).metadata()).pages).toBe(20);
  for (const index of [0, 6, 7, 19, 3]) {
    const [together, alone] = [
      await toPixels(await frame(index)),
      await toPixels((await openOriginal(bytes, { frame: index })).pipeline),
    ];
    expect(together.data.equals(alone.data), `frame ${index}`).toBe(true);
    seen.add(String(together.data.subarray(0, 8).join()));
  }
  expect(seen.size).toBe(5);
}, 60_000);

it("a still picture is an animation of one frame", async () => {
  const still = await sharp({ create: { width: 3, height: 2, channels: 3, background: "#3F5B2E" } })
    .png()
    .toBuffer();
  const { size, frame } = await openAnimation(still);
  expect(size).toEqual({ width: 3, height: 2 });
  expect([...(await toPixels(await frame(0))).data.subarray(0, 4)]).toEqual([0x3f, 0x5b, 0x2e, 255]);
});
