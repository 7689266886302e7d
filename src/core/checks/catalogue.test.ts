import type { Node } from "prosemirror-model";
import { Transform } from "prosemirror-transform";
import { describe, expect, it } from "vitest";
import { standInIds, standIns } from "../clients";
import { emptyPerson, type Person } from "../people";
import { build, schema, style } from "../signature";
import {
  applyMend,
  asideKey,
  catalogue,
  checkSignature,
  findingCodes,
  gapsOf,
  type CheckOptions,
  type FindingCode,
  type PictureFacts,
} from "./index";

const { button, cell, field, line, picture, row, signature, table, text } = build;
const hash = "0123456789abcdef0123";
const hosted = `/h/${hash}/mark.png`;
const away = "https://pictures.sedgeweb.example/mark.png";
const ada: Person = {
  ...emptyPerson,
  name: "Ada Quill",
  phone: "+44 1632 960142",
  mail: "ada@harrowfen.example",
};
const plain: CheckOptions = { person: ada, base: "https://pictures.harrowfen.example", pictures: {} };

const settings = { language: "en-GB", visitLink: "https://harrowfen.example/visit" };
const wide = (width: number, ...blocks: Node[]): Node =>
  signature(settings, table(row(cell({ width: [width] }, ...blocks))));
const holding = (...blocks: Node[]): Node => wide(300, ...blocks);
const said = line(text("Ada Quill keeps the cold store at Harrow Fen"));
const shown = (attributes: Parameters<typeof picture>[0] | object = {}): Node =>
  picture({ source: hosted, width: 60, height: 60, alt: "Mark", ...attributes });
const icon = (height: number, href: string | null = "https://harrowfen.example", source = hosted): Node =>
  schema.nodes.inlinePicture.create(
    { source, width: height, height, alt: "Mark" },
    null,
    href ? [style.link(href)] : [],
  );
const icons = (size: number, ...all: Node[]): Node => schema.nodes.iconRow.create({ size, gap: 6 }, all);
const linked = (words: string, href: string): Node => line(text(words, style.link(href)));
const press = (attributes: object, words = "Book a visit"): Node =>
  button({ link: "https://harrowfen.example/visit", radius: 0, ...attributes }, text(words));
const answer = (verdict: string): CheckOptions => ({
  ...plain,
  answers: {
    "https://harrowfen.example": {
      address: "https://harrowfen.example",
      verdict,
      message: "It answered so.",
      redirects: [],
      better: null,
    },
  } as unknown as NonNullable<CheckOptions["answers"]>,
});
const file = (facts: Partial<PictureFacts>, source = hosted): CheckOptions => ({
  ...plain,
  pictures: {
    [source]: {
      pixels: { width: 120, height: 120 },
      needed: null,
      bytes: 900,
      use: "icon",
      trouble: null,
      ...facts,
    },
  },
});
const trouble = (more: Partial<NonNullable<PictureFacts["trouble"]>>): CheckOptions =>
  file({ trouble: { usable: false, page: false, message: "It is gone.", better: null, ...more } }, away);
const colors = (...all: readonly { color: string; share: number; corner?: boolean }[]): CheckOptions => ({
  ...plain,
  colors: { [hosted]: all.map((each) => ({ corner: false, ...each })) },
});
const mark = (name: string, attributes: object) => schema.mark(name, attributes);
const many = <T>(count: number, make: (index: number) => T): readonly T[] =>
  Array.from({ length: count }, (_, index) => make(index));

type Example = readonly [document: Node, options?: CheckOptions];

