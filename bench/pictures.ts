/**
 * Cuts against a bare sharp pipeline that does the same resize and encode, in one run and turn about, so that both
 * meet the same machine; and loops against `gifsicle -O3` over the same frames and colours, where it is installed.
 * What is measured beside it, the lightest file that looks the same, encodes several times and has no bare twin.
 */
import { spawnSync } from "node:child_process";
import { readFileSync } from "node:fs";
import path from "node:path";
import sharp, { type Sharp } from "sharp";
import {
  changeRecipe,
  cutGeometry,
  firstLoop,
  plainRecipe,
  resizeRecipe,
  wholeCrop,
  type LoopSource,
  type Recipe,
} from "@/core/pictures";
import { drawMask } from "@/server/imaging/draw-outline";
import { renderCut } from "@/server/imaging/render-cut";
import { renderLoop } from "@/server/imaging/render-loop";
import { layText } from "@/server/imaging/reveal-text";
import { setJpegDensity, setPngDensity } from "@/server/imaging/set-density";

sharp.concurrency(1);
sharp.cache(false);

const rounds = 25;
const bound = 1.15;
const heaviest = 1.1;
const hash = "0123456789abcdef0123";

const read = (name: string): Buffer => readFileSync(path.join("demo/pictures/originals", name));

interface Case {
  readonly name: string;
  readonly original: Buffer;
  readonly recipe: Recipe;
}

async function cases(): Promise<readonly Case[]> {
  const photo = read("tamsin-okafor.jpg");
  const phone = await sharp(photo).resize(4032, 3024).jpeg({ quality: 92 }).toBuffer();
  const rectangle = plainRecipe(wholeCrop({ width: 1200, height: 900 }), { width: 240, height: 180 });
  const logo = plainRecipe(wholeCrop({ width: 568, height: 200 }), { width: 1, height: 1 });
  const circle = changeRecipe(
    plainRecipe({ x: 300, y: 100, width: 500, height: 500 }, { width: 96, height: 96 }),
    { frame: { shape: "circle", ring: null }, format: { kind: "palette", colors: 256 } },
  );
  return [
    {
      name: "photo, 480 × 360 JPEG",
      original: photo,
      recipe: { ...rectangle, format: { kind: "jpeg", quality: 80 } },
    },
    { name: "portrait in a circle, 192 × 192 palette", original: photo, recipe: circle },
    {
      name: "phone's photo of 12 MP, 480 × 360 JPEG",
      original: phone,
      recipe: {
        ...rectangle,
        crop: wholeCrop({ width: 4032, height: 3024 }),
        format: { kind: "jpeg", quality: 80 },
      },
    },
    {
      name: "logo 75 px high, 426 × 150 palette",
      original: read("harrow-fen-logo.png"),
      recipe: { ...resizeRecipe(logo, { height: 75 }), format: { kind: "palette", colors: 16 } },
    },
    {
      name: "banner, 840 × 160 PNG",
      original: read("open-store-weekend.png"),
      recipe: {
        ...plainRecipe(wholeCrop({ width: 1260, height: 240 }), { width: 420, height: 80 }),
        format: { kind: "png" },
      },
    },
  ];
}

/** What somebody would write by hand with sharp for the same picture. */
async function bare(original: Buffer, recipe: Recipe): Promise<Buffer> {
  const { crop, format, frame } = recipe;
  const { size, outline } = cutGeometry(recipe);
  let pipeline: Sharp = sharp(original)
    .autoOrient()
    .toColorspace("srgb")
    .extract({ left: crop.x, top: crop.y, width: crop.width, height: crop.height })
    .resize({ ...size, fit: "fill" });
  if (frame.shape === "circle")
    pipeline = pipeline.ensureAlpha().composite([{ input: drawMask(outline, size), blend: "dest-in" }]);
  if (format.kind === "jpeg")
    return setJpegDensity(await pipeline.jpeg({ quality: format.quality, mozjpeg: true }).toBuffer(), 96);
  return setPngDensity(
    await pipeline
      .png(
        format.kind === "palette"
          ? { palette: true, colours: format.colors, effort: 4, dither: 0 }
          : { compressionLevel: 9 },
      )
      .toBuffer(),
    96,
  );
}

const median = (values: readonly number[]): number =>
  [...values].sort((one, other) => one - other)[Math.floor(values.length / 2)]!;

async function time<T>(action: () => Promise<T>): Promise<{ ms: number; answer: T }> {
  const start = performance.now();
  const answer = await action();
  return { ms: performance.now() - start, answer };
}

