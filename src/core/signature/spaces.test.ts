import type { Node } from "prosemirror-model";
import { describe, expect, it } from "vitest";
import { build, style } from "./builder";
import { isBlank, keptSpaces, unseenAtEnds } from "./spaces";

const { line, text, lineBreak, field } = build;
const texts = (...content: readonly Node[]): string[] =>
  keptSpaces(content).map((node) => node.text ?? node.type.name);

describe("spaces as they are sent", () => {
  it("stay but for the last of a run, across styles, and at the beginning of a line", () => {
    expect(texts(text("a   b"))).toEqual(["a\u00a0\u00a0 b"]);
    expect(texts(text("a "), text(" b", style.bold))).toEqual(["a\u00a0", " b"]);
    expect(texts(text("  a"))).toEqual(["\u00a0 a"]);
    expect(texts(text(" a"))).toEqual(["\u00a0a"]);
    expect(texts(text("a"), lineBreak(), text(" b"))).toEqual(["a", "break", "\u00a0b"]);
    expect(texts(text("a\tb"))).toEqual(["a b"]);
    expect(texts(text("a "), field("name"), text(" b"))).toEqual(["a ", "personField", " b"]);
  });

  it("are the same when they are kept once more", () => {
    const once = keptSpaces([text("  a   b "), text("  c", style.bold)]);
    expect(keptSpaces(once)).toEqual(once);
  });

  it("are not seen at the ends of lines, nor are breaks", () => {
    expect(unseenAtEnds(line(text("ab  ")))).toEqual([{ from: 2, to: 4 }]);
    expect(unseenAtEnds(line(text("a "), lineBreak(), text("b")))).toEqual([{ from: 1, to: 2 }]);
    expect(unseenAtEnds(line(text("a "), lineBreak(), text(" ", style.bold)))).toEqual([
      { from: 3, to: 4 },
      { from: 2, to: 3 },
      { from: 1, to: 2 },
    ]);
    expect(unseenAtEnds(line(text("a")))).toEqual([]);
  });

  it("alone make a blank line, of which all is seen", () => {
    expect(isBlank(line(text("  "), lineBreak()))).toBe(true);
    expect(unseenAtEnds(line(text("  "), lineBreak()))).toEqual([]);
    expect(isBlank(line(field("name")))).toBe(false);
  });
});
