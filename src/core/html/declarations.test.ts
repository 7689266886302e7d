import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { declarationText, lastValue, parseDeclarations, pxLength, withDeclaration } from "../html";

describe("declarations", () => {
  it("are read in order, with their importance, and what does not parse is left out", () => {
    expect(parseDeclarations("color:#111; ;FONT-SIZE: 13px !important;nonsense;width:1px!Important")).toEqual(
      [
        { property: "color", value: "#111", mark: "" },
        { property: "font-size", value: "13px", mark: " !important" },
        { property: "width", value: "1px", mark: "!Important" },
      ],
    );
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