/** One signature for each code that has it. */
const examples: Readonly<Record<FindingCode, Example>> = {
  "font-not-web-safe": [holding(line(text("Ada Quill", mark("font", { font: "Hedge Sans" }))))],
  "type-too-small": [holding(line(text("Registered", style.size(8))))],
  "type-too-small-on-a-phone": [wide(700, line(text("Registered", style.size(10))))],
  "text-hard-to-read": [holding(line(text("Ada", style.color("#CCCCCC"))))],
  "text-hard-to-read-in-the-dark": [holding(line(text("Ada", style.color("#5D6358"))))],
  "button-hard-to-read": [holding(said, press({ background: "#1F5B57", color: "#2A6B60" }))],
  "lines-too-tight": [holding(schema.nodes.line.create({ lineHeight: 1 }, text("Ada Quill")))],
  "empty-lines": [holding(said, line(), line(), line(text("Harrow Fen")))],
  "spaces-as-layout": [holding(line(text("Harrow Fen      Cold Store")))],
  "many-fonts": [
    holding(...["Georgia", "Verdana", "Tahoma"].map((font) => line(text("Ada", mark("font", { font }))))),
  ],
  "many-colours": [
    holding(
      ...["#333333", "#222222", "#444444", "#1F5B57", "#3F5B2E"].map((hex) =>
        line(text("Ada", style.color(hex))),
      ),
    ),
  ],
  "many-lines": [holding(...many(8, (index) => line(text(`Line ${index}`))))],
  "long-text": [holding(line(text("Seed is kept in the cold store. ".repeat(22))))],
  "only-capitals": [holding(line(text("THE OLD MALTHOUSE AT HARROW FEN")))],
  "word-wider-than-its-cell": [wide(60, line(text("Samenbibliotheksverwaltung")))],
  "wraps-without-its-font": [wide(276, line(text("Ada Quill keeps the cold store at Harrow Fen")))],
  "language-missing": [signature({}, table(row(cell({ width: [300] }, said))))],
  "part-for-nobody": [
    holding(
      schema.nodes.line.create(
        { shownFor: { field: "department", is: "one of", details: [] } },
        text("Pictures for the press"),
      ),
      said,
    ),
  ],
  "field-empty-for-some": [
    holding(line(text("Call "), field("mobile", { takesLine: false })), said),
    { ...plain, gaps: gapsOf([ada, { ...ada, mobile: "+44 1632 960150" }]) },
  ],
  "signature-empty": [holding(line())],
  "table-too-wide": [wide(700, said)],
  "wider-than-a-phone": [wide(420, said)],
  "column-wider-than-set": [wide(60, shown({ width: 120, height: 120 }), line(text("Ada")))],
  "radius-lost": [holding(said, press({ radius: 6 }))],
  "many-cells": [
    signature(
      settings,
      table(
        ...many(5, (down) =>
          row(...many(5, (along) => cell({ width: [50] }, line(text(`${down}${along}`))))),
        ),
      ),
    ),
  ],
  "reply-too-long": [
    holding(
      schema.nodes.line.create({ inShortForm: false }, text("Only in new letters")),
      ...many(5, (index) => line(text(`Line ${index}`))),
    ),
  ],
  "picture-not-hosted": [holding(said, shown({ source: "file:///home/office/mark.png" }))],
  "picture-on-a-private-address": [holding(said, shown({ source: "http://192.168.1.4/mark.png" }))],
  "picture-is-a-page": [holding(said, shown({ source: away })), trouble({ page: true })],
  "picture-not-encrypted": [holding(said, shown({ source: "http://sedgeweb.example/mark.png" }))],
  "picture-not-looked-at": [holding(said, shown({ source: away }))],
  "picture-not-open": [holding(said, shown({ source: away })), trouble({})],
  "picture-moved": [
    holding(said, shown({ source: away })),
    trouble({ usable: true, better: "https://sedgeweb.example/new.png" }),
  ],
  "picture-svg": [holding(said, shown({ source: "https://sedgeweb.example/mark.svg" }))],
  "picture-webp": [holding(said, shown({ source: "https://sedgeweb.example/mark.webp?v=2" }))],
  "picture-avif": [holding(said, shown({ source: "https://sedgeweb.example/mark.AVIF" }))],
  "picture-too-few-pixels": [holding(said, shown()), file({ pixels: { width: 60, height: 60 } })],
  "picture-too-heavy": [holding(said, shown()), file({ bytes: 9000 })],
  "pictures-too-heavy": [holding(said, shown()), file({ bytes: 230 * 1024, use: "loop" })],
  "picture-stretched": [holding(said, shown()), file({ pixels: { width: 240, height: 120 } })],
  "picture-without-alt": [holding(said, shown({ alt: "", link: "https://harrowfen.example" }))],
  "picture-alt-is-a-file-name": [holding(said, shown({ alt: "mark-final.png" }))],
  "alt-does-not-fit": [
    holding(
      said,
      shown({ width: 80, height: 20, alt: "Harrow Fen Seed Library, the old malthouse by the sluice" }),
    ),
  ],
  "decorative-picture-leads": [
    holding(said, shown({ alt: "", decorative: true, link: "https://harrowfen.example" })),
  ],
  "icons-of-different-sizes": [holding(line(icon(22), text(" "), icon(30)), said)],
  "icons-of-different-sizes-in-cells": [
    signature(
      settings,
      table(
        row(...[16, 24, 20].map((side) => cell({ width: [60] }, shown({ width: side, height: side })))),
        row(cell({ width: [60, 60, 60] }, said)),
      ),
    ),
  ],
  "icon-hard-to-hit": [holding(said, icons(14, icon(14)))],
  "many-icons": [
    holding(said, icons(24, ...many(6, (index) => icon(24, `https://harrowfen.example/${index}`)))),
  ],
  "picture-vanishes-in-the-dark": [holding(said, shown()), colors({ color: "#101010", share: 1 })],
  "picture-has-white-corners": [
    holding(said, shown()),
    colors({ color: "#FFFFFF", share: 0.7, corner: true }, { color: "#3F5B2E", share: 0.3 }),
  ],
  "loop-begins-empty": [
    holding(said, shown()),
    {
      ...file({ use: "loop" }),
      ...{ colors: { [hosted]: [{ color: "#FFFFFF", share: 1, corner: false }] } },
    },
  ],
  "loop-stands-still": [holding(said, shown()), file({ use: "loop" })],
  "text-only-in-pictures": [holding(shown({ width: 300, height: 120 }))],
  "more-picture-than-text": [holding(line(text("Ada")), shown({ width: 300, height: 180 }))],
  "link-doubled": [holding(linked("Seeds", "https://https://harrowfen.example"))],
  "link-unreachable": [holding(linked("Seeds", "https://harrowfen/cold-store"))],
  "link-not-an-address": [holding(linked("Seeds", "the-cold-store"))],
  "link-misspelt": [holding(linked("Seeds", "https://HARROWFEN.example/a."))],
  "link-text-names-another": [
    holding(line(text("See "), text("harrowfen.example", style.link("https://sedgeweb.example")))),
  ],
  "link-on-one-character": [holding(line(text("S", style.link("https://harrowfen.example")), text("eeds")))],
  "link-moved": [holding(linked("Seeds", "https://harrowfen.example")), answer("moved")],
  "link-elsewhere": [holding(linked("Seeds", "https://harrowfen.example")), answer("other-host")],
  "link-asks-to-sign-in": [holding(linked("Seeds", "https://harrowfen.example")), answer("sign-in")],
  "link-not-open": [holding(linked("Seeds", "https://harrowfen.example")), answer("refused")],
  "link-dead": [holding(linked("Seeds", "https://harrowfen.example")), answer("gone")],
  "link-repeated": [holding(said, icons(24, icon(24), icon(24)))],
  "link-missing": [holding(line(text("harrowfen.example/seeds")))],
  "leads-nowhere": [holding(said, press({ link: null }))],
  "link-not-encrypted": [holding(linked("Seeds", "http://harrowfen.example/seeds"))],
  "link-not-told-apart": [
    signature(
      { ...settings, linkColor: "#333333", textColor: "#333333" },
      table(row(cell({ width: [300] }, linked("Seeds", "https://harrowfen.example/seeds")))),
    ),
  ],
  "phone-without-country": [holding(linked("01632 960142", "tel:01632960142"))],
  "phone-split-by-styling": [holding(line(text("+44 1632 "), text("960142", style.bold)))],
  "linked-by-clients": [
    signature({ language: "en" }, table(row(cell({ width: [300] }, line(text("Open on 12 June 2027")))))),
  ],
  "signature-too-long": [holding(...many(30, (index) => line(text(`${index} ${"seed ".repeat(80)}`))))],
  "clipped-by-webmail": [holding(...many(40, (index) => line(text(`${index} ${"seed ".repeat(600)}`))))],
  "address-not-public": [holding(said, shown()), { ...plain, base: "http://127.0.0.1:4310" }],
};

