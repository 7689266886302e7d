import { describe, expect, it } from "vitest";
import { isAnimatedPng } from "./animated-png";

const chunk = (type: string, content: readonly number[]): Buffer => {
  const length = Buffer.alloc(4);
  length.writeUInt32BE(content.length);
  return Buffer.concat([length, Buffer.from(type), Buffer.from(content), Buffer.alloc(4)]);
};
const png = (...chunks: Buffer[]): Uint8Array =>
  Buffer.concat([Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]), ...chunks]);

const header = chunk("IHDR", new Array<number>(13).fill(1));
const control = (frames: number): Buffer => chunk("acTL", [0, 0, 0, frames, 0, 0, 0, 0]);
const picture = chunk("IDAT", [1, 2, 3]);

describe("a PNG", () => {
  it("moves where it has frames before its picture", () => {
    expect(isAnimatedPng(png(header, control(2), picture))).toBe(true);
    expect(isAnimatedPng(png(header, chunk("tEXt", [97, 0, 98]), control(12), picture))).toBe(true);
  });

  it("stands still with one frame, without frames, and where they are named after the picture", () => {
    expect(isAnimatedPng(png(header, control(1), picture))).toBe(false);
    expect(isAnimatedPng(png(header, picture))).toBe(false);
    expect(isAnimatedPng(png(header, picture, control(2)))).toBe(false);
  });

  it("that is cut short, or lies about its lengths, is read to its end and no further", () => {
    const whole = png(header, control(2), picture);
    // Up to the header of its control chunk, which is the 34th byte on.
    for (let length = 0; length < 8 + header.length + 12; length++)
      expect(isAnimatedPng(whole.subarray(0, length))).toBe(false);
    const lying = Buffer.from(whole);
    lying.writeUInt32BE(0xffffffff, 8);
    expect(isAnimatedPng(lying)).toBe(false);
  });
});
