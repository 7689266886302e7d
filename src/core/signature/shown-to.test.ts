import type { Node } from "prosemirror-model";
import { Transform } from "prosemirror-transform";
import { describe, expect, it } from "vitest";
import { applyMend, checkSignature, gapsOf } from "../checks";
import { compile } from "../compile";
import { fitOf } from "../fit";
import { importHtml, withUnsaid } from "../importing";
import { emptyPerson, type Condition, type Person } from "../people";
import { build } from "./builder";
import { linksOf, picturesOf, textRunsOf, wordsOf } from "./queries";
import { hiddenFrom, isHiddenFrom } from "./shown-for";
import { shownTo } from "./shown-to";
import { tableMap } from "./table-map";
import { parseSignature, readSignature } from "./validate";

const { cell, divider, field, line, picture, row, signature, spacer, table, text } = build;
const base = "https://pictures.harrowfen.example";

const press: Person = { ...emptyPerson, name: "Ada", department: "Press", phone: "+44 1632 960100" };
const other: Person = { ...emptyPerson, name: "Bo", department: "Learning" };

const forPress: Condition = { field: "department", is: "one of", details: ["Press"] };
const withPhone: Condition = { field: "phone", is: "filled", details: [] };
const onlyFor = (shownFor: Condition, node: Node): Node =>
  node.type.create({ ...node.attrs, shownFor }, node.content, node.marks);
const words = (value: string): Node => line(text(value));
const plain = (document: Node, person: Person | null): string =>
  compile(document, { destination: "plain-text", person, base });
const widths = (document: Node, person: Person | null): readonly number[] =>
  tableMap(shownTo(document, person).firstChild!).columnWidths;

const two = (...parts: readonly Node[]): Node =>
  signature({}, table(row(cell({ width: [300] }, ...parts)), row(cell({ width: [300] }, words("Below")))));