const line = (...cells: readonly string[]): void => {
  process.stdout.write(
    `${cells.map((cell, index) => (index === 0 ? cell.padEnd(42) : cell.padStart(12))).join("")}\n`,
  );
};

async function benchCuts(): Promise<boolean> {
  let good = true;
  line("cut", "ms", "bare ms", "ratio", "bytes", "bare bytes", "lightest ms", "bytes");
  for (const { name, original, recipe } of await cases()) {
    const [own, twin, lightest]: number[][] = [[], [], []];
    let [ownBytes, twinBytes, lightestBytes] = [0, 0, 0];
    for (let round = 0; round < rounds + 3; round++) {
      // Whoever comes second finds the caches warm, so they take turns.
      const first = round % 2 === 0 ? await time(() => bare(original, recipe)) : null;
      const cut = await time(() => renderCut(original, recipe));
      const plain = first ?? (await time(() => bare(original, recipe)));
      const light = await time(() => renderCut(original, { ...recipe, format: { kind: "lightest" } }));
      [ownBytes, twinBytes, lightestBytes] = [
        cut.answer.bytes.length,
        plain.answer.length,
        light.answer.bytes.length,
      ];
      // The first rounds warm up.
      if (round < 3) continue;
      own!.push(cut.ms);
      twin!.push(plain.ms);
      lightest!.push(light.ms);
    }
    const ratio = median(own!) / median(twin!);
    good &&= ratio <= bound;
    line(
      name,
      median(own!).toFixed(1),
      median(twin!).toFixed(1),
      ratio.toFixed(2),
      String(ownBytes),
      String(twinBytes),
      median(lightest!).toFixed(1),
      String(lightestBytes),
    );
  }
  process.stdout.write(`bound: ${bound} times the bare pipeline's time\n\n`);
  return good;
}

async function benchLoops(): Promise<boolean> {
  if (spawnSync("gifsicle", ["--version"]).status !== 0) {
    process.stdout.write("gifsicle is not installed, so loops are not compared\n");
    return true;
  }
  const photo = read("tamsin-okafor.jpg");
  const ring: LoopSource = {
    kind: "ring-cycle",
    original: hash,
    colors: ["#3F5B2E", "#C08A2B", "#F3EFE4", "#B5532B"],
    picture: {
      ...plainRecipe({ x: 300, y: 100, width: 500, height: 500 }, { width: 96, height: 96 }),
      frame: { shape: "circle", ring: { width: 3, gap: 1, color: "#3F5B2E" } },
    },
  };
  const text = {
    words: "Open Store Weekend, 12 and 13 June",
    font: "Georgia",
    size: 20,
    bold: true,
    color: "#3F5B2E",
    background: null,
  };
  const words: LoopSource = { kind: "text-reveal", text };
  const files = ["tamsin-okafor.jpg", "layla-mansour.jpg", "bram-uzel.jpg"];
  const hashes = files.map((_, index) => `0123456789abcdef012${index}`);
  const pictures: LoopSource = { kind: "pictures", originals: hashes };
  const originals = new Map([
    [hash, photo],
    ...files.map((file, index) => [hashes[index]!, read(file)] as const),
  ]);
  let good = true;
  line("loop", "ms", "bytes", "gifsicle", "ratio");
  for (const [name, source, natural] of [
    ["ring cycle, 192 × 192", ring, { width: 1, height: 1 }],
    ["words one by one", words, layText(text)],
    ["three photos, 600 × 450", pictures, { width: 1200, height: 900 }],
  ] as const)
    for (const colors of [256, 64, 16]) {
      const { ms, answer } = await time(() =>
        renderLoop({ ...firstLoop(source, natural), colors }, originals),
      );
      const { stdout } = spawnSync("gifsicle", ["-O3", "--no-warnings"], {
        input: answer.bytes,
        maxBuffer: 1e8,
      });
      const ratio = answer.bytes.length / stdout.length;
      good &&= ratio <= heaviest;
      line(
        `${name}, ${colors} colours`,
        ms.toFixed(0),
        String(answer.bytes.length),
        String(stdout.length),
        ratio.toFixed(3),
      );
    }
  process.stdout.write(`bound: ${heaviest} times gifsicle's bytes\n`);
  return good;
}

const [cutsAreGood, loopsAreGood] = [await benchCuts(), await benchLoops()];
if (!cutsAreGood || !loopsAreGood) process.exitCode = 1;
