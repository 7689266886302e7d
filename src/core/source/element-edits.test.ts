import { describe, expect, it } from "vitest";
import { readTags } from "../html";
import type { ElementEditName } from "./index";
import { checkSource, editElement, findInSource, readSource, sourceElements, wholeElement } from "./index";
import { opened } from "../../../tests/opened-sources";

const own = opened();
const { places } = readSource(own, own.text);

function edited(piece: string, edit: ElementEditName, text = own.text): string | null {
  const elements = sourceElements(text, readTags(text).items);
  const element = wholeElement(elements, text === own.text ? places : [], text.indexOf(piece) + 1);
  const change = element && editElement(text, element, edit);
  if (!change) return null;
  let result = text;
  for (const { from, to, insert } of [...change.changes].reverse())
    result = result.slice(0, from) + insert + result.slice(to);
  return result;
}

const icons = (text: string | null): readonly string[] =>
  [...(text ?? "").matchAll(/alt="Harrow Fen on ([^"]*)"/g)].map((found) => found[1] ?? "");

describe("an element that is worked on whole", () => {
  it("is an icon with its link and its cell", () => {
    const copied = edited('<img src="https://pictures.example/h/d17c', "duplicate");
    expect(icons(copied)).toEqual([
      "the web",
      "Plotline",
      "Hedgepost",
      "Hedgepost",
      "Bench &amp; Bough",
      "Slow Reel",
    ]);
    expect(checkSource(copied ?? "")).toEqual([]);
    const row = readSource(own, copied ?? "").document.firstChild?.firstChild?.lastChild?.lastChild;
    expect(row?.type.name).toBe("iconRow");
    expect(row?.childCount).toBe(6);
  });

  it("moves past its neighbour, and back to what was", () => {
    const moved = edited('<img src="https://pictures.example/h/d17c', "up");
    expect(icons(moved)).toEqual(["the web", "Hedgepost", "Plotline", "Bench &amp; Bough", "Slow Reel"]);
    expect(edited('<tr>\n    <td width="114"', "up")).toBeNull();
    const down = edited('<tr>\n    <td width="114"', "down") ?? "";
    expect(down.indexOf('colspan="2"')).toBeLessThan(down.indexOf('width="114"'));
    expect(checkSource(down)).toEqual([]);
  });

  it("goes without leaving a tag open or an empty line", () => {
    const without = edited('<img src="https://pictures.example/h/d17c', "remove") ?? "";
    expect(icons(without)).toEqual(["the web", "Plotline", "Bench &amp; Bough", "Slow Reel"]);
    expect(without).not.toMatch(/\n\s*\n/);
    expect(checkSource(without)).toEqual([]);
  });

  it("is worked on in HTML that is not laid out as well", () => {
    const text = "<p>One <b>two</b><i>three</i></p>";
    expect(edited("<b>", "duplicate", text)).toBe("<p>One <b>two</b><b>two</b><i>three</i></p>");
    expect(edited("<b>", "down", text)).toBe("<p>One <i>three</i><b>two</b></p>");
    expect(edited("<b>", "remove", text)).toBe("<p>One <i>three</i></p>");
  });
});

describe("finding in a source", () => {
  const text = "<p>Seed and seedling</p>\n<p>SEED</p>";
  const found = (sought: string, matchCase = false, wholeWords = false): readonly number[] =>
    findInSource(text, sought, { matchCase, wholeWords }).map(({ from }) => from);

  it("finds words whatever their case, or as they are, or as whole words", () => {
    expect(found("seed")).toEqual([3, 12, 28]);
    expect(found("Seed", true)).toEqual([3]);
    expect(found("seed", false, true)).toEqual([3, 28]);
    expect(found("")).toEqual([]);
    expect(found("none")).toEqual([]);
  });

  it("shows each with its line and what is around it", () => {
    expect(findInSource(text, "SEED", { matchCase: true, wholeWords: false })).toEqual([
      { from: 28, to: 32, line: 2, before: "<p>", after: "</p>" },
    ]);
  });

  it("finds no place within another", () => {
    expect(findInSource("aaa", "aa", { matchCase: true, wholeWords: false })).toHaveLength(1);
  });
});
