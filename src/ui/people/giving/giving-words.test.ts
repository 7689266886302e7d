import { describe, expect, it } from "vitest";
import type { ListedGiven } from "@/contract";
import { givenWords, languageName, shortPurpose, whomWords } from "./giving-words";

const some = (
  departments: readonly string[],
  named: ListedGiven["named"] = [],
): Pick<ListedGiven, "audience" | "named"> => ({
  audience: { kind: "some", departments, people: named.map(({ id }) => id) },
  named,
});

describe("whom a signature is for, in words", () => {
  it("is everybody, nobody yet, or a list of departments and names", () => {
    expect(whomWords({ audience: { kind: "everybody" }, named: [] })).toBe("everybody");
    expect(whomWords({ audience: { kind: "nobody" }, named: [] })).toBe("nobody yet");
    expect(whomWords(some(["Press"]))).toBe("Press");
    expect(whomWords(some(["Press", ""], [{ id: "ada", name: "Ada Quill" }]))).toBe(
      "Press, who has no department, and Ada Quill",
    );
    expect(whomWords(some([], [{ id: "gone", name: null }]))).toBe("somebody who was taken out");
  });

  it("counts what would be too long a list, and never a single one", () => {
    const named = (count: number): string[] =>
      Array.from({ length: count }, (_unused, index) => `D${index + 1}`);
    expect(whomWords(some(named(5)))).toBe("D1, D2, D3, D4, and D5");
    expect(whomWords(some(named(6)))).toBe("D1, D2, D3, D4, and 2 others");
    expect(whomWords(some(named(40)))).toBe("D1, D2, D3, D4, and 36 others");
  });
});

describe("what somebody has a signature for", () => {
  it("is told with its language and why it is theirs", () => {
    expect(givenWords({ purpose: "full", language: "ar", because: "named" })).toBe("full, Arabic, by name");
    expect(givenWords({ purpose: "occasion", language: "", because: "everybody" })).toBe(
      "for an occasion, everybody has it",
    );
    expect(shortPurpose("short")).toBe("short");
  });

  it("keeps a language that nobody knows as it was written", () => {
    expect(languageName("en-GB")).toBe("British English");
    expect(languageName("x!")).toBe("x!");
    expect(languageName("qqx")).toBe("qqx");
  });
});
