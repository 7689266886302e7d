import type { Node } from "prosemirror-model";
import { Transform } from "prosemirror-transform";
import { describe, expect, it } from "vitest";
import { compile } from "../compile";
import type { LinkAnswer } from "../links";
import { emptyPerson } from "../people";
import { build, linksOf, ownLinkLooks, readSignature, schema, style } from "../signature";
import {
  applyMend,
  applyMends,
  checkSignature,
  namedAddress,
  suggestAlt,
  type CheckOptions,
  type Finding,
} from "./index";

const { button, cell, field, line, row, signature, table, text } = build;
const { link } = style;

const ada = { ...emptyPerson, name: "Ada Brook", mail: "ada@harrowfen.example", phone: "+44 1632 960142" };
const networks = [
  { id: "plotline", name: "Plotline", glyph: "photos", pattern: "https://plotline.example/" },
];
const options: CheckOptions = {
  person: ada,
  base: "https://pictures.harrowfen.example",
  organisation: "Harrow Fen",
  networks,
};

const source = (name: string): string => `/h/0123456789abcdef0123/${name}.png`;
const icon = (href: string | null, alt = "Icon", height = 24, name = "mark"): Node =>
  schema.nodes.inlinePicture.create(
    { source: source(name), width: height, height, alt },
    null,
    href ? [link(href)] : [],
  );
const iconRow = (...icons: Node[]): Node => schema.nodes.iconRow.create({ size: 24, gap: 6 }, icons);
const holding = (...blocks: Node[]): Node => signature({}, table(row(cell({ width: [440] }, ...blocks))));
/** Those of its parts that wait for somebody. */
const findings = (document: Node, more: Partial<CheckOptions> = {}): readonly Finding[] =>
  checkSignature(document, { ...options, ...more }).filter(
    ({ severity, position }) => severity !== "note" && position !== null,
  );
const mended = (document: Node, { mend }: Finding): Node => applyMend(new Transform(document), mend!).doc;

const answer = (address: string, given: Partial<LinkAnswer>): Partial<CheckOptions> => ({
  answers: { [address]: { address, verdict: "answers", message: "", redirects: [], better: null, ...given } },
});

