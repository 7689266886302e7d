import { readFile } from "node:fs/promises";
import { zipSync } from "fflate";
import sharp from "sharp";
import { afterAll, describe, expect, it } from "vitest";
import { largestFile, plainRecipe, wholeCrop } from "@/core/pictures";
import { Refusal } from "../http/refusal";
import { closeImaging, imaging } from "./imaging";
import { animation, plain } from "./pictures-for-tests";

afterAll(closeImaging);

const png = (): Promise<Buffer> => plain(400, 400, "#ff0000");
const svg = (content: string, size = 'width="40" height="30"'): Buffer =>
  Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" ${size}>${content}</svg>`);

/** A PNG that claims another size than it has. */
const withPngSize = (bytes: Buffer, width: number, height: number): Buffer => {
  const changed = Buffer.from(bytes);
  changed.writeUInt32BE(width, 16);
  changed.writeUInt32BE(height, 20);
  return changed;
};

/** A GIF of many frames of 1 × 1 px, written by hand, since an encoder would take minutes. */
function manyFrames(count: number): Buffer {
  const head = Buffer.from(
    [..."GIF89a"]
      .map((letter) => letter.charCodeAt(0))
      .concat([1, 0, 1, 0, 0x80, 0, 0, 0, 0, 0, 255, 255, 255]),
  );
  const frame = Buffer.from([
    0x21, 0xf9, 4, 0, 1, 0, 0, 0, 0x2c, 0, 0, 0, 0, 1, 0, 1, 0, 0, 2, 2, 0x44, 1, 0,
  ]);
  return Buffer.concat([head, ...Array.from({ length: count }, () => frame), Buffer.from([0x3b])]);
}

/** The start of a photo as phones keep it, with no picture in it. */
const heic = Buffer.concat([
  Buffer.from([0, 0, 0, 24]),
  Buffer.from("ftypheic"),
  Buffer.from([0, 0, 0, 0]),
  Buffer.from("mif1heic"),
  Buffer.alloc(200),
]);

const jpegOf = (colorspace: "cmyk" | "srgb"): Promise<Buffer> =>
  sharp({ create: { width: 60, height: 40, channels: 3, background: "#3F5B2E" } })
    .toColorspace(colorspace)
    .jpeg()
    .toBuffer();

const photo = (): Promise<Buffer> => readFile("demo/pictures/originals/bram-uzel.jpg");

