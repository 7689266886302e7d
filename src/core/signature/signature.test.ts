import { readdirSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import {
  packageOfFontFile,
  drawnFontRules,
  fontStack,
  linksOf,
  nodeKinds,
  parseSignature,
  picturesOf,
  placeOf,
  schema,
  spaceWidth,
  webSafeFonts,
  image,
} from "./index";

const demo = (file: string) => parseSignature(JSON.parse(readFileSync(`demo/signatures/${file}`, "utf8")));

describe("the schema", () => {
  it("has every kind of node and every mark of the document", () => {
    expect([...nodeKinds.keys()].sort()).toEqual(
      "break button cell divider iconRow inlinePicture line personField picture row separator signature spacer table text".split(
        " ",
      ),
    );
    expect(Object.keys(schema.marks).sort()).toEqual(
      "bold color font highlight italic letterSpacing link size strikethrough subscript superscript underline upperCase".split(
        " ",
      ),
    );
  });

  it("fills an empty cell with a line", () => {
    expect(schema.nodes.cell.createAndFill()!.firstChild!.type.name).toBe("line");
  });
});

describe("web-safe fonts", () => {
  it("end in a generic family, with names of several words quoted", () => {
    expect(fontStack("Times New Roman")).toBe("'Times New Roman',Times,serif");
    expect(fontStack("Fenland Sans")).toBe("'Fenland Sans',Arial,sans-serif");
    for (const { family } of webSafeFonts)
      expect(fontStack(family)).toMatch(/,(sans-serif|serif|monospace)$/);
  });

  it("know the width of their space", () => {
    expect(spaceWidth("Courier New", 10)).toBe(6);
    expect(spaceWidth("Fenland Sans", 10)).toBeCloseTo(2.78);
  });

  it("are drawn with files that ship", () => {
    const named = [...drawnFontRules("/fonts").matchAll(/url\("\/fonts\/([^"]+)"\)/g)].map(
      ([, file]) => file!,
    );
    expect(named.length).toBeGreaterThan(60);
    for (const file of named) {
      const family = packageOfFontFile(file);
      expect(readdirSync(`node_modules/@fontsource/${family}/files`)).toContain(file);
    }
    expect(packageOfFontFile("dejavu-sans-latin-400-normal.woff2")).toBe("dejavu-sans");
    expect(packageOfFontFile("../secret")).toBeNull();
    expect(drawnFontRules("/fonts")).toContain('font-family:"Georgia"');
  });
});

describe("asking a document", () => {
  it("lists its pictures in reading order", () => {
    expect(picturesOf(demo("full.json")).map(({ node }) => image.of(node).alt)).toEqual([
      "Tamsin Okafor among seedlings",
      "Harrow Fen on the web",
      "Harrow Fen on Plotline",
      "Harrow Fen on Hedgepost",
      "Harrow Fen on Bench & Bough",
      "Harrow Fen on Slow Reel",
      "Open Store Weekend, 12 and 13 June",
    ]);
  });

  it("lists its links with what leads there, text under one link as one", () => {
    expect(linksOf(demo("from-last-year.json")).map(({ text, href }) => `${text} > ${href}`)).toEqual([
      "www.harrowfen.example > https://https://harrowfen.example",
      "harrowfen.example/cold-store > https://harrowfen/cold-store",
      " > https://harrowfen.example",
      "Plotline > https://plotline.example/harrowfen",
      "Hedgepost > https://hedgepost.example/https://hedgepost.example/harrowfen",
    ]);
  });

  it("names places from the outer table down", () => {
    const document = demo("full.json");
    const places = picturesOf(document).map(({ position }) => placeOf(document, position));
    expect(places[0]).toBe("row 1, cell 1, picture");
    expect(places[1]).toBe("row 1, cell 2, icon row, picture 1");
    expect(places.at(-1)).toBe("row 2, cell 1, picture");
    expect(placeOf(document, 0)).toBe("signature");
  });
});
