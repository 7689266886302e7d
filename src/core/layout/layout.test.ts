import { describe, expect, it } from "vitest";
import { emptyPerson } from "../people";
import { blankSignature, starterPatterns } from "../signature";
import { longestPerson, trialPerson, wordWidth, type Trial } from "./index";

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

describe("the person to try a signature with", () => {
  const all = ["", "Jo Li", "Ada Quill-Featherstonehaugh", "ليلى منصور", "Zoë Ngata", "박민서", "נועם"].map(
    (name) => ({
      person: { ...emptyPerson, name },
    }),
  );
  const tried = (trial: Trial, people = all): string | undefined =>
    trialPerson(trial, starterPatterns[0]!.document, people)?.person.name;

  it("is the first that fits", () => {
    expect(tried("longest")).toBe("Ada Quill-Featherstonehaugh");
    expect(tried("shortest")).toBe("박민서");
    expect(tried("other-letters")).toBe("박민서");
    expect(tried("right-to-left")).toBe("ليلى منصور");
  });

  it("is nobody where none does: accents are Latin letters as well", () => {
    const latin = all.filter(({ person }) => /^[A-Z]/.test(person.name));
    expect(tried("other-letters", latin)).toBeUndefined();
    expect(tried("right-to-left", latin)).toBeUndefined();
    expect(tried("shortest", [])).toBeUndefined();
  });
});

describe("a word", () => {
  it("has a width in a font of any name", () => {
    const style = { size: 10, bold: false, letterSpacing: 0 };
    for (const font of ["Arial", "No such font", "valueOf", "constructor", "__proto__"])
      expect(wordWidth("Ada", { font, ...style })).toBeGreaterThan(10);
  });
});
