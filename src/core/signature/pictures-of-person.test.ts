import { describe, expect, it } from "vitest";
import type { Node } from "prosemirror-model";
import { compile } from "../compile";
import { importHtml, withUnsaid } from "../importing";
import { emptyPerson, type Person } from "../people";
import { build } from "./builder";
import {
  hasOwnPictures,
  pictureKey,
  picturesLacking,
  picturesToMake,
  withPicturesOf,
} from "./pictures-of-person";
import { picturesOf, pictureSourcesOf } from "./queries";
import { image } from "./kinds/picture";
import { parseSignature } from "./validate";

const hash = "0123456789abcdef0123";
const [placed, made, lettered] = [`/h/${hash}/placed.png`, `/h/${hash}/made.png`, `/h/${hash}/to.png`];
const { cell, line, row, signature, spacer, table, text } = build;

type Without = "initials" | "picture" | "nothing";
const portrait = (without: Without = "initials", source = placed): Node =>
  build.picture({ source, width: 96, height: 96, alt: "The design", field: "portrait", without });

const beside = (own: Node): Node =>
  signature(
    { linkColor: "#1F5B57", font: "Georgia" },
    table(row(cell({ width: [112] }, own), cell({ width: [288] }, line(text("Ada"))))),
  );

const ada: Person = { ...emptyPerson, name: "Ada Quill", portrait: `${hash} 420 380 520` };
const nobody: Person = { ...ada, portrait: "" };
const keyOf = (document: Node, person: Person): string =>
  picturesToMake(document, person).map(pictureKey)[0]!;
const withMade = (document: Node, person: Person, path: string): Person => ({
  ...person,
  pictures: { [keyOf(document, person)]: path },
});

const html = (document: Node, person: Person | null): string =>
  compile(document, { destination: "webmail-paste", person, base: "https://pictures.example" });

describe("a picture that is each person's own", () => {
  it("has to be made as the one placed was, of the part of their photograph that shows", () => {
    expect(picturesToMake(beside(portrait()), ada)).toEqual([
      {
        ...{ source: placed, width: 96, height: 96 },
        of: { kind: "detail", original: hash, focus: { x: 420, y: 380, side: 520 } },
      },
    ]);
  });

  it("is their initials in the signature's colours and type where they have none", () => {
    expect(picturesToMake(beside(portrait()), nobody)[0]?.of).toEqual({
      ...{ kind: "initials", letters: "AQ", color: "#FFFFFF", ground: "#1F5B57", font: "Georgia" },
    });
    const pale = signature({ linkColor: "#E2ECE8" }, table(row(cell({ width: [112] }, portrait()))));
    expect(picturesToMake(pale, nobody)[0]?.of).toMatchObject({ color: "#121212", ground: "#E2ECE8" });
  });

  it("asks for nothing of nobody, where another picture or nothing stands for it, and where all is the same", () => {
    expect(picturesToMake(beside(portrait()), null)).toEqual([]);
    for (const without of ["picture", "nothing"] as const)
      expect(picturesToMake(beside(portrait(without)), nobody)).toEqual([]);
    const same = beside(build.picture({ source: placed, width: 96, height: 96 }));
    expect(picturesToMake(same, ada)).toEqual([]);
    expect([hasOwnPictures(same), hasOwnPictures(beside(portrait()))]).toEqual([false, true]);
    expect(withPicturesOf(same, ada)).toBe(same);
  });

  it("is another one with another part, another cut and another size, and the same for whoever has the same", () => {
    const document = beside(portrait());
    const key = keyOf(document, ada);
    expect(keyOf(document, { ...ada, name: "Bea" })).toBe(key);
    expect(keyOf(document, { ...ada, portrait: `${hash} 421 380 520` })).not.toBe(key);
    expect(keyOf(beside(portrait("initials", made)), ada)).not.toBe(key);
    const larger = beside(build.picture({ source: placed, width: 100, height: 96, field: "portrait" }));
    expect(keyOf(larger, ada)).not.toBe(key);
  });

  it("stands in its place under their name once it is made, and the positions stay what they were", () => {
    const document = beside(portrait());
    const person = withMade(document, ada, made);
    const shown = withPicturesOf(document, person);
    expect(picturesLacking(document, ada)).toHaveLength(1);
    expect(picturesLacking(document, person)).toEqual([]);
    const [picture] = picturesOf(shown);
    expect(image.of(picture!.node)).toMatchObject({ source: made, alt: "Ada Quill", width: 96, height: 96 });
    expect(picture?.position).toBe(picturesOf(document)[0]?.position);
    expect(withPicturesOf(document, person)).toBe(shown);
    expect(withPicturesOf(shown, person)).toBe(shown);
    expect(html(document, person)).toContain(`src="https://pictures.example${made}"`);
    expect(html(document, person)).toContain('alt="Ada Quill"');
  });

  it("is never somebody else: what is not made yet is nothing", () => {
    const document = beside(portrait());
    expect(pictureSourcesOf(withPicturesOf(document, ada))).toEqual([]);
    expect(html(document, ada)).not.toContain("<img");
    // Nobody's signature shows what is placed.
    expect(html(document, null)).toContain(placed);
    expect(html(beside(portrait("picture")), nobody)).toContain(placed);
  });

  it("says nothing where it is only decoration", () => {
    const plain = build.picture({
      source: placed,
      width: 96,
      height: 96,
      decorative: true,
      field: "portrait",
    });
    const document = beside(plain);
    expect(html(document, withMade(document, ada, made))).toContain('alt=""');
  });

  it("leaves with its field, so that it comes back the same from wherever it is pasted", () => {
    for (const own of [portrait(), portrait("nothing"), portrait("picture")])
      for (const [person, path] of [
        [ada, made],
        [nobody, lettered],
        [null, ""],
      ] as const) {
        const document = parseSignature(beside(own).toJSON());
        const wanted = person && picturesToMake(document, person).length > 0;
        const whose = wanted ? withMade(document, person, path) : person;
        const told = withUnsaid(html(document, whose), document);
        expect(importHtml(told).document.toJSON()).toEqual(document.toJSON());
      }
  });
});