describe("a finding of a link", () => {
  const home = "https://harrowfen.example";
  it.each<[code: string, document: Node, leads: string[], more?: Partial<CheckOptions>]>([
    [
      "link-doubled",
      holding(line(text("Seeds", link(`https://${home}`)))),
      ["Seeds > https://harrowfen.example"],
    ],
    [
      "link-misspelt",
      holding(line(text("Seeds", link("https://HARROWFEN.example/a.")))),
      [`Seeds > ${home}/a`],
    ],
    [
      "link-text-names-another",
      holding(line(text("harrowfen.example", link("https://sedgeweb.example")))),
      [`harrowfen.example > ${home}`],
    ],
    [
      "link-text-names-another",
      holding(line(text("desk@harrowfen.example", link("mailto:ada@harrowfen.example")))),
      ["desk@harrowfen.example > mailto:desk@harrowfen.example"],
    ],
    [
      "link-text-names-another",
      holding(line(text("+44 1632 960100", link("tel:+441632960101")))),
      ["+44 1632 960100 > tel:+441632960100"],
    ],
    [
      "link-missing",
      holding(line(text("Visit harrowfen.example/visit."))),
      ["harrowfen.example/visit > https://harrowfen.example/visit"],
    ],
    [
      "link-on-one-character",
      holding(line(text("Our s"), text("e", link(home)), text("ed list"))),
      [`seed > ${home}`],
    ],
    ["link-on-one-character", holding(line(text("Seeds"), text(" · ", link(home)))), []],
    ["link-repeated", holding(iconRow(icon(home, "One"), icon(`${home}/`, "Two"))), [`One > ${home}`]],
    [
      "icons-of-different-sizes",
      holding(line(icon(home, "One", 16), icon(`${home}/b`, "Two", 24))),
      [`One > ${home}`, `Two > ${home}/b`],
    ],
    [
      "link-moved",
      holding(line(text("Seeds", link(`${home}/old`)))),
      [`Seeds > ${home}/new`],
      answer(`${home}/old`, { verdict: "moved", better: `${home}/new` }),
    ],
    [
      "link-elsewhere",
      holding(button({ link: home }, text("Visit"))),
      ["Visit > https://sedgeweb.example"],
      answer(home, { verdict: "other-host", better: "https://sedgeweb.example" }),
    ],
  ])("%s is put right in one step", (code, document, leads, more) => {
    const found = findings(document, more);
    expect(found.map((finding) => finding.code)).toEqual([code]);
    const after = mended(document, found[0]!);
    expect(readSignature(after.toJSON()).ok).toBe(true);
    expect(findings(after, more)).toEqual([]);
    expect(linksOf(after).map((placed) => `${placed.text.trim()} > ${placed.href}`)).toEqual(leads);
  });

  it.each<[code: string, document: Node, more?: Partial<CheckOptions>]>([
    ["leads-nowhere", holding(button({}, text("Book a visit")))],
    ["leads-nowhere", holding(iconRow(icon(home, "One"), icon(null, "Two")))],
    ["link-unreachable", holding(line(text("Seeds", link("http://192.168.0.4/seeds"))))],
    ["link-not-an-address", holding(line(text("Seeds", link("seeds"))))],
    ["link-dead", holding(line(text("Seeds", link(home)))), answer(home, { verdict: "not-found" })],
    ["link-dead", holding(line(text("Seeds", link(home)))), answer(home, { verdict: "too-slow" })],
    ["link-not-open", holding(line(text("Seeds", link(home)))), answer(home, { verdict: "refused" })],
    ["link-asks-to-sign-in", holding(line(text("Seeds", link(home)))), answer(home, { verdict: "sign-in" })],
  ])("%s is said, and left to a person", (code, document, more) =>
    expect(findings(document, more).map((finding) => [finding.code, finding.mend])).toEqual([
      [code, undefined],
    ]),
  );

  it.each([
    ["a text with its own address", holding(line(text("www.harrowfen.example", link(home))))],
    [
      "a text with the beginning of its address",
      holding(line(text("harrowfen.example", link(`${home}/visit`)))),
    ],
    ["a number without its country's code", holding(line(text("01632 960100", link("tel:+441632960100"))))],
    [
      "a mail with a subject",
      holding(line(text("ada@harrowfen.example", link("mailto:ada@harrowfen.example?subject=Seeds")))),
    ],
    ["words", holding(line(text("B.Sc., Ph.D. e.g. seeds etc. No.4 and 1.15", link(home))))],
    ["what clients link by themselves", holding(line(text("www.harrowfen.example and +44 1632 960100")))],
    ["two icons with different destinations", holding(iconRow(icon(home), icon(`${home}/b`)))],
    ["a hosted file", holding(line(text("Our dates", link(source("dates").replace(".png", ".ics")))))],
  ])("is not made of %s", (_, document) => expect(findings(document)).toEqual([]));
});

describe("the address that a text names", () => {
  it.each([
    ["harrowfen.example", "https://harrowfen.example"],
    ["https://harrowfen.example/a", "https://harrowfen.example/a"],
    ["desk@harrowfen.example", "mailto:desk@harrowfen.example"],
    ["+44 1632 960100", "tel:+441632960100"],
    ["B.Sc.", null],
    ["Ph.D", null],
    ["Seed list", null],
    ["", null],
  ])("%j is %s", (said, named) => expect(namedAddress(said)).toBe(named));
});

