import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { emptyPerson, wordFieldNames, ownFieldOf, type Person } from "../fields";
import { changePerson } from "../change-person";
import { matchColumns } from "./match-columns";
import { changesOf, listedIn, planImport, type KnownPerson } from "./plan-import";
import { cellsOf, readSheet, type Sheet } from "./read-sheet";
import { harmlessCell, writeSheet } from "./write-sheet";

const cellsIn = ({ rows }: Sheet) => rows.map(({ cells }) => cells);
const people = (...given: Partial<Person>[]): readonly KnownPerson[] =>
  given.map((person, index) => ({ id: `p${index + 1}`, person: { ...emptyPerson, ...person } as Person }));
const planOf = (text: string, known: readonly KnownPerson[] = [], emptying = false) => {
  const sheet = readSheet(text);
  const listed = listedIn(sheet.rows, matchColumns(sheet), ({ cells }) => cells.join(sheet.delimiter));
  return planImport(listed, known, sheet.broken, { emptying });
};

describe("a table", () => {
  it.each([
    ["commas", "Name,Mail\nAda,ada@x.example\n", ","],
    ["semicolons", "Name;Mail\r\nAda;ada@x.example\r\n", ";"],
    ["copied cells", "Name\tMail\nAda\tada@x.example", "\t"],
    ["bars", "Name|Mail\rAda|ada@x.example", "|"],
    ["a line that names its delimiter", "sep=;\nName;Mail\nAda;ada@x.example", ";"],
    ["a byte order mark", "\uFEFFName,Mail\nAda,ada@x.example", ","],
  ])("of %s is read", (_what, text, delimiter) => {
    const sheet = readSheet(text);
    expect(sheet).toMatchObject({ delimiter, named: true, header: ["Name", "Mail"], broken: [], cut: false });
    expect(cellsIn(sheet)).toEqual([["Ada", "ada@x.example"]]);
  });

  it("of semicolons with commas in its cells is parted by semicolons", () => {
    expect(cellsIn(readSheet("Name;Address\nAda;3, Sluice Lane, Harrow Fen\nBo;1, Mill Row, Fen"))).toEqual([
      ["Ada", "3, Sluice Lane, Harrow Fen"],
      ["Bo", "1, Mill Row, Fen"],
    ]);
  });

  it("has lines within quoted cells, and says on which line each row begins", () => {
    const sheet = readSheet('Name,Address\nAda,"3 Sluice Lane\nHarrow Fen"\n\nBo,"a ""quoted"" word"\n');
    expect(sheet.rows).toEqual([
      { line: 2, cells: ["Ada", "3 Sluice Lane\nHarrow Fen"] },
      { line: 5, cells: ["Bo", 'a "quoted" word'] },
    ]);
  });

  it("without names of columns has letters for them", () => {
    const sheet = readSheet("Ada Quill,ada@x.example\nBo Lind,bo@x.example");
    expect(sheet).toMatchObject({ named: false, header: ["Column A", "Column B"] });
    expect(sheet.rows).toHaveLength(2);
    expect(readSheet("Ada Quill,ada@x.example", { named: true }).rows).toHaveLength(0);
  });

  it.each([
    ["a quote that is not closed", 'Name,Mail\nAda,"ada@x.example\nBo,bo@x.example', 2, /quotation mark/],
    [
      "a quote in the middle of a quoted cell",
      'Name,Mail\n"Ada "Q" Quill",a@x.example\nBo,bo@x.example',
      2,
      /quotation mark/,
    ],
    ["too few cells", "Name,Mail\nAda\nBo,bo@x.example", 2, /It has 1 cell, and the table has 2 columns/],
    ["too many cells", "Name,Mail\nAda,Quill,ada@x.example\nBo,bo@x.example", 2, /It has 3 cells/],
  ])("with %s loses that line and no other", (_what, text, line, reason) => {
    const sheet = readSheet(text);
    expect(sheet.broken).toHaveLength(1);
    expect(sheet.broken[0]).toMatchObject({ line, reason: expect.stringMatching(reason) as string });
    expect(cellsIn(sheet)).toEqual([["Bo", "bo@x.example"]]);
  });

  it("with an open quote that a later one closes loses the line of the first", () => {
    const sheet = readSheet('Name,Title\nAda,"Head\nBo,Lead\nCy,"Deputy, Seeds"\n');
    expect(sheet.broken.map(({ line }) => line)).toEqual([2]);
    expect(cellsIn(sheet)).toEqual([
      ["Bo", "Lead"],
      ["Cy", "Deputy, Seeds"],
    ]);
  });

  it("has a broken line whole, so that it can be mended and read again", () => {
    const [line] = readSheet("Name,Mail\nAda;ada@x.example\nBo,bo@x.example").broken;
    expect(line?.text).toBe("Ada;ada@x.example");
    expect(cellsOf("Ada,ada@x.example", ",")).toEqual(["Ada", "ada@x.example"]);
  });

  it("never throws, and accounts for every line that holds something", () => {
    fc.assert(
      fc.property(
        fc.string({ unit: fc.constantFrom('"', ",", ";", "\n", "\r", "\t", "a", " ", "'", "=") }),
        (text) => {
          const { rows, broken, named } = readSheet(text);
          const told = [...rows, ...broken].map(({ line }) => line);
          expect(new Set(told).size).toBe(told.length);
          if (/a/.test(text)) expect(told.length + Number(named)).toBeGreaterThan(0);
        },
      ),
    );
  });

  it("of 100,000 rows is read whole, and of more says that it was cut", () => {
    const row = "Ada Quill,ada@x.example,Head of Seeds";
    const sheet = readSheet(`Name,Mail,Title\n${`${row}\n`.repeat(100_001)}`);
    expect(sheet.rows).toHaveLength(100_000);
    expect(sheet.rows.at(-1)).toEqual({ line: 100_001, cells: row.split(",") });
    expect(sheet.cut).toBe(true);
  });
});

