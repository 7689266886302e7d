import { mkdtemp, readFile, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { largestFile } from "@/core/pictures";
import { Refusal } from "../http/refusal";
import { inspectPicture } from "./inspect-picture";
import { addOriginal, cutAgain, cutWhole, findCuts, readHosted } from "./pictures";
import { renderCut } from "./render-cut";
import { setJpegDensity, setPngDensity } from "./set-density";

let folder: string;

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
});

afterAll(() => rm(folder, { recursive: true, force: true }));

const plain = (
  width: number,
  height: number,
  background: string,
  format: "png" | "jpeg" = "png",
): Promise<Buffer> =>
  sharp({ create: { width, height, channels: 3, background } })
    .toFormat(format)
    .toBuffer();

async function pixels(bytes: Buffer) {
  const { data, info } = await sharp(bytes).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  return {
    width: info.width,
    height: info.height,
    at: (x: number, y: number): number[] => [
      ...data.subarray((y * info.width + x) * 4, (y * info.width + x) * 4 + 4),
    ],
  };
}

/** An unsigned 32-bit big-endian chunk of a PNG, for files that claim what they are not. */
const withPngSize = (png: Buffer, width: number, height: number): Buffer => {
  const changed = Buffer.from(png);
  changed.writeUInt32BE(width, 16);
  changed.writeUInt32BE(height, 20);
  return changed;
};

describe("an uploaded file", () => {
  const refusal = async (bytes: Uint8Array, name = "a.png"): Promise<string> => {
    const error = await inspectPicture(bytes, name).catch((reason: unknown) => reason);
    expect(error).toBeInstanceOf(Refusal);
    return `${(error as Refusal).status} ${(error as Refusal).message}`;
  };

  it("that is a PNG or JPEG is taken, by its content and not its name", async () => {
    expect(await inspectPicture(await plain(30, 20, "#ff0000"), "a.txt")).toEqual({
      type: "png",
      width: 30,
      height: 20,
      transparent: false,
    });
    expect(await inspectPicture(await plain(30, 20, "#ff0000", "jpeg"), "a.png")).toMatchObject({
      type: "jpeg",
    });
  });

  it("has its size told as it will be seen, with the camera's orientation applied", async () => {
    const turned = await sharp(await plain(30, 20, "#ff0000", "jpeg"))
      .withMetadata({ orientation: 6 })
      .toBuffer();
    expect(await inspectPicture(turned, "a.jpg")).toMatchObject({ width: 20, height: 30 });
  });

  it("that cannot be used is refused in one sentence", async () => {
    const png = await plain(400, 400, "#ff0000");
    expect(await refusal(new Uint8Array())).toBe("422 “a.png” is empty: choose the file again.");
    expect(await refusal(Buffer.from("<!doctype html><p>"))).toMatch(
      /^415 “a\.png” is a web page and not a picture/,
    );
    expect(await refusal(Buffer.from("GIF89a..."))).toMatch(/^415 “a\.png” is a GIF/);
    expect(await refusal(png.subarray(0, png.length - 40))).toMatch(/^422 “a\.png” is damaged or cut short/);
    expect(await refusal(png.subarray(0, 20))).toMatch(/^422 “a\.png” is damaged or cut short/);
    expect(await refusal(Buffer.alloc(largestFile + 1))).toBe(
      "413 “a.png” has 20.0 MB, and 20.0 MB is the most: save it smaller first.",
    );
    expect(await refusal(withPngSize(png, 40_000, 40_000))).toMatch(
      /^(413 “a\.png” is 40000 × 40000 px|422 “a\.png” is damaged)/,
    );
    expect(await refusal(await plain(12_001, 2, "#ff0000"))).toMatch(
      /^413 “a\.png” is 12001 × 2 px, far more than a signature needs/,
    );
  });
});

