import { readdirSync, readFileSync } from "node:fs";
import { create, type Font } from "fontkit";
import { describe, expect, it } from "vitest";
import { readPerson } from "../people";
import { missingLetters, textWidth, verticalMetrics, type FaceStyle } from "./index";

const plain = { bold: false, italic: false } as const;
const arial = { face: "arimo", ...plain } as const;
const openFont = (face: string, file: string): Font =>
  create(readFileSync(`node_modules/@fontsource/${face}/files/${face}-${file}.woff`)) as Font;
const words = readdirSync("demo/people").flatMap((file) => {
  const { name, title, address, mail } = readPerson(JSON.parse(readFileSync(`demo/people/${file}`, "utf8")));
  return [name, title, address, mail];
});
const styles = [
  ["400-normal", plain],
  ["700-normal", { bold: true, italic: false }],
  ["400-italic", { bold: false, italic: true }],
] as const;

describe("the width of a text", () => {
  it.each([
    ["iiiiiiiiiiiiiiiiiiii", 13, 57.766],
    ["AVAVAVAVAV To Te fi ffi", 14, 146.297],
    ["Head of Germination and Long-Term Conservation", 12, 268.813],
    ["Tamsin Okafor", 17.5, 112.813],
  ])("of %j at %d px is as a browser drew it", (text, size, drawn) => {
    expect(textWidth(text, { ...arial, size, letterSpacing: 0 })).toBeCloseTo(drawn, 1);
  });

  it.each(["arimo", "tinos", "cousine", "gelasio", "dejavu-sans"] satisfies FaceStyle["face"][])(
    "is what %s itself lays out, with its kerning, in each style",
    (face) => {
      for (const [file, style] of styles) {
        const font = openFont(face, `latin-${file}`);
        const latin = words.filter((text) => /^[ -~\u00c0-\u00ff]*$/.test(text));
        expect(latin.length).toBeGreaterThan(50);
        for (const text of latin) {
          const measured = textWidth(text, { face, ...style, size: font.unitsPerEm, letterSpacing: 0 });
          expect(Math.abs(measured - font.layout(text).advanceWidth)).toBeLessThanOrEqual(1);
        }
      }
    },
  );

  it("has no kerning between the files of two alphabets, and none for marks upon letters", () => {
    const wide = (text: string): number => textWidth(text, { ...arial, size: 100, letterSpacing: 0 });
    expect(wide("TУ")).toBeCloseTo(wide("T") + wide("У"));
    expect(wide("e\u0301")).toBeCloseTo(wide("e"));
    expect(wide("\u202bAda\u202c")).toBeCloseTo(wide("Ada"));
    expect(wide("種子")).toBeCloseTo(200);
    expect(wide("")).toBe(0);
  });

  it("grows with the space between letters, once for each that is seen", () => {
    const spaced = (text: string, letterSpacing: number): number =>
      textWidth(text, { ...arial, size: 10, letterSpacing });
    expect(spaced("Ada", 2) - spaced("Ada", 0)).toBeCloseTo(6);
    expect(spaced("e\u0301", 2) - spaced("e\u0301", 0)).toBeCloseTo(2);
  });
});

it("letters that a face does not have are told, and nothing that is not seen", () => {
  expect(missingLetters("Ada \u200bŻ Ж ע 種 種", arial)).toEqual(["種"]);
  expect(missingLetters("Ж ž", { face: "gelasio", ...plain })).toEqual(["Ж"]);
});

it("a face says how high its lines are", () => {
  const { ascent, descent, lineGap } = verticalMetrics(arial);
  expect([ascent, descent, lineGap].map((part) => Number(part.toFixed(3)))).toEqual([0.905, 0.212, 0.033]);
});