describe("a table that is written", () => {
  it("runs nothing in a spreadsheet", () => {
    for (const cell of ["=1+1", "+44 1632 960100", "-2", "@SUM(A1)", "'=x", "\t=1"])
      expect(harmlessCell(cell)).toMatch(/^'/);
    expect(harmlessCell("Ada")).toBe("Ada");
    expect(writeSheet([{ ...emptyPerson, name: "=HYPERLINK(1)" }], ["name"])).toBe(
      "\uFEFFName\r\n'=HYPERLINK(1)\r\n",
    );
  });

  const own = [ownFieldOf("phone", "Direct line"), ownFieldOf("text", "Room, floor")] as const;
  const fields = [...wordFieldNames, ...own];
  const value = fc
    .string({ unit: "grapheme", maxLength: 30 })
    .map((text) => text.replace(/[\p{Cc}\u2028\u2029\uFEFF]/gu, "").trim());
  const person = fc
    .record(
      Object.fromEntries(
        fields.map((field) => [field, fc.oneof(value, fc.constantFrom("=1", "'", '"', "a\nb", ";", ""))]),
      ),
    )
    .map((said) => changePerson(emptyPerson, { id: "", from: null, to: said }));

  it("comes back as it was: every field of everybody", () => {
    fc.assert(
      fc.property(fc.array(person, { minLength: 1, maxLength: 6 }), (given) => {
        const people = given
          .filter((each) => each !== null)
          .map((each, index) => ({ ...each, name: `N ${index}` }));
        const sheet = readSheet(writeSheet(people, fields));
        expect(sheet.broken).toEqual([]);
        const columns = matchColumns(sheet, own);
        expect(columns).toEqual(fields);
        const read = listedIn(sheet.rows, columns, () => "").map(({ details }) =>
          changePerson(emptyPerson, { id: "", from: null, to: details }),
        );
        expect(read).toEqual(people);
      }),
    );
  });
});

describe("columns", () => {
  it("are told by their names, in several languages", () => {
    const sheet = readSheet(
      "Vorname;Nachname;E-Mail;Abteilung;Handy;Shoe size\nAda;Quill;a@x.example;Lab;+44 7700 900100;7",
    );
    expect(matchColumns(sheet)).toEqual(["given name", "family name", "mail", "department", "mobile", null]);
  });

  it("are told by what stands in them where they have no names", () => {
    const sheet = readSheet(
      "ada@x.example;Ada Quill;+44 1632 960100;x.example\nbo@x.example;Bo;+44 1632 960101;x.example/bo",
    );
    expect(matchColumns(sheet)).toEqual(["mail", "name", "phone", "web"]);
  });

  it("are what was chosen for their names before", () => {
    const sheet = readSheet("Who,Where,Mail\nAda,Lab,a@x.example");
    expect(matchColumns(sheet, [], { where: "department", mail: null })).toEqual([
      "name",
      "department",
      null,
    ]);
  });

  it("mean a field of the user's own by its name, and no field twice", () => {
    const room = ownFieldOf("text", "Room");
    const sheet = readSheet("Name,room,Title,Job title\nAda,7,Head,Lead");
    expect(matchColumns(sheet, [room])).toEqual(["name", room, "title", null]);
  });
});

describe("an import", () => {
  const known = people(
    { name: "Ada Quill", mail: "ada@x.example", title: "Head" },
    { name: "Bo Lind", mail: "bo@x.example", phone: "+44 1632 960101" },
    { name: "Cy Rao", mail: "cy@x.example" },
  );

  it("adds, changes, keeps and misses, by mail address and else by name", () => {
    const plan = planOf(
      "Name,Mail,Title\nAda Quill,ADA@x.example,Head of Seeds\nbo  lind,,\nDee Holm,dee@x.example,Lead",
      known,
    );
    expect(plan.added).toEqual([
      { line: 4, person: { ...emptyPerson, name: "Dee Holm", mail: "dee@x.example", title: "Lead" } },
    ]);
    expect(plan.changed.map(({ id, from, to }) => ({ id, from, to }))).toEqual([
      {
        id: "p1",
        from: { mail: "ada@x.example", title: "Head" },
        to: { mail: "ADA@x.example", title: "Head of Seeds" },
      },
      { id: "p2", from: { name: "Bo Lind" }, to: { name: "bo  lind" } },
    ]);
    expect(plan.same).toBe(0);
    expect(plan.missing.map(({ id }) => id)).toEqual(["p3"]);
    expect(plan.broken).toEqual([]);
  });

  it("leaves what is empty in the list as it is, unless it is asked to empty it", () => {
    const text = "Name,Mail,Phone\nBo Lind,bo@x.example,";
    expect(planOf(text, known)).toMatchObject({ same: 1, changed: [], emptied: 1 });
    expect(planOf(text, known, true).changed).toMatchObject([
      { from: { phone: "+44 1632 960101" }, to: { phone: "" } },
    ]);
  });

  it.each([
    ["neither name nor address", "Name,Mail,Title\n,,Head", "It has neither a name nor a mail address."],
    ["an address that is none", "Name,Mail\nDee,dee at x", "“dee at x” is not a mail address."],
    [
      "an address twice",
      "Name,Mail\nDee,d@x.example\nDee Two,D@x.example",
      "Line 2 has the same mail address.",
    ],
    ["a name twice", "Name,Title\nDee,Head\ndee,Lead", "Line 2 has the same name."],
    ["one person twice", "Name,Mail\nAda Quill,\nAda,ada@x.example", "Line 2 is about the same person."],
    [
      "an address of nobody",
      "Name,Mail\n,new@x.example",
      "It has no name, and nobody has this mail address.",
    ],
    ["a long cell", `Name,Title\nDee,${"x".repeat(301)}`, "Title has over 300 characters."],
  ])("does not take a line with %s", (_what, text, reason) => {
    expect(planOf(text, known).broken.map((each) => each.reason)).toEqual([reason]);
  });

  it("asks for an address where two people have one name", () => {
    const twins = people({ name: "Jo Li", mail: "jo@x.example" }, { name: "Jo Li", mail: "li@x.example" });
    expect(planOf("Name,Title\nJo Li,Lead", twins).broken[0]?.reason).toMatch(/2 people are called Jo Li/);
    expect(planOf("Name,Mail,Title\nJo Li,li@x.example,Lead", twins).changed[0]?.id).toBe("p2");
  });

  it("that is carried out is nothing to do the second time", () => {
    const text = "Name,Mail,Title\nAda Quill,ada@x.example,Lead\nDee Holm,dee@x.example,Lead";
    const plan = planOf(text, known);
    const after = new Map<string, Person>(known.map(({ id, person }) => [id, person]));
    for (const change of changesOf(plan, () => "new", plan.missing)) {
      const person = changePerson(after.get(change.id) ?? null, change);
      if (person) after.set(change.id, person);
      else after.delete(change.id);
    }
    const again = planOf(
      text,
      [...after].map(([id, person]) => ({ id, person })),
    );
    expect(again).toEqual({ added: [], changed: [], same: 2, missing: [], broken: [], emptied: 0 });
  });
});
