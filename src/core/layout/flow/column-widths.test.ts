import { describe, expect, it } from "vitest";
import { columnNeeds, distributed } from "./column-widths";

const asks = (column: number, width: number, least = 0, span = 1) => ({
  ...{ column, span, least },
  most: Math.max(width, least),
  asked: true,
});
const likes = (column: number, least: number, most: number, span = 1) => ({
  ...{ column, span, least, most },
  asked: false,
});

describe("columns need", () => {
  it("what their widest cell does, and what is asked for before what content would like", () => {
    expect(columnNeeds(2, [asks(0, 180, 40), likes(0, 60, 400), likes(1, 10, 90)])).toEqual([
      { least: 60, most: 180, asked: true },
      { least: 10, most: 90, asked: false },
    ]);
  });

  it("no less than a word that is wider than what is asked for", () => {
    expect(columnNeeds(1, [asks(0, 100, 20), likes(0, 130, 130)])).toEqual([
      { least: 130, most: 130, asked: true },
    ]);
  });

  it("their part of what a cell over several of them needs", () => {
    expect(
      columnNeeds(2, [asks(0, 100), asks(1, 50), asks(0, 300, 30, 2)]).map(({ most }) => Math.round(most)),
    ).toEqual([200, 100]);
    expect(columnNeeds(2, [likes(0, 80, 80, 2)]).map(({ least }) => least)).toEqual([40, 40]);
  });
});

describe("a width is given to columns", () => {
  const [name, logo] = columnNeeds(2, [asks(0, 200, 120), asks(1, 100, 40)]);
  const both = [name!, logo!];

  it("as each asks, where that is what there is", () => {
    expect(distributed(300, both)).toEqual([200, 100]);
  });

  it("up to what each asks in the proportion of what it lacks, and never less than it needs", () => {
    expect(distributed(230, both)).toEqual([160, 70]);
    expect(distributed(100, both)).toEqual([120, 40]);
  });

  it("beyond what is asked to columns of which nobody asks a width, or else to all", () => {
    expect(distributed(360, both)).toEqual([240, 120]);
    expect(distributed(360, [...both, { least: 0, most: 10, asked: false }])).toEqual([200, 100, 60]);
    expect(
      distributed(30, [
        { least: 0, most: 0, asked: false },
        { least: 0, most: 0, asked: false },
      ]),
    ).toEqual([15, 15]);
  });
});
