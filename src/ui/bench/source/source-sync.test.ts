import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { changeBetween } from "./source-sync";

interface Change {
  readonly from: number;
  readonly to: number;
  readonly insert: string;
}

const between = (before: string, after: string): Change | null =>
  changeBetween(before, after) as Change | null;

describe("the change between two sources", () => {
  it("is the one stretch in which they differ", () => {
    expect(between("<b>Ada</b>", "<b>Adam</b>")).toEqual({ from: 6, to: 6, insert: "m" });
    expect(between("one two three", "one three")).toEqual({ from: 5, to: 9, insert: "" });
    expect(between("same", "same")).toBeNull();
  });

  it("makes the one of the other, whatever they are", () => {
    const text = fc.string({ unit: fc.constantFrom("a", "b", "\n"), maxLength: 12 });
    fc.assert(
      fc.property(text, text, (before, after) => {
        const change = between(before, after);
        const made = change ? before.slice(0, change.from) + change.insert + before.slice(change.to) : before;
        expect(made).toBe(after);
      }),
    );
  });
});
