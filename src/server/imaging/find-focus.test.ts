import { readFile } from "node:fs/promises";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { findFocus } from "./find-focus";

const portrait = (name: string) => readFile(`demo/pictures/originals/${name}.jpg`);

/** How far two parts of a picture are apart, in sides of the first. */
const apart = (
  one: Awaited<ReturnType<typeof findFocus>>,
  other: Awaited<ReturnType<typeof findFocus>>,
): number =>
  Math.max(Math.abs(one.x - other.x), Math.abs(one.y - other.y), Math.abs(one.side - other.side)) / one.side;

describe("the part of a photograph that is suggested", () => {
  it("is around the head, in px of the photograph, whatever its size", async () => {
    const photo = await portrait("bram-uzel");
    const found = await findFocus(photo);
    expect(Math.abs(found.x - 760)).toBeLessThan(40);
    expect(Math.abs(found.y - 400)).toBeLessThan(60);
    const small = await findFocus(await sharp(photo).resize(400).jpeg().toBuffer());
    expect(apart({ x: found.x / 3, y: found.y / 3, side: found.side / 3 }, small)).toBeLessThan(0.2);
  });

  it("is found in a photograph that its camera held sideways", async () => {
    const photo = await portrait("tamsin-okafor");
    const upright = await findFocus(photo);
    // Turned to the left, with a note that says so (EXIF orientation 6 is a quarter turn to the right).
    const turned = await sharp(photo).rotate(270).withMetadata({ orientation: 6 }).jpeg().toBuffer();
    expect(apart(upright, await findFocus(turned))).toBeLessThan(0.1);
  });

  it("is what draws the eye where there is no head, inside the photograph", async () => {
    const field = await sharp({ create: { width: 500, height: 300, channels: 3, background: "#88AA88" } })
      .composite([
        {
          input: await sharp({ create: { width: 60, height: 60, channels: 3, background: "#2030C0" } })
            .png()
            .toBuffer(),
          ...{ left: 400, top: 120 },
        },
      ])
      .png()
      .toBuffer();
    const { x, y, side } = await findFocus(field);
    expect(side).toBe(210);
    expect(x).toBeGreaterThan(250);
    expect([x + side / 2 <= 500, y - side / 2 >= 0, y + side / 2 <= 300]).toEqual([true, true, true]);
  });

  it("is all there is of the smallest picture, and some of a drawing", async () => {
    const dot = await sharp({ create: { width: 1, height: 1, channels: 3, background: "#FFF" } })
      .png()
      .toBuffer();
    expect(await findFocus(dot)).toMatchObject({ side: 1 });
    const drawing = Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="200" height="100"><rect width="200" height="100" fill="#3F5B2E"/></svg>',
    );
    expect((await findFocus(drawing)).side).toBe(70);
  });
});