const cases: readonly (readonly [
  name: string,
  bytes: () => Promise<Buffer> | Buffer,
  result: RegExp | object,
])[] = [
  ["zero bytes", () => Buffer.alloc(0), /^422 “a” is empty: choose the file again\.$/],
  ["a truncated JPEG", async () => (await photo()).subarray(0, 30_000), /^422 “a” is damaged or cut short/],
  ["a truncated PNG", async () => (await png()).subarray(0, -40), /^422 “a” is damaged or cut short/],
  ["the first bytes of a PNG", async () => (await png()).subarray(0, 20), /^422 “a” is damaged or cut short/],
  ["a page", () => Buffer.from("<!doctype html><p>"), /^415 “a” is a web page and not a picture/],
  ["a text", () => Buffer.from("hello"), /^415 “a” is no picture that can be read here/],
  ["a PDF", () => Buffer.from("%PDF-1.7 …"), /^415 “a” is a PDF/],
  [
    "a file that is too large",
    () => Buffer.alloc(largestFile + 1),
    /^413 “a” has 20\.0 MB, and 20\.0 MB is the most/,
  ],
  [
    "a PNG that claims 40,000 × 40,000 px",
    async () => withPngSize(await png(), 40_000, 40_000),
    /^(413 “a” is 40000 × 40000 px, far more|422 “a” is damaged)/,
  ],
  [
    "an SVG of 40,000 × 40,000",
    () => svg("", 'width="40000" height="40000"'),
    /^413 “a” is 40000 × 40000 px/,
  ],
  ["an SVG of no size", () => svg("<rect/>", 'width="0" height="0"'), /^422 “a” gives no size at which/],
  [
    "an SVG whose sides are a small part of a px",
    () => svg('<rect width="0.2" height="0.1"/>', 'width="0.2" height="0.1"'),
    /^422 “a” gives no size at which it can be drawn, or is damaged: export it with a width and a height/,
  ],
  ["an SVG of sides beyond all numbers", () => svg("", 'width="1e9" height="1e9"'), /^422 “a” gives no size/],
  ["an SVG of one such side", () => svg("", 'width="1e9" height="40"'), /^422 “a” gives no size/],
  [
    "an SVG that leaves its size to what is in it",
    () => svg('<rect width="40" height="30"/>', ""),
    { type: "svg", width: 40, height: 30 },
  ],
  ["a picture that is too wide", () => plain(12_001, 2, "#ff0000"), /^413 “a” is 12001 × 2 px/],
  ["10,000 frames", () => manyFrames(10_000), /^413 “a” has 10,000 frames of 1 × 1 px, more than/],
  ["a HEIC photo", () => heic, /^415 “a” is a HEIC photo, which cannot be read here/],
  [
    "an SVG that needs other files",
    () => svg('<image href="https://a.example/x.png"/>'),
    /^422 “a” takes parts of itself from other files/,
  ],
  [
    "an SVG with entities",
    () =>
      Buffer.from(
        '<?xml version="1.0"?><!DOCTYPE svg [<!ENTITY a "aaaa">]><svg xmlns="http://www.w3.org/2000/svg"/>',
      ),
    /^422 “a” defines entities/,
  ],
  [
    "an SVG with script, which never runs",
    () => svg('<script>while(1);</script><rect width="40" height="30"/>'),
    { type: "svg", width: 40, height: 30 },
  ],
  [
    "a JPEG with the ending of a PNG",
    () => plain(30, 20, "#ff0000", "jpeg"),
    { type: "jpeg", width: 30, height: 20 },
  ],
  ["a CMYK JPEG", () => jpegOf("cmyk"), { type: "jpeg", width: 60, height: 40, transparent: false }],
  [
    "a 16-bit PNG",
    async () =>
      sharp(await png())
        .toColorspace("rgb16")
        .png()
        .toBuffer(),
    { type: "png", width: 400 },
  ],
  [
    "an animated WebP",
    () => animation(["#ff0000", "#00ff00"], { format: "webp" }),
    { type: "webp", frames: 2, width: 40, height: 30 },
  ],
  ["an animated GIF", () => animation(["#ff0000", "#00ff00", "#0000ff"]), { type: "gif", frames: 3 }],
  [
    "an AVIF",
    async () =>
      sharp(await png())
        .avif({ effort: 0 })
        .toBuffer(),
    { type: "avif", width: 400 },
  ],
  [
    "a photo that the camera turned",
    async () =>
      sharp(await plain(30, 20, "#ff0000", "jpeg"))
        .withMetadata({ orientation: 6 })
        .toBuffer(),
    { type: "jpeg", width: 20, height: 30 },
  ],
];

describe("a file that somebody uploads", () => {
  it.each(cases)("%s", async (_name, make, result) => {
    const bytes = await make();
    const answer = await imaging.inspectPicture(bytes, "a").catch((error: unknown) => error);
    if (result instanceof RegExp) {
      expect(answer).toBeInstanceOf(Refusal);
      expect(`${(answer as Refusal).status} ${(answer as Refusal).message}`).toMatch(result);
    } else {
      expect(answer).toMatchObject(result);
      // What is taken is used: it comes out as a cut of its own proportions.
      const { width, height } = answer as { width: number; height: number };
      const cut = await imaging.renderCut(
        bytes,
        plainRecipe(wholeCrop({ width, height }), { width, height }),
      );
      expect(cut.width / cut.height).toBeCloseTo(width / height, 1);
    }
  });

  it("of colours for print comes out in colours for screens", async () => {
    const cut = await imaging.renderCut(await jpegOf("cmyk"), {
      ...plainRecipe(wholeCrop({ width: 60, height: 40 }), { width: 30, height: 20 }),
      format: { kind: "png" },
    });
    const { data, info } = await sharp(cut.bytes).raw().toBuffer({ resolveWithObject: true });
    expect(info.channels).toBeLessThanOrEqual(4);
    for (const [index, expected] of [0x3f, 0x5b, 0x2e].entries())
      expect(Math.abs(data[index]! - expected)).toBeLessThan(32);
  });
});

