import { describe, expect, it } from "vitest";
import { emptyPerson } from "../people";
import { blankSignature, starterPatterns } from "../signature";
import { longestPerson } from "./index";

const people = ["Jo Li", "Maximiliana Featherstonehaugh-Quillinan", "Ada Quill"].map((name) => ({
  person: { ...emptyPerson, name, title: "Archivist" },
}));

describe("the person whose details are longest", () => {
  it("is the one with the longest line of the signature", () => {
    expect(longestPerson(starterPatterns[0]!.document, people)).toBe(people[1]);
    const titled = [...people, { person: { ...emptyPerson, name: "Bo", title: "Head of ".repeat(8) } }];
    expect(longestPerson(starterPatterns[0]!.document, titled)).toBe(titled[3]);
  });

  it("is nobody where a signature shows nothing of a person, and where nobody is there", () => {
    expect(longestPerson(blankSignature(1, 2), people)).toBeNull();
    expect(longestPerson(starterPatterns[0]!.document, [])).toBeNull();
  });
});
