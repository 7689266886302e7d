import { readdirSync, readFileSync } from "node:fs";
import fc from "fast-check";
import type { Node } from "prosemirror-model";
import { Transform } from "prosemirror-transform";
import { describe, expect, it } from "vitest";
import { compile } from "../compile";
import { emptyPerson, readPerson, type Person } from "../people";
import { build, outerTable, parseSignature, readSignature, style, tableMap } from "../signature";
import {
  applyFitMends,
  choiceSays,
  findFitMends,
  fitMendsSay,
  fitOf,
  type FitChoice,
  type FitMend,
} from "./index";

const { cell, field, line, row, separator, signature, table, text } = build;

const people: readonly Person[] = readdirSync("demo/people").map((file) =>
  readPerson(JSON.parse(readFileSync(`demo/people/${file}`, "utf8"))),
);
const demo = (name: string): Node =>
  parseSignature(JSON.parse(readFileSync(`demo/signatures/${name}.json`, "utf8")));

const findFor = (document: Node, whom: readonly Person[]) =>
  findFitMends(
    document,
    whom.map((person) => ({ person, fit: fitOf(document, person) })),
  );
const mended = (document: Node, { mends }: FitChoice): Node =>
  applyFitMends(new Transform(document), mends).doc;
const onlyKind = (choices: readonly FitChoice[] | undefined, kind: FitMend["kind"]): FitChoice | undefined =>
  choices?.find(({ mends: [first, ...more] }) => first?.kind === kind && more.length === 0);
const parts = ({ mends }: FitChoice): boolean => mends.some(({ kind }) => kind === "part-line");
const said = (document: Node, whom: readonly Person[]) =>
  findFor(document, whom).map(({ people: tight, choices }) =>
    choices.map((choice) => `${fitMendsSay(document, choice.mends)}: ${choiceSays(choice, tight.length)}`),
  );
const plain = (document: Node, person: Person): string =>
  compile(document, { destination: "plain-text", person, base: "https://pictures.example" });

const inCell = (width: number, ...parts: readonly Node[]): Node =>
  signature({ maxWidth: 400 }, table(row(cell({ width: [width] }, ...parts))));
const oneLine = (...content: readonly Node[]): Node => inCell(400, line(...content));
const ada: Person = { ...emptyPerson, name: "Ada Quill", title: "Head of Cold Storage", phone: "" };

/** Lines of details with signs between them, in columns that are often too narrow for them, now and then in a table of their own. */
const anyPiece = fc.oneof(
  fc
    .constantFrom("name", "title", "department", "phone", "mail")
    .chain((name) =>
      fc
        .record({ takesLine: fc.boolean(), size: fc.integer({ min: 9, max: 24 }) })
        .map(({ takesLine, size }) => field(name as "name", { takesLine }, style.size(size))),
    ),
  fc.integer({ min: 0, max: 40 }).map((gap) => separator("|", gap)),
  fc.constantFrom(" / ", ", ", "Desk").map((words) => text(words)),
  fc.constant(build.lineBreak()),
);
const anyLine = fc.array(anyPiece, { minLength: 1, maxLength: 6 }).map((pieces) => line(...pieces));
const anyTight = fc
  .record({
    lines: fc.array(anyLine, { minLength: 1, maxLength: 3 }),
    width: fc.integer({ min: 60, max: 420 }),
    maxWidth: fc.integer({ min: 300, max: 600 }),
    inside: fc.boolean(),
  })
  .map(({ lines, width, maxWidth, inside }) => {
    const content = inside ? [table(row(cell({ width: [width] }, ...lines)))] : lines;
    return signature(
      { maxWidth },
      table(row(cell({ width: [width] }, ...content), cell({ width: [40] }, line()))),
    );
  });

