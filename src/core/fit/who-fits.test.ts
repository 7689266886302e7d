import { describe, expect, it } from "vitest";
import { emptyPerson } from "../people";
import { blankSignature, build, style } from "../signature";
import { fitOf, whoFits } from "./index";

const { field, line, row, cell, signature, table } = build;

describe("whose details fit", () => {
  const document = signature({}, table(row(cell({ width: [100] }, line(field("name", {}, style.size(20)))))));
  const people = [
    "Jo",
    "Ada Quill, archivist",
    "Bo",
    "Maximiliana Quillinan of the cold store",
    "W".repeat(20),
  ].map((name, index) => ({ id: String(index), person: { ...emptyPerson, name } }));

  it("counts those who do, and names those who do not, worst first, with their lines as their fit has them", () => {
    const { all, fitting, worst } = whoFits(document, people, 5);
    expect([all, fitting]).toEqual([5, 2]);
    // A word that sticks out counts before lines that wrap.
    expect(worst.map(({ who }) => who.id)).toEqual(["4", "3", "1"]);
    expect(worst.map(({ tight }) => tight)).toEqual(
      worst.map(({ who }) => fitOf(document, who.person).tight),
    );
  });

  it("names no more than are wanted, and counts all", () => {
    const { fitting, worst } = whoFits(document, people, 1);
    expect([fitting, worst.map(({ who }) => who.id)]).toEqual([2, ["4"]]);
  });

  it("has nobody against a signature that shows nothing of a person, and nobody where nobody is", () => {
    expect(whoFits(blankSignature(1, 1), people, 5)).toEqual({ all: 5, fitting: 5, worst: [] });
    expect(whoFits(document, [], 5)).toEqual({ all: 0, fitting: 0, worst: [] });
  });
});
