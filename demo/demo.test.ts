import { readdirSync, readFileSync } from "node:fs";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { readPicturePath } from "@/core/addresses";
import { readPictureDetail, type Person } from "@/core/people";
import { parseSignature, picturesOf } from "@/core/signature";
import { contentHash } from "@/server/imaging/content-hash";
import { renderCut } from "@/server/imaging/render-cut";
import type { CommittedCut } from "./build";
import { demoSignatures } from "./documents";
import { cutPlans, originalPlans } from "./pictures";
import { portraitPlans } from "./portrait-plans";

const committed = JSON.parse(readFileSync("demo/pictures/cuts.json", "utf8")) as CommittedCut[];
const bytesOf = ({ hash, fileName }: { hash: string; fileName: string }): Buffer =>
  readFileSync(`demo/pictures/cuts/${hash}/${fileName}`);

/** Mean difference of two pictures, 0 to 255; encoders and processors may differ in the last bit. */
async function difference(one: Buffer, other: Buffer): Promise<number> {
  const [first, second] = await Promise.all(
    [one, other].map((bytes) => sharp(bytes).ensureAlpha().raw().toBuffer()),
  );
  expect(first!.length).toBe(second!.length);
  return first!.reduce((sum, value, index) => sum + Math.abs(value - second![index]!), 0) / first!.length;
}

describe("the demo's pictures", () => {
  it("stand at the addresses of their contents", () => {
    expect(committed).toHaveLength(cutPlans.length);
    for (const cut of committed) expect(contentHash(bytesOf(cut))).toBe(cut.hash);
  });

  it("are all that its signatures name, and no others are committed", () => {
    const named = demoSignatures.flatMap(({ file }) =>
      picturesOf(parseSignature(JSON.parse(readFileSync(`demo/signatures/${file}`, "utf8")))).map(
        ({ node }) => String(node.attrs.source),
      ),
    );
    const hosted = named.map(readPicturePath).filter((address) => address !== null);
    expect(new Set(hosted.map(({ hash }) => hash))).toEqual(new Set(committed.map(({ hash }) => hash)));
    expect(new Set(readdirSync("demo/pictures/cuts"))).toEqual(new Set(committed.map(({ hash }) => hash)));
  });

  it("can be drawn again by the demo's own scripts", async () => {
    for (const { file, draw } of originalPlans.filter((plan) => !plan.file.endsWith(".jpg")))
      expect(await difference(await draw(), readFileSync(`demo/pictures/originals/${file}`))).toBeLessThan(
        0.5,
      );
    const [portrait] = originalPlans;
    expect(
      await difference(await portrait!.draw(), readFileSync(`demo/pictures/originals/${portrait!.file}`)),
    ).toBeLessThan(1);
  }, 30_000);

  it("can be cut again from the originals", async () => {
    for (const plan of cutPlans) {
      const cut = committed.find(
        ({ original, recipe }) => original === plan.original && recipe.width === plan.recipe.width,
      )!;
      const again = await renderCut(readFileSync(`demo/pictures/originals/${plan.original}`), plan.recipe);
      expect(await difference(again.bytes, bytesOf(cut))).toBeLessThan(1);
    }
  }, 30_000);

  it("hold portraits off centre, so that cropping matters", () => {
    for (const { x } of portraitPlans) expect(Math.abs(x - 600)).toBeGreaterThanOrEqual(100);
  });

  it("are of everybody but three, and what is suggested of each shows the face", () => {
    const files = readdirSync("demo/people");
    expect(portraitPlans).toHaveLength(files.length - 3);
    let found = 0;
    for (const { person, x, y, width = 1200, scale } of portraitPlans) {
      const { portrait } = JSON.parse(readFileSync(`demo/people/${person}.json`, "utf8")) as Person;
      const { original, focus } = readPictureDetail(portrait)!;
      expect(original).toBe(contentHash(readFileSync(`demo/pictures/originals/${person}.jpg`)));
      // The face is 220 px wide in a space of 1200 px, and as large as the person is drawn.
      const [drawn, face] = [width / 1200, 220 * scale * (width / 1200)];
      const [across, down] = [Math.abs(focus.x - x * drawn), Math.abs(focus.y - y * drawn)];
      expect(across + face / 2).toBeLessThan(focus.side / 2);
      expect(down).toBeLessThan(focus.side / 2);
      if (Math.max(across, down) < face / 4 && focus.side > 2 * face && focus.side < 3.2 * face) found += 1;
    }
    // Of the others, the light or the background says no more than that somebody is there.
    expect(found).toBeGreaterThanOrEqual(14);
  });
});

describe("the demo's signatures", () => {
  it("are what the demo's documents build", () => {
    const cut = (key: string) => {
      const { recipe, original } = cutPlans.find((plan) => plan.key === key)!;
      const { hash, fileName } = committed.find(
        (each) => each.original === original && each.recipe.width === recipe.width,
      )!;
      return { source: `/h/${hash}/${fileName}`, width: recipe.width, height: recipe.height };
    };
    for (const { file, build } of demoSignatures)
      expect(JSON.parse(readFileSync(`demo/signatures/${file}`, "utf8"))).toEqual(build(cut).toJSON());
  });
});
