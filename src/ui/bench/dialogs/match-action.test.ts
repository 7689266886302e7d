import { describe, expect, it } from "vitest";
import { actions } from "../editor/actions";
import { matchAction } from "./match-action";

const best = (typed: string): string =>
  [...actions].sort(
    (one, other) => matchAction(other.name, typed, other.group) - matchAction(one.name, typed, one.group),
  )[0]!.name;

describe("what is typed into the palette", () => {
  it.each([
    ["Name", "Name"],
    ["title, d", "Title, Department"],
    ["row be", "Insert a row below"],
    ["merge", "Merge the selected cells"],
    ["capit", "Capitals"],
  ])("%s finds %s first", (typed, name) => expect(best(typed)).toBe(name));

  it("puts a whole word before the beginning of another", () => {
    const score = (name: string): number => matchAction(name, "size");
    expect(score("Text size")).toBeGreaterThan(score("Sizes are in px: show them in pt"));
    expect(score("Size of the icons")).toBeGreaterThan(score("Text size"));
  });

  it("finds nothing by scattered letters, and a whole group by its name", () => {
    expect(matchAction("Phone | Mail", "name", "Ready lines")).toBe(0);
    expect(matchAction("Tagline", "ready", "Ready lines")).toBeGreaterThan(0);
    expect(matchAction("Tagline", "|", "Ready lines")).toBe(0);
  });
});

describe("the actions", () => {
  it("have ids and keys of their own", () => {
    const keys = actions.flatMap((action) => action.keys ?? []);
    expect(new Set(keys).size).toBe(keys.length);
    expect(new Set(actions.map(({ id }) => id)).size).toBe(actions.length);
  });
});