const codesOf = ([document, options = plain]: Example): readonly FindingCode[] =>
  checkSignature(document, options).map(({ code }) => code);

describe("the catalogue", () => {
  it("has more than fifty findings, each with a reason and the kinds that it concerns", () => {
    expect(findingCodes.length).toBeGreaterThanOrEqual(50);
    for (const { reason, clients } of Object.values(catalogue)) {
      expect(reason).toMatch(/^[A-Z].*\.$/);
      expect(clients.length).toBeGreaterThan(0);
    }
  });

  it("reads from the tables which kinds those are", () => {
    expect(catalogue["radius-lost"].clients).toContain("desktop-document");
    expect(catalogue["radius-lost"].clients).not.toContain("desktop-browser");
    expect(catalogue["picture-vanishes-in-the-dark"].clients).toEqual(
      standInIds.filter((id) => standIns[id].darkMode !== "none"),
    );
  });

  it("finds nothing in a plain signature", () => {
    expect(codesOf([holding(said)])).toEqual([]);
  });
});

describe.each(Object.entries(examples) as [FindingCode, Example][])("%s", (code, example) => {
  const [document, options = plain] = example;
  const own = checkSignature(document, options).filter((finding) => finding.code === code);

  it("is found, once", () => {
    expect(own.length).toBe(1);
    expect(own[0]!.message).toMatch(/[.?]$/);
  });

  const mend = own[0]?.mend;
  if (mend && mend.kind !== "redraw")
    it(`goes with its mend: ${mend.label}`, () => {
      const after = applyMend(new Transform(document), mend).doc;
      expect(after.eq(document)).toBe(false);
      expect(codesOf([after, options])).not.toContain(code);
    });

  it("is left as it is for a reason, and no other with it", () => {
    const asides = { [asideKey(own[0]!)]: "We want it so." };
    const with_ = checkSignature(document, { ...options, asides });
    expect(with_.filter(({ aside }) => aside !== undefined).map((finding) => finding.code)).toEqual([code]);
  });
});
