import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bytesOf, joinBytes, lettersOf } from "./index";

describe("bytes as letters", () => {
  it("are one letter each, also where a label of that name means something else", () => {
    expect(lettersOf(Uint8Array.of(0, 0x41, 0x80, 0x93, 0xff))).toBe("\u0000A\u0080\u0093\u00ff");
    expect(lettersOf(new Uint8Array())).toBe("");
  });

  it("are the same bytes again", () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 500 }), (bytes) => {
        expect([...bytesOf(lettersOf(bytes))]).toEqual([...bytes]);
      }),
    );
  });

  it("may be more than a call takes arguments", () => {
    const many = Uint8Array.from({ length: 300_000 }, (_, at) => at % 256);
    const letters = lettersOf(many);
    expect(letters).toHaveLength(300_000);
    expect(Buffer.from(bytesOf(letters)).equals(Buffer.from(many))).toBe(true);
  });

  it("of parts are joined in their order", () => {
    const parts = ["Ha", "", "rrow"].map((part) => bytesOf(part));
    expect(lettersOf(joinBytes(parts))).toBe("Harrow");
    expect(joinBytes([])).toEqual(new Uint8Array());
  });
});
