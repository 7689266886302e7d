import type { Node } from "prosemirror-model";
import { describe, expect, it } from "vitest";
import { emptyPerson, type Person } from "../people";
import { blankSignature, build, starterPatterns, style } from "../signature";
import { longestPerson, trialPerson, widestDetails, widestOfAll, type Trial } from "./index";
import { drawnLines, widthOf, wordsOfLine } from "./drawn-lines";
import { lineOf } from "./line.fixture";

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

describe("the widest details", () => {
  const { field, line, row, cell, signature, table } = build;
  const ada: Person = { ...emptyPerson, name: "Ada WWWW", title: "iiiiiiiiii", phone: "+44 1632 960100" };
  const bo: Person = { ...emptyPerson, name: "Bo iiiiiiii", title: "WWWWWWW", mail: "bo@harrowfen.example" };
  const shown = signature(
    {},
    table(
      row(
        cell({ width: [400] }, line(field("title")), line(field("name", {}, style.size(20)), field("phone"))),
      ),
    ),
  );
  const all = [{ person: ada }, { person: bo }];

  it("are those of the widest letters and not of the most, each in the type of its place, in reading order", () => {
    const found = widestDetails(shown, all);
    expect(found.map(({ field: name, whose }) => [name, whose.person])).toEqual([
      ["title", bo],
      ["name", ada],
      ["phone", ada],
    ]);
    const alone = signature({}, table(row(cell({ width: [400] }, line(field("name", {}, style.size(10)))))));
    const [small] = widestDetails(alone, all);
    expect(2 * (small?.width ?? 0)).toBeCloseTo(found[1]?.width ?? 0, 0);
  });

  it("are all together somebody who is not", () => {
    expect(widestOfAll(ada, widestDetails(shown, all))).toEqual({ ...ada, title: bo.title });
    expect(widestDetails(blankSignature(1, 1), all)).toEqual([]);
    const placed = signature(
      {},
      table(row(cell({ width: [400] }, line(field("mobile", { fallback: "WWWW" }))))),
    );
    expect(widestDetails(placed, all)).toEqual([]);
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
    expect(tried("shortest")).toBe("נועם");
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

describe("the lines of a signature", () => {
  const ada = { ...emptyPerson, name: "Ada Quill", title: "Archivist" };
  const widths = (...content: readonly Node[]) =>
    drawnLines(lineOf(...content), ada).map((line) => [wordsOfLine(line), Math.round(widthOf(line))]);

  it("are as wide as their words in the signature's font, with the gaps of separators", () => {
    const [name = 0, title = 0] = [build.field("name"), build.field("title")].map((each) =>
      Number(widths(each)[0]?.[1]),
    );
    const [both] = widths(build.field("name"), build.separator("|", 6), build.field("title"));
    expect(both?.[0]).toBe("Ada Quill | Archivist");
    expect(Number(both?.[1])).toBeGreaterThanOrEqual(name + title + 14);
    expect(Number(both?.[1])).toBeLessThanOrEqual(name + title + 18);
  });

  it("are parted by breaks, and a separator goes with what it stands beside", () => {
    expect(widths(build.text("One"), build.lineBreak(), build.text("Two")).map(([text]) => text)).toEqual([
      "One",
      "Two",
    ]);
    const without = build.field("phone", { takesLine: false });
    expect(widths(build.field("name"), build.separator("|", 6), without).map(([text]) => text)).toEqual([
      "Ada Quill",
    ]);
    expect(widths(build.field("name"), build.field("phone"))).toEqual([]);
  });
});
