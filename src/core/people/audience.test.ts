import { describe, expect, it } from "vitest";
import {
  audience,
  becauseOf,
  doubled,
  signaturesOf,
  troubleOf,
  type Audience,
  type GivenSignature,
} from "./audience";

const somebody = (id: string, department: string) => ({ id, person: { department } });
const ada = somebody("ada", "Press");
const ben = somebody("ben", " Learning ");
const cy = somebody("cy", "");

const some = (departments: readonly string[], people: readonly string[] = []): Audience => ({
  kind: "some",
  departments,
  people,
});

const signature = (name: string, more: Partial<GivenSignature> = {}): GivenSignature => ({
  ...{ id: name, name, language: "", purpose: "full", audience: { kind: "everybody" } },
  ...more,
});

describe("whom a signature is for", () => {
  it("is nobody until it is said, and then everybody, those of departments or those who are named", () => {
    expect(becauseOf({ kind: "nobody" }, ada)).toBeNull();
    expect(becauseOf({ kind: "everybody" }, ada)).toBe("everybody");
    expect(becauseOf(some(["Press"]), ada)).toBe("department");
    expect(becauseOf(some(["Press"]), ben)).toBeNull();
    expect(becauseOf(some([], ["ben"]), ben)).toBe("named");
  });

  it("says that somebody is named even where their department would do", () => {
    expect(becauseOf(some(["Press"], ["ada"]), ada)).toBe("named");
  });

  it("compares departments without the space around them, and no department is one as well", () => {
    expect(becauseOf(some(["Learning"]), ben)).toBe("department");
    expect(becauseOf(some([""]), cy)).toBe("department");
    expect(becauseOf(some([""]), ada)).toBeNull();
  });

  it("keeps the order in which signatures are given", () => {
    const given = [
      signature("b"),
      signature("press", { audience: some(["Press"]) }),
      signature("none", { audience: { kind: "nobody" } }),
      signature("a"),
    ];
    expect(signaturesOf(given, ada).map(({ name }) => name)).toEqual(["b", "press", "a"]);
    expect(signaturesOf(given, cy).map(({ name }) => name)).toEqual(["b", "a"]);
  });

  it.each([
    [{ kind: "some", departments: ["Press"] }, "lacks its part people"],
    [{ kind: "all" }, "kind"],
    [{ kind: "everybody", people: [] }, "people"],
    [{ kind: "some", departments: ["x".repeat(301)], people: [] }, "departments"],
  ])("refuses %j", (given, names) => {
    expect(audience.check(given)).toContain(names);
  });
});

describe("who has none, and who has two of the same", () => {
  it("finds two of one purpose in one language, however the language is written", () => {
    const [one, other, short, welsh] = [
      signature("one", { language: "en" }),
      signature("other", { language: "EN" }),
      signature("short", { purpose: "short", language: "en" }),
      signature("welsh", { language: "cy" }),
    ];
    expect(doubled([one, short, welsh])).toEqual([]);
    expect(doubled([one, short, other, welsh])).toEqual([one, other]);
  });

  it("lets somebody have as many for occasions as there are", () => {
    expect(
      doubled([signature("fair", { purpose: "occasion" }), signature("talk", { purpose: "occasion" })]),
    ).toEqual([]);
  });

  it("counts no occasion as a signature for every day", () => {
    expect(troubleOf([])).toBe("none");
    expect(troubleOf([signature("fair", { purpose: "occasion" })])).toBe("none");
    expect(troubleOf([signature("short", { purpose: "short" })])).toBeNull();
    expect(troubleOf([signature("one"), signature("other")])).toBe("twice");
  });
});
