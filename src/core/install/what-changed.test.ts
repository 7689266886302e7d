import { readFileSync } from "node:fs";
import type { Node } from "prosemirror-model";
import { Transform } from "prosemirror-transform";
import { describe, expect, it } from "vitest";
import { readPerson, type Person } from "../people";
import { image, parseSignature, picturesOf, setAttributes } from "../signature";
import { whatChanged, type Told } from "./index";

const json = (file: string): unknown => JSON.parse(readFileSync(file, "utf8"));
const tamsin: Person = readPerson(json("demo/people/tamsin-okafor.json"));
const document = parseSignature(json("demo/signatures/full.json"));
const base = "https://pictures.harrowfen.example";
const installed: Told = { document, person: tamsin, base };

/** The document with its JSON changed. */
const rewritten = (from: string, to: string): Node =>
  parseSignature(JSON.parse(JSON.stringify(document.toJSON()).replace(from, to)));

describe("what changed since an install", () => {
  it("is nothing while the HTML is the same, whatever else is", () => {
    expect(whatChanged(installed, installed)).toBeNull();
    // Not among the details that this signature shows.
    expect(whatChanged(installed, { ...installed, person: { ...tamsin, pronouns: "she/her" } })).toBeNull();
  });

  it.each<[string, Told, readonly string[]]>([
    [
      "a detail",
      { ...installed, person: { ...tamsin, title: "Keeper of Seeds" } },
      ["Title is “Keeper of Seeds” now, no longer “Head of Germination”."],
    ],
    [
      "a detail that is gone",
      { ...installed, person: { ...tamsin, title: "" } },
      ["Title “Head of Germination” is gone."],
    ],
    ["whose it is", { ...installed, person: null }, ["It is nobody’s now; it was Tamsin Okafor’s."]],
    [
      "the address of pictures",
      { ...installed, base: "https://still.example" },
      ["Its pictures are at https://still.example now, no longer at https://pictures.harrowfen.example."],
    ],
    [
      "a colour of text",
      { ...installed, document: rewritten('"textColor":"#4F554A"', '"textColor":"#222222"') },
      ["The colour of its text is “#222222” now, no longer “#4F554A”."],
    ],
    [
      "what has no words",
      { ...installed, document: rewritten('"width":1.5', '"width":2') },
      ["Spacing, borders, sizes or colours of its parts are others."],
    ],
  ])("is told of %s", (_what, now, says) => {
    expect(whatChanged(installed, now)).toEqual(says);
  });

  it("is told of pictures, links and words", () => {
    const [first] = picturesOf(document);
    if (!first) throw new Error("there is no picture");
    const source = "/h/00000000000000000000/tamsin.png";
    const other = new Transform(document);
    setAttributes(other, first.position, image, { source });
    expect(whatChanged(installed, { ...installed, document: other.doc })).toEqual([
      `The picture “${image.of(first.node).alt}” is another file.`,
    ]);
    const words = rewritten('"glyph":"·"', '"glyph":"•"');
    expect(whatChanged(installed, { ...installed, document: words })).toEqual([
      "A line is “Head of Germination • Germination Lab” now, no longer “Head of Germination · Germination Lab”.",
    ]);
    const elsewhere = rewritten("https://harrowfen.example/visit", "https://harrowfen.example/us");
    expect(whatChanged(installed, { ...installed, document: elsewhere })).toEqual([
      `“${tamsin.address}” leads to https://harrowfen.example/us now, no longer to https://harrowfen.example/visit.`,
    ]);
  });
});