describe("an SVG of long sides", { timeout: 120_000 }, () => {
  it.each([
    [12_000, 1],
    [1, 12_000],
    [7000, 7000],
  ])("of %s × %s px is shown and cut, however small", async (width, height) => {
    const bytes = svg(`<rect width="${width}" height="${height}"/>`, `width="${width}" height="${height}"`);
    await imaging.inspectPicture(bytes, "a");
    expect((await imaging.viewPicture(bytes, { width: 200, height: 200 })).length).toBeGreaterThan(0);
    const display = { width: Math.min(200, width), height: Math.min(200, height) };
    const cut = await imaging.renderCut(bytes, plainRecipe(wholeCrop({ width, height }), display));
    expect([cut.width, cut.height]).toEqual([2 * display.width, 2 * display.height]);
  });
});

describe("an archive", () => {
  const refusalOf = async (bytes: Uint8Array): Promise<string> => {
    const error = await imaging.unpackArchive(bytes, "a.zip").catch((reason: unknown) => reason);
    expect(error).toBeInstanceOf(Refusal);
    return (error as Refusal).message;
  };

  it("gives its pictures, those of one name apart, and nothing that a file system left in it", async () => {
    const bytes = await png();
    const files = await imaging.unpackArchive(
      zipSync({ "one/a.png": bytes, "two/a.png": bytes, "__MACOSX/._a.png": bytes, ".hidden": bytes }),
      "a.zip",
    );
    expect(files.map(({ name, bytes: own }) => [name, own.length])).toEqual([
      ["a.png", bytes.length],
      ["a.png", bytes.length],
    ]);
  });

  it("that is a bomb is refused while it is unpacked", async () => {
    const zeros = new Uint8Array(largestFile + 1024);
    expect(await refusalOf(zipSync({ "a.png": zeros }))).toMatch(
      /^“a\.zip” unpacks to more than 200 files, 20 MB each/,
    );
    const many = Object.fromEntries(
      Array.from({ length: 201 }, (_, index) => [`${index}.png`, new Uint8Array(8)]),
    );
    expect(await refusalOf(zipSync(many))).toMatch(/^“a\.zip” unpacks to more than 200 files/);
    const million = new Uint8Array(19 * 1024 * 1024);
    const together = Object.fromEntries(Array.from({ length: 6 }, (_, index) => [`${index}.png`, million]));
    expect(await refusalOf(zipSync(together))).toMatch(/100 MB together/);
  }, 30_000);

  it("that is damaged or empty is refused", async () => {
    const whole = zipSync({ "a.png": await png() });
    expect(await refusalOf(whole.subarray(0, whole.length >> 1))).toBe(
      "“a.zip” is damaged, cut short or locked: pack it again.",
    );
    expect(await refusalOf(zipSync({}))).toBe("“a.zip” holds no file: choose another archive.");
  });
});

describe("the worker processes", () => {
  it("hold less than 1 GiB after all of it, with the largest pictures that are taken", async () => {
    const large = await plain(7000, 7000, "#3F5B2E", "jpeg");
    await imaging.inspectPicture(large, "large.jpg");
    await imaging.renderCut(
      large,
      plainRecipe(wholeCrop({ width: 7000, height: 7000 }), { width: 300, height: 300 }),
    );
    // Asked for at once, they are spread over all workers.
    const held = await Promise.all(Array.from({ length: 8 }, () => imaging.memory()));
    expect(Math.max(...held)).toBeLessThan(1024 ** 3);
  }, 30_000);

  it("give up what cannot be drawn with a sentence, and go on with the next", async () => {
    await expect(
      imaging.renderCut(
        Buffer.from("nothing"),
        plainRecipe({ x: 0, y: 0, width: 1, height: 1 }, { width: 1, height: 1 }),
      ),
    ).rejects.toThrow();
    expect(await imaging.inspectPicture(await png(), "a.png")).toMatchObject({ type: "png" });
  });
});