describe("every destination, in reading order", () => {
  const document = holding(
    line(field("mail"), text(" or "), field("phone")),
    line(
      text("Read "),
      text("the ", link("https://harrowfen.example/a")),
      text("list", link("https://harrowfen.example/a"), style.bold),
    ),
    line(text("or write to desk@harrowfen.example.")),
    iconRow(icon("https://plotline.example/fen", "On Plotline")),
    build.picture({
      source: source("banner"),
      width: 300,
      height: 80,
      alt: "Open Store",
      link: "https://harrowfen.example/open",
    }),
    button({ link: "https://harrowfen.example/press" }, text("Press")),
  );

  it("says what leads there and whether it was made by hand", () =>
    expect(
      linksOf(document, ada).map(
        ({ use, text: said, href, byHand }) => `${byHand ? "" : "by itself: "}${use} ${said} > ${href}`,
      ),
    ).toEqual([
      "by itself: field ada@harrowfen.example > mailto:ada@harrowfen.example",
      "by itself: field +44 1632 960142 > tel:+441632960142",
      "text the list > https://harrowfen.example/a",
      "by itself: text desk@harrowfen.example > mailto:desk@harrowfen.example",
      "icon On Plotline > https://plotline.example/fen",
      "picture Open Store > https://harrowfen.example/open",
      "button Press > https://harrowfen.example/press",
    ]));

  it("is what the compiled HTML leads to", () => {
    const html = compile(document, { destination: "webmail-paste", person: ada, base: options.base });
    expect([...html.matchAll(/<a href="([^"]*)"/g)].map(([, href]) => href)).toEqual(
      linksOf(document, ada).map(({ href }) => href),
    );
  });
});

describe("how a link is drawn", () => {
  const html = (document: Node): string =>
    compile(document, { destination: "webmail-paste", person: null, base: options.base });
  const own = schema.marks.link.create({
    href: "https://harrowfen.example",
    color: "#A3262A",
    underline: true,
  });
  const without = schema.marks.link.create({ href: "https://harrowfen.example", underline: false });

  it("is its own colour and underline before those of the signature, said on the text as well", () => {
    expect(html(holding(line(text("Seeds", own))))).toContain(
      '<a href="https://harrowfen.example" style="color:#A3262A;text-decoration:underline"><span style="color:#A3262A;text-decoration:underline">Seeds</span></a>',
    );
    const underlined = signature(
      { linkUnderline: true },
      table(row(cell({ width: [400] }, line(text("Seeds", without))))),
    );
    expect(html(underlined)).toContain('text-decoration:none"><span');
  });

  it("is told apart where it is its own, once a link and not once a piece of it", () => {
    const plain = link("https://harrowfen.example");
    const document = holding(
      line(text("Seeds", own), text(" and dates", own, schema.marks.bold.create())),
      line(text("All", plain), text(" of it", plain, schema.marks.color.create({ color: "#C08A2B" }))),
      line(text("As all", plain)),
      line(text("Not underlined", without)),
    );
    const begins = (words: string): number => {
      let found = -1;
      document.descendants((node, position) => {
        if (node.text === words) found = position;
      });
      return found;
    };
    expect([...ownLinkLooks(document)]).toEqual([
      [begins("Seeds"), "#A3262A"],
      [begins("All"), "#C08A2B"],
      [begins("Not underlined"), null],
    ]);
  });

  it("gets the campaign and the public address when it is compiled", () => {
    const campaign = { source: "signature", medium: "mail", name: "" };
    const cells = cell(
      { width: [400] },
      line(text("Seeds", link("https://harrowfen.example/a#b"))),
      line(text("Dates", link("/h/0123456789abcdef0123/dates.ics"))),
      build.picture({
        source: source("banner"),
        width: 300,
        height: 80,
        alt: "B",
        link: "https://harrowfen.example",
      }),
    );
    const hrefs = [...html(signature({ campaign }, table(row(cells)))).matchAll(/<a href="([^"]*)"/g)].map(
      ([, href]) => href,
    );
    expect(hrefs).toEqual([
      "https://harrowfen.example/a?utm_source=signature&amp;utm_medium=mail#b",
      "https://pictures.harrowfen.example/h/0123456789abcdef0123/dates.ics",
      "https://harrowfen.example?utm_source=signature&amp;utm_medium=mail",
    ]);
  });

  it.each([
    { source: "a", medium: "b" },
    { source: "", medium: "", name: "" },
    "signature",
    { source: "a", medium: "b", name: 4 },
  ])("with a campaign like %j is refused", (campaign) => {
    const json = holding(line(text("a"))).toJSON() as { attrs: Record<string, unknown> };
    expect(readSignature({ ...json, attrs: { ...json.attrs, campaign } }).ok).toBe(false);
  });
});