describe("parts that are for some only", () => {
  it("are there for whom they are for and for nobody's, and gone for others", () => {
    const document = two(words("Name"), onlyFor(forPress, words("Pictures for the press")));
    expect(plain(document, press)).toBe("Name\nPictures for the press\nBelow\n");
    expect(plain(document, null)).toBe("Name\nPictures for the press\nBelow\n");
    expect(plain(document, other)).toBe("Name\nBelow\n");
    expect(shownTo(document, press).eq(document)).toBe(true);
  });

  it("make the very document where all of it is for everybody", () => {
    const document = two(words("Name"));
    expect(shownTo(document, press)).toBe(document);
    expect(hiddenFrom(document, other)).toEqual([]);
  });

  it("take their row with them where it held nothing else, and only room beside it", () => {
    const document = two(onlyFor(withPhone, line(field("phone"))), spacer(8));
    expect(shownTo(document, other).firstChild?.childCount).toBe(1);
    expect(shownTo(document, press).firstChild?.childCount).toBe(2);
  });

  it("take their column with them, whose width goes to the one beside it", () => {
    const logo = onlyFor(
      forPress,
      picture({ source: "/h/0123456789abcdef0123/press.png", width: 90, height: 90 }),
    );
    const document = signature(
      {},
      table(
        row(cell({ width: [110] }, logo), cell({ width: [290] }, words("Name"))),
        row(cell({ width: [110, 290] }, words("A banner"))),
      ),
    );
    expect(widths(document, press)).toEqual([110, 290]);
    expect(widths(document, other)).toEqual([400]);
    expect(compile(document, { destination: "webmail-paste", person: other, base })).not.toContain(
      "press.png",
    );
  });

  it("are rows as well, and what comes to stand at the edge has the frame of what stood there", () => {
    const frame = { width: 2, style: "solid", color: "#3F5B2E" } as const;
    const last = row(
      cell({ width: [300], border: { top: null, right: null, bottom: frame, left: null } }, words("Events")),
    );
    const document = signature(
      {},
      table(row(cell({ width: [300] }, words("Name"))), onlyFor(forPress, last)),
    );
    expect(shownTo(document, other).firstChild?.childCount).toBe(1);
    expect(compile(document, { destination: "webmail-paste", person: other, base })).toContain(
      "border-bottom:2px solid #3F5B2E",
    );
  });

  it("can be all that there is: an empty table of the same width is left", () => {
    const document = signature({}, table(onlyFor(forPress, row(cell({ width: [300] }, words("Name"))))));
    expect(widths(document, other)).toEqual([300]);
    expect(plain(document, other)).toBe("");
    expect(readSignature(shownTo(document, other).toJSON()).ok).toBe(true);
  });

  it("may stand in each other, the outermost being told", () => {
    const inner = onlyFor(withPhone, words("Phone"));
    const document = signature(
      {},
      table(
        onlyFor(forPress, row(cell({ width: [300] }, inner))),
        row(cell({ width: [300] }, words("Name"))),
      ),
    );
    expect(hiddenFrom(document, other)).toHaveLength(1);
    expect(plain(document, { ...press, phone: "" })).toBe("Name\n");
  });

  it("are found by nobody who does not see them", () => {
    const logo = picture({
      source: "/h/0123456789abcdef0123/press.png",
      width: 90,
      height: 90,
      link: "https://harrowfen.example/press",
    });
    const document = two(words("Name"), onlyFor(forPress, words("Press")), onlyFor(forPress, logo));
    const counts = (person: Person) => [
      linksOf(document, person).length,
      picturesOf(document, person).length,
      textRunsOf(document, person).length,
      wordsOf(document, person),
    ];
    expect(counts(press)).toEqual([1, 1, 3, "Name Press Below"]);
    expect(counts(other)).toEqual([0, 0, 2, "Name Below"]);
  });

  it("have no findings and strain no layout for others", () => {
    const phone = onlyFor(withPhone, line(text("Phone "), field("phone")));
    const bare = onlyFor(
      forPress,
      picture({ source: "/h/0123456789abcdef0123/press.png", width: 90, height: 90, alt: "" }),
    );
    const document = two(phone, bare);
    const codes = (person: Person): readonly string[] =>
      checkSignature(document, { person, base }).flatMap(({ position, code }) =>
        position === null ? [] : [code],
      );
    expect(codes(press)).toContain("picture-without-alt");
    expect(codes(other)).not.toContain("picture-without-alt");
    expect(fitOf(document, { ...other, phone: "" }).empty).toEqual([]);
    expect(fitOf(two(line(field("phone"))), other).empty).toHaveLength(1);
  });

  it("are no gaps where they are shown only for whoever has what they say", () => {
    const gaps = gapsOf([press, other]);
    const codes = (...parts: readonly Node[]): readonly string[] =>
      checkSignature(two(...parts), { person: null, base, gaps }).map(({ code }) => code);
    const phone = line(text("Call "), field("phone", { takesLine: false }));
    expect(codes(phone)).toContain("field-empty-for-some");
    expect(codes(onlyFor(withPhone, phone))).not.toContain("field-empty-for-some");
    expect(codes(onlyFor({ ...withPhone, field: "mobile" }, phone))).toContain("field-empty-for-some");
  });

  it("that nobody sees are found, though nobody sees them, and shown to everybody in one step", () => {
    const document = two(words("Name"), onlyFor({ ...forPress, details: [] }, words("Press")));
    const [found] = checkSignature(document, { person: other, base }).filter(
      ({ code }) => code === "part-for-nobody",
    );
    expect(found?.message).toBe("It is shown for some of Department, and none is chosen: nobody sees it.");
    const transform = new Transform(document);
    applyMend(transform, found!.mend!);
    expect(plain(transform.doc, other)).toBe("Name\nPress\nBelow\n");
  });

  it("come back from what was compiled for whoever does not see them", () => {
    const document = parseSignature(
      two(
        words("Name"),
        onlyFor(forPress, words("Press")),
        divider(),
        onlyFor(withPhone, words("Phone")),
      ).toJSON(),
    );
    for (const person of [press, other, null]) {
      const html = compile(document, { destination: "webmail-paste", person, base });
      expect(importHtml(withUnsaid(html, document)).document.toJSON()).toEqual(document.toJSON());
    }
  });

  it("are hidden from nobody who is not known", () => {
    expect(isHiddenFrom(onlyFor(forPress, words("Press")), null)).toBe(false);
    expect(isHiddenFrom(words("Press"), other)).toBe(false);
  });
});
