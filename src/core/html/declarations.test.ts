import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  declarationText,
  lastValue,
  paddingSide,
  parseDeclarations,
  pxLength,
  withDeclaration,
} from "../html";

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