describe("a place that closes up", () => {
  const widths = (document: Node): readonly (string | undefined)[] =>
    [...html(document, nobody).matchAll(/<td[^>]*? width="(\d+)"/g)].map(([, width]) => width);

  it("takes its column with it, whose width goes to the one beside it", () => {
    expect(widths(beside(portrait()))).toEqual(["112", "288"]);
    expect(widths(beside(portrait("nothing")))).toEqual(["400"]);
    expect(html(beside(portrait("nothing")), withMade(beside(portrait("nothing")), ada, made))).toContain(
      made,
    );
  });

  it("gives it to the column before it where it is the last", () => {
    const last = signature(
      {},
      table(row(cell({ width: [288] }, line(text("Ada"))), cell({ width: [112] }, portrait("nothing")))),
    );
    expect(widths(last)).toEqual(["400"]);
  });

  it("keeps what spans it as wide as it was", () => {
    const spanned = signature(
      {},
      table(
        row(cell({ width: [112] }, portrait("nothing")), cell({ width: [288] }, line(text("Ada")))),
        row(cell({ width: [112, 288] }, line(text("A banner")))),
      ),
    );
    expect(html(spanned, nobody)).not.toContain("colspan");
    expect(html(spanned, nobody)).toContain('width="400"');
    expect(html(spanned, nobody)).toContain("A banner");
  });

  it("takes its row where it stands above the words, with what was only room", () => {
    const above = signature(
      {},
      table(
        row(cell({ width: [300] }, portrait("nothing"), spacer(8))),
        row(cell({ width: [300] }, line(text("Ada")))),
      ),
    );
    expect(html(above, nobody).match(/<tr>/g)).toHaveLength(1);
    expect(html(above, withMade(above, ada, made))).toContain(made);
  });

  it("leaves a cell that holds more than the picture, and a table that holds nothing else", () => {
    const shared = signature(
      {},
      table(
        row(
          cell({ width: [112] }, portrait("nothing"), line(text("Below"))),
          cell({ width: [288] }, line(text("Ada"))),
        ),
      ),
    );
    expect(widths(shared)).toEqual(["112", "288"]);
    const alone = signature({}, table(row(cell({ width: [112] }, portrait("nothing")))));
    expect(widths(alone)).toEqual(["112"]);
  });
});