describe("a cut", () => {
  it("of a logo 75 px high is 150 px high, at 96 dpi, with nothing of the camera's left in it", async () => {
    const logo = await readFile("demo/pictures/originals/harrow-fen-logo.png");
    const cut = await renderCut(
      logo,
      {
        crop: { x: 0, y: 0, width: 568, height: 200 },
        frame: { shape: "rectangle" },
        width: 213,
        height: 75,
        density: 2,
      },
      "png",
    );
    const header = await sharp(cut.bytes).metadata();
    expect([header.width, header.height, header.density]).toEqual([426, 150, 96]);
    expect(header.exif).toBeUndefined();
    expect((await pixels(cut.bytes)).at(0, 0)[3]).toBe(0);
  });

  it("in a circle has clear corners, the crop's own centre, and its ring in its colour", async () => {
    const left = await plain(50, 100, "#ff0000");
    const original = await sharp({ create: { width: 100, height: 100, channels: 3, background: "#0000ff" } })
      .composite([{ input: left, left: 0, top: 0 }])
      .png()
      .toBuffer();
    const cut = await renderCut(
      original,
      {
        crop: { x: 0, y: 0, width: 50, height: 50 },
        frame: { shape: "circle", ring: { width: 3, color: "#C08A2B" } },
        width: 40,
        height: 40,
        density: 2,
      },
      "jpeg",
    );
    expect(cut.type).toBe("png");
    const picture = await pixels(cut.bytes);
    expect([picture.width, picture.height]).toEqual([80, 80]);
    for (const [x, y] of [
      [0, 0],
      [79, 0],
      [0, 79],
      [79, 79],
    ] as const)
      expect(picture.at(x, y)[3]).toBe(0);
    expect(picture.at(40, 40)).toEqual([255, 0, 0, 255]);
    expect(picture.at(40, 3)).toEqual([0xc0, 0x8a, 0x2b, 255]);
  });

  it("that is rounded is clear in its corners only", async () => {
    const cut = await renderCut(
      await plain(80, 40, "#3F5B2E"),
      {
        crop: { x: 0, y: 0, width: 80, height: 40 },
        frame: { shape: "rounded", radius: 6 },
        width: 40,
        height: 20,
        density: 2,
      },
      "png",
    );
    const picture = await pixels(cut.bytes);
    expect(picture.at(0, 0)[3]).toBe(0);
    expect(picture.at(40, 0)).toEqual([0x3f, 0x5b, 0x2e, 255]);
  });

  it("of a photo stays a JPEG, and the same recipe gives the same bytes", async () => {
    const photo = await readFile("demo/pictures/originals/anjali-rao.jpg");
    const recipe = {
      crop: { x: 100, y: 0, width: 800, height: 600 },
      frame: { shape: "rectangle" },
      width: 120,
      height: 90,
      density: 2,
    } as const;
    const [one, other] = await Promise.all([
      renderCut(photo, recipe, "jpeg"),
      renderCut(photo, recipe, "jpeg"),
    ]);
    expect(await sharp(one.bytes).metadata()).toMatchObject({ width: 240, height: 180, density: 96 });
    expect(one.type).toBe("jpeg");
    expect(one.hash).toBe(other.hash);
  });
});

describe("writing density", () => {
  it("takes the place of the density that is there", async () => {
    const jpeg = await plain(8, 8, "#ff0000", "jpeg");
    const once = setJpegDensity(jpeg, 144);
    expect((await sharp(once).metadata()).density).toBe(144);
    expect(setJpegDensity(once, 96)).toHaveLength(once.length);
    const png = setPngDensity(await plain(8, 8, "#ff0000"), 144);
    expect((await sharp(png).metadata()).density).toBe(144);
    expect(setPngDensity(png, 96)).toHaveLength(png.length);
  });

  it("refuses bytes of another type", () => {
    expect(() => setPngDensity(Buffer.from("not a picture"), 96)).toThrow("These bytes are no PNG");
    expect(() => setJpegDensity(Buffer.from("not a picture"), 96)).toThrow("These bytes are no JPEG");
  });
});

describe("the picture store", () => {
  it("keeps the original untouched, cuts it to an exact display size at 2x, and serves the cut by its content", async () => {
    const photo = await readFile("demo/pictures/originals/anjali-rao.jpg");
    const original = await addOriginal(photo, "Anjali Rao.jpg");
    expect(original).toMatchObject({
      name: "Anjali Rao.jpg",
      type: "jpeg",
      width: 1200,
      height: 900,
      bytes: photo.length,
      transparent: false,
    });
    expect(await readFile(path.join(folder, "pictures/originals", original.hash))).toEqual(photo);

    const first = await cutWhole(original.hash, 98);
    expect(first).toMatchObject({ width: 98, height: 74 });
    const sized = await cutAgain(first.source, { height: 75 });
    expect(sized).toMatchObject({ width: 100, height: 75 });
    expect(sized.source).toMatch(/^\/h\/[0-9a-f]{20}\/anjali-rao\.jpg$/);
    expect(sized.source).not.toBe(first.source);

    const [, , hash, name] = sized.source.split("/") as [string, string, string, string];
    const hosted = (await readHosted(hash, name))!;
    expect(await sharp(hosted.bytes).metadata()).toMatchObject({ width: 200, height: 150, format: "jpeg" });
    expect(await readHosted(hash, "other.jpg")).toBeNull();
    expect((await findCuts([first.source, "https://a.example/x.png"])).map(({ source }) => source)).toEqual([
      first.source,
    ]);
  });

  it("takes the same bytes again as the same original, and sizes only what is hosted", async () => {
    const bytes = await plain(64, 64, "#C08A2B");
    expect((await addOriginal(bytes, "one.png")).hash).toBe((await addOriginal(bytes, "two.png")).hash);
    await expect(cutAgain("https://a.example/x.png", { width: 10 })).rejects.toThrow(
      "This picture is not hosted here, so it cannot be cut",
    );
    await expect(cutWhole("0123456789abcdef0123", 10)).rejects.toThrow("There is no such original any more.");
  });
});
