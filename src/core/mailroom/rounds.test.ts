import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { allRounds, roundsTable } from "../../../tests/rounds";
import { whatIsLeft } from "./index";

const cells = (table: string): readonly string[] =>
  table
    .split("\n")
    .filter((line) => line.startsWith("| ") && !line.startsWith("| -"))
    .map((line) =>
      line
        .split("|")
        .map((cell) => cell.trim())
        .join("|"),
    );

describe("three rounds of answers", () => {
  const all = allRounds();

  it("leave all words, links and pictures of the first signature, whoever answers whom", () => {
    expect(all).toHaveLength(25);
    for (const { left } of all) {
      for (const [kept, of] of [left.words, left.links, left.pictures]) expect(kept).toBe(of);
      expect(left.words[1]).toBeGreaterThan(5);
    }
  });

  it("leave every look as well, but where two kinds ignore each other's widths of attached pictures", () => {
    const lost = all.filter(({ left }) => left.looks[0] < left.looks[1]);
    expect(lost.map(({ first, second }) => [first, second])).toEqual([
      ["granary", "sluice"],
      ["sluice", "granary"],
    ]);
  });

  it("are told in the documentation as they are", () => {
    expect(cells(readFileSync("docs/rounds.md", "utf8"))).toEqual(cells(roundsTable(all)));
  });
});

describe("what is left of a signature", () => {
  const signature =
    '<p style="color:#111111"><b>Ada</b> <a href="https://harrowfen.example">Visit</a></p><img src="a" alt="logo" width="10" height="5">';

  it("is all of it where nothing was changed", () => {
    expect(whatIsLeft(signature, `<blockquote>${signature}</blockquote>`)).toEqual({
      words: [2, 2],
      links: [1, 1],
      pictures: [1, 1],
      looks: [5, 5],
      stands: 1,
    });
  });

  it("is less by each word that is gone, link that leads elsewhere, and look that is another", () => {
    const other =
      '<p style="color:#222222"><b>Ada</b> <a href="https://elsewhere.example">Visit</a></p><img src="a" alt="logo" width="20" height="5">';
    expect(whatIsLeft(signature, other)).toMatchObject({ words: [2, 2], links: [0, 1], looks: [2, 5] });
    expect(whatIsLeft(signature, "<p>Ada</p>")).toMatchObject({
      words: [1, 2],
      links: [0, 1],
      pictures: [0, 1],
      stands: 1,
    });
    expect(whatIsLeft(signature, "")).toMatchObject({ words: [0, 2], stands: 0 });
  });

  it("is read from the deepest: a later one like it does not stand for it", () => {
    const later = signature.replace("#111111", "#333333");
    expect(whatIsLeft(signature, `${later}<blockquote>${signature}</blockquote>`)).toMatchObject({
      looks: [5, 5],
      stands: 2,
    });
  });
});
