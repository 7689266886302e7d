import { decode } from "fast-png";
import jsQR from "jsqr";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { buildCard, emptyPerson } from "../people";
import { codePng, codeSvg, mostInCode } from "./index";

const card = buildCard({
  ...emptyPerson,
  name: "Siobhán O’Keeffe",
  title: "Keeper of the Cold Store",
  mail: "siobhan@harrowfen.example",
  phone: "+44 1632 960118",
});

/** What an independent reader reads in a picture. */
async function read(picture: Uint8Array): Promise<string | undefined> {
  const { data, info } = await sharp(picture).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  const found = jsQR(Uint8ClampedArray.from(data), info.width, info.height);
  return found ? new TextDecoder().decode(Uint8Array.from(found.binaryData)) : undefined;
}

describe("a code to scan", () => {
  it.each(["https://harrowfen.example/tamsin", card, "ﾊﾛｰ, Ωμέγα and 植物"])(
    "of %s is read again",
    async (text) => {
      expect(await read(codePng(text, 300))).toBe(text);
      expect(await read(Buffer.from(codeSvg(text, 300)))).toBe(text);
    },
  );

  it("is exactly as large as asked, or as large as it must be", () => {
    expect(decode(codePng("a", 333))).toMatchObject({ width: 333, height: 333 });
    expect(decode(codePng(card, 20)).width).toBeGreaterThan(20);
    expect(codeSvg("a", 120)).toContain('width="120" height="120"');
  });

  it("holds so much and no more", async () => {
    expect(await read(codePng("x".repeat(mostInCode), 800))).toBe("x".repeat(mostInCode));
    expect(() => codePng("x".repeat(3000), 800)).toThrow(
      "A code holds at most 2,953 bytes, and this is 3,000.",
    );
  });
});
