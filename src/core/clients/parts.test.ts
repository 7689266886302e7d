import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  declarationText,
  lastValue,
  paddingSide,
  parseDeclarations,
  pxLength,
  withDeclaration,
} from "./declarations";
import { attributeFeature, declarationFeatures, supportOf } from "./facts/features";
import { mirrorLightness } from "./mirror-lightness";

describe("declarations", () => {
  it("are read in order, with their importance, and what does not parse is left out", () => {
    expect(parseDeclarations("color:#111; ;FONT-SIZE: 13px !important;nonsense;width:1px")).toEqual([
      { property: "color", value: "#111", important: false },
      { property: "font-size", value: "13px", important: true },
      { property: "width", value: "1px", important: false },
    ]);
    expect(parseDeclarations("")).toEqual([]);
  });

  it("are written back as they were read", () => {
    const style = "font-family:'Times New Roman',Times,serif;padding:0 4px;color:#111 !important";
    expect(declarationText(parseDeclarations(style))).toBe(style);
  });

  it("keep addresses with semicolons and quotes whole", () => {
    const [declaration, ...rest] = parseDeclarations('background:url("data:image/png;base64,A;B")');
    expect(declaration!.value).toContain("data:image/png;base64,A;B");
    expect(rest).toEqual([]);
  });

  it("are the last of their name, and are replaced at the end", () => {
    const read = parseDeclarations("color:#111;color:#222;width:1px");
    expect(lastValue(read, "color")).toBe("#222");
    expect(lastValue(read, "height")).toBeNull();
    expect(declarationText(withDeclaration(read, "color", "#333"))).toBe("width:1px;color:#333");
  });

  it.each([
    ["padding:4px", 4, 4],
    ["padding:4px 8px", 4, 4],
    ["padding:1px 2px 3px", 1, 3],
    ["padding:1px 2px 3px 4px", 1, 3],
    ["padding:4px;padding-top:9px", 9, 4],
    ["padding-top:9px;padding:4px", 4, 4],
    ["padding:1em", 0, 0],
    ["", 0, 0],
  ])("%j pads %d px above and %d px below", (style, top, bottom) => {
    const read = parseDeclarations(style);
    expect([paddingSide(read, "top"), paddingSide(read, "bottom")]).toEqual([top, bottom]);
  });

  it("never make the reader throw", () => {
    fc.assert(fc.property(fc.string(), (style) => Array.isArray(parseDeclarations(style))));
  });

  it.each([
    ["0", 0],
    ["12px", 12],
    ["-1.5PX", -1.5],
    [".5px", 0.5],
    ["1em", null],
    ["auto", null],
    ["px", null],
  ])("the length %j is %s px", (value, length) => expect(pxLength(value)).toBe(length));
});

describe("features of the support table", () => {
  it.each([
    ["border-left", "1px solid #000", ["css-border"]],
    ["padding-top", "4px", ["css-padding"]],
    ["display", "flex", ["css-display", "css-display-flex"]],
    ["color", "rgba(0,0,0,.5)", ["css-rgba"]],
    ["background", "url(x.png)", ["css-background", "css-background-image"]],
    ["width", "2rem", ["css-width", "css-unit-rem"]],
    ["mso-line-height-rule", "exactly", []],
  ])("%s:%s needs %j", (property, value, features) =>
    expect(declarationFeatures(property, value)).toEqual(features),
  );

  it("are looked up by kind of client", () => {
    expect(supportOf("css-border-radius", "webmail-inline")).toBe("yes");
    expect(supportOf("css-border-radius", "desktop-document")).toBe("no");
    expect(attributeFeature("role")).toBe("html-role");
    expect(attributeFeature("data-x")).toBeNull();
  });
});

describe("mirroring lightness", () => {
  it.each([
    ["#000000", "#FFFFFF"],
    ["#FFFFFF", "#000000"],
    ["rgb(255,255,255)", "#000000"],
    ["inherit", null],
  ])("%s becomes %s", (css, mirrored) => expect(mirrorLightness(css)).toBe(mirrored));

  it("twice is what it was, for greys, where 8 bits can tell their mirrored neighbours apart", () => {
    for (let level = 0; level < 208; level += 3) {
      const grey = `#${level.toString(16).padStart(2, "0").repeat(3)}`.toUpperCase();
      const back = parseInt(mirrorLightness(mirrorLightness(grey)!)!.slice(1, 3), 16);
      expect(Math.abs(back - level)).toBeLessThanOrEqual(1);
    }
  });

  it("keeps the hue: dark moss becomes lighter and stays greener than red or blue", () => {
    const [red, green, blue] = [1, 3, 5].map((at) =>
      parseInt(mirrorLightness("#3F5B2E")!.slice(at, at + 2), 16),
    );
    expect(green).toBeGreaterThan(red!);
    expect(red).toBeGreaterThan(blue!);
    expect(green).toBeGreaterThan(0x5b);
  });
});