describe("alt text", () => {
  const picture = (name: string, size: { width: number; height: number }, href: string | null = null): Node =>
    build.picture({ source: source(name), ...size, alt: "", link: href });
  const square = { width: 96, height: 96 };
  it.each<[alt: string, block: Node]>([
    ["Portrait of Ada Brook", picture("ada-2027", square)],
    ["Portrait of Ada Brook", picture("img-4711", square)],
    ["Harrow Fen", picture("logo-black", { width: 160, height: 40 })],
    [
      "Open store weekend",
      picture("banner", { width: 420, height: 100 }, "https://harrowfen.example/open-store-weekend"),
    ],
    ["Seed jars", picture("seed-jars", { width: 420, height: 100 })],
    ["Harrow Fen on Plotline", iconRow(icon("https://plotline.example/harrowfen", ""))],
    ["Write to desk@harrowfen.example", iconRow(icon("mailto:desk@harrowfen.example", ""))],
    ["Call +44 1632 960100", iconRow(icon("tel:+441632960100", ""))],
    ["Harrow Fen on the web", iconRow(icon("https://harrowfen.example", ""))],
    // Small, it is an icon, whoever its file is named after; in a line it stands for what follows.
    ["Ada", picture("ada", { width: 20, height: 20 })],
    ["Phone", line(icon(null, ""), text(" "), build.field("phone"))],
    ["Mail", line(icon(null, ""), text(" desk@harrowfen.example"))],
    ["Phone", line(icon(null, ""), text(" Desk", link("tel:+441632960100")))],
  ])("is suggested as %s", (alt, block) => {
    const document = holding(block);
    const found = findings(document);
    expect(found.map(({ code }) => code)).toEqual(["picture-without-alt"]);
    expect(found[0]!.mend).toMatchObject({ kind: "describe", alt });
    expect(findings(mended(document, found[0]!))).toEqual([]);
  });

  it.each([
    ["ada-2027.png", true],
    ["IMG_4711", true],
    ["Screenshot 2026-05-01", true],
    ["Photo", false],
    ["10 years of the seed store", false],
    ["Ada Brook in the store, 2026", false],
  ])("“%s” is the name of a file: %s", (alt, isOne) => {
    const node = picture("ada-2027", square);
    const document = holding(node.type.create({ ...node.attrs, alt }, null, node.marks));
    const found = findings(document);
    expect(found.map(({ code }) => code)).toEqual(isOne ? ["picture-alt-is-a-file-name"] : []);
    if (isOne) expect(findings(mended(document, found[0]!))).toEqual([]);
  });

  it("is not asked of a place without a picture", () =>
    expect(() => suggestAlt(holding(line()), 99, options)).toThrow(RangeError));
});

it("mends of one round are all made, whatever the one before them moved or put elsewhere", () => {
  const document = holding(
    line(
      icon("https://plotline.example/harrowfen", "", 24, "one"),
      icon("https://plotline.example/fen", "", 16, "two"),
      icon("https://plotline.example/seeds", "", 32, "three"),
    ),
    line(text("our page", link("https://https://harrowfen.example"))),
  );
  const mends = findings(document).flatMap(({ mend }) => mend ?? []);
  expect(mends.map(({ kind }) => kind)).toEqual(
    expect.arrayContaining(["describe", "make-icon-row", "lead-to"]),
  );
  const transform = new Transform(document);
  expect(applyMends(transform, mends)).toBe(mends.length);
  expect(findings(transform.doc).filter(({ mend }) => mend)).toEqual([]);
});
