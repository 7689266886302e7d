import { describe, expect, it } from "vitest";
import { wordWidth } from "./index";

describe("a word", () => {
  it("has a width in a font of any name", () => {
    const style = { size: 10, bold: false, letterSpacing: 0 };
    for (const font of ["Arial", "No such font", "valueOf", "constructor", "__proto__"])
      expect(wordWidth("Ada", { font, ...style })).toBeGreaterThan(10);
  });
});