describe("what would make a line fit", () => {
  it("is told for each line of the demo, that which helps most people first, and of equals that which changes least", () => {
    expect(said(demo("full"), people)).toEqual([
      [
        "Type 2 px smaller, and two lines, parted at “·”: fits for 1 of 2, 12 px higher",
        "Type 3 px smaller, and the column 24 px wider: fits for 1 of 2, 4 px lower, 24 px wider",
      ],
      [
        "Type 1 px smaller: fits for all 2, 1 px lower",
        "Two lines, parted at “|”: fits for all 2, 18 px higher",
        "The column 23 px wider: fits for all 2, 23 px wider",
        "Gaps of 6 px at most: fits for 1 of 2",
      ],
      ["Type 2 px smaller: fits, 2 px lower", "The column 29 px wider: fits, 29 px wider"],
    ]);
    expect(said(demo("from-last-year"), people)).toEqual([]);
  });

  it("is a gap no narrower than it has to be", () => {
    const spaced = (gap: number): Node =>
      inCell(190, line(field("name"), separator("|", gap), field("title")));
    const [choices] = said(spaced(14), [ada]);
    const least = choices?.[0] ?? "";
    expect(least).toMatch(/^Gaps of \d+ px at most: fits, 18 px lower$/);
    const gap = Number(/\d+/.exec(least)?.[0]);
    expect(fitOf(spaced(gap), ada).tight).toEqual([]);
    expect(fitOf(spaced(gap + 1), ada).tight).toHaveLength(1);
  });

  it("is two lines where both are shortest, and what stood between them goes", () => {
    const three = oneLine(
      field("name"),
      text(" / "),
      field("title"),
      separator("|", 6),
      field("mail"),
      text(" - "),
      text("The Old Malthouse, Sluice Lane"),
    );
    const whom = { ...ada, mail: "ada@harrowfen.example" };
    const [found] = findFor(three, [whom]);
    const parted = onlyKind(found?.choices, "part-line");
    expect(parted && plain(mended(three, parted), whom)).toBe(
      "Ada Quill / Head of Cold Storage\nada@harrowfen.example - The Old Malthouse, Sluice Lane\n",
    );
  });

  it("is nothing smaller than can be read, and nothing wider than the signature may be", () => {
    const small = inCell(80, line(field("title", {}, style.size(10))));
    const [one] = findFor(small, [ada]);
    expect(one?.choices.flatMap(({ mends }) => mends)).toEqual([
      { kind: "widen-column", position: one?.position, by: expect.any(Number) as number },
    ]);
    const long = {
      ...ada,
      title:
        "Head of Cold Storage and of Everything Else That Is Kept in the Old Malthouse and in the New One, by Day and by Night",
    };
    expect(said(small, [long])).toEqual([[]]);
    // For one of the two it may be as wide as that takes.
    expect(said(small, [long, ada])[0]).toEqual([expect.stringMatching(/px wider: fits for 1 of 2/)]);
  });

  it("widens what is around a table that lies in a cell", () => {
    const nested = inCell(120, table(row(cell({ width: [100] }, line(field("title"))))));
    const [found] = findFor(nested, [ada]);
    const wider = onlyKind(found?.choices, "widen-column");
    if (!wider) throw new Error("no column is widened");
    const after = mended(nested, wider);
    expect(fitOf(after, ada).tight).toEqual([]);
    const [outer] = tableMap(outerTable(after)).places;
    const [width] = (outer?.node.attrs["colwidth"] ?? []) as number[];
    expect(width).toBe(tableMap(outerTable(after)).width);
    expect(wider.wider).toBe(tableMap(outerTable(after)).width - 120);
  });

  it("is two changes where none alone helps everybody, the first no larger than the second leaves it", () => {
    const content = line(field("name", {}, style.size(20)), separator("|", 10), field("title"));
    const titled = signature({ maxWidth: 165 }, table(row(cell({ width: [165] }, content))));
    const long = { ...ada, title: "Head of Cold Storage, Learning" };
    const [found] = findFor(titled, [long]);
    const pair = found?.choices[0];
    if (!pair) throw new Error("nothing is found");
    expect(fitMendsSay(titled, pair.mends)).toMatch(/^Type \d px smaller, and two lines, parted at “\|”$/);
    expect(fitOf(mended(titled, pair), long).tight).toEqual([]);
    const [shrink, part] = pair.mends;
    if (shrink?.kind !== "shrink-type" || !part) throw new Error("another pair is found");
    const milder = { ...pair, mends: [{ ...shrink, by: shrink.by - 1 }, part] };
    expect(fitOf(mended(titled, milder), long).tight).not.toEqual([]);
  });

  it("is one step of what the line is, and leaves what a button says", () => {
    expect(() =>
      applyFitMends(new Transform(demo("full")), [{ kind: "shrink-type", position: 0, by: 1 }]),
    ).toThrow("No line at position 0");
    const labelled = inCell(60, build.button({ width: 60 }, field("title")));
    expect(said(labelled, [ada])).toEqual([[]]);
  });

  it("holds in any document: as many fit then as was said, and nobody who fitted is worse off", () => {
    const some = people.slice(0, 8);
    const tightAt = (document: Node, person: Person): readonly number[] =>
      fitOf(document, person).tight.map(({ position }) => position);
    let tried = 0;
    let pairs = 0;
    fc.assert(
      fc.property(anyTight, (document) => {
        for (const { position, people: tight, choices } of findFor(document, some))
          for (const choice of choices) {
            tried++;
            if (choice.mends.length > 1) {
              pairs++;
              const alone = choices.filter(({ mends }) => mends.length === 1).map(({ fits }) => fits);
              expect(Math.max(0, ...alone)).toBeLessThan(choice.fits);
            }
            const after = mended(document, choice);
            expect(readSignature(after.toJSON()).ok).toBe(true);
            const places = parts(choice)
              ? [position, position + (after.nodeAt(position)?.nodeSize ?? 0)]
              : [position];
            const left = tight.filter(({ person }) =>
              tightAt(after, person).some((at) => places.includes(at)),
            );
            expect(tight.length - left.length).toBe(choice.fits);
            // Of two lines that one becomes, both may be too long still.
            const most = parts(choice) ? 1 : 0;
            for (const person of some) {
              const before = tightAt(document, person).length;
              expect(tightAt(after, person).length).toBeLessThanOrEqual(before === 0 ? 0 : before + most);
            }
          }
      }),
      { numRuns: 60 },
    );
    expect(tried).toBeGreaterThan(20);
    expect(pairs).toBeGreaterThan(5);
  });
});
