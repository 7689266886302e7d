import { readdirSync, readFileSync } from "node:fs";
import { parse, parseFragment, type ParserError } from "parse5";
import { describe, expect, it } from "vitest";
import { readPerson } from "../people";
import { blankSignature, parseSignature } from "../signature";
import { compile } from "./compile";
import { destinationIds } from "./destinations";

const readJson = (file: string): unknown => JSON.parse(readFileSync(file, "utf8"));
const signatureFiles = readdirSync("demo/signatures");
const document = (file: string) => parseSignature(readJson(`demo/signatures/${file}`));
const tamsin = readPerson(readJson("demo/people/tamsin-okafor.json"));
const base = "https://pictures.harrowfen.example";
const whole = ["document-file", "browser-archive", "html-file"];

describe.each(signatureFiles)("the demo's %s", (file) => {
  const signature = document(file);

  it.each(destinationIds.filter((id) => id !== "plain-text"))(
    "parses without an error for %s",
    (destination) => {
      const html = compile(signature, { destination, person: tamsin, base });
      const errors: ParserError[] = [];
      const options = { onParseError: (error: ParserError) => errors.push(error) };
      if (whole.includes(destination)) parse(html, options);
      else parseFragment(html, options);
      expect(errors).toEqual([]);
    },
  );

  it("gives the same bytes for the same input", () => {
    const once = compile(signature, { destination: "webmail-paste", person: tamsin, base });
    expect(compile(document(file), { destination: "webmail-paste", person: tamsin, base })).toBe(once);
  });

  it("holds no class, id, script, style sheet, form, comment, margin or mso property when pasted", () => {
    const html = compile(signature, { destination: "webmail-paste", person: tamsin, base });
    expect(html).not.toMatch(/\s(class|id)=|<script|<style|<form|<!--|[;"]margin|mso-/);
    expect(html).not.toMatch(/<p[\s>]/);
  });

  it("writes every table and picture with width as attribute and style", () => {
    const html = compile(signature, { destination: "webmail-paste", person: tamsin, base });
    for (const table of html.match(/<table[^>]*>/g)!)
      expect(table).toMatch(
        /^<table role="presentation" cellpadding="0" cellspacing="0" border="0" width="(\d+)".* style="border-collapse:collapse;(border:0 solid;)?width:\1px">$/,
      );
    for (const picture of html.match(/<img[^>]*>/g) ?? [])
      expect(picture).toMatch(
        / width="(\d+)" height="(\d+)" alt="[^"]*" style="[^"]*border:0;.*width:\1px;height:\2px">$/,
      );
  });

  it("says the colour on each link and again on the text in it", () => {
    const html = compile(signature, { destination: "webmail-paste", person: tamsin, base });
    for (const [, style, inner] of html.matchAll(/<a href="[^"]*"[^>]* style="([^"]*)">(.*?)<\/a>/g)) {
      expect(style).toMatch(/^color:#[0-9A-Fa-f]{6};text-decoration:(none|underline)$/);
      if (!inner!.startsWith("<img")) expect(inner).toMatch(/^<(span|b|i) style="color:#[0-9A-Fa-f]{6};/);
    }
  });
});

describe("compile", () => {
  it("keeps the demo's full signature under 6,000 characters", () => {
    const html = compile(document("full.json"), { destination: "webmail-paste", person: tamsin, base });
    expect(html.length).toBeLessThan(6000);
    expect(html).toContain(`src="${base}/h/`);
  });

  it("ends every font stack in a generic family", () => {
    const html = compile(document("press-desk.json"), { destination: "webmail-paste", person: tamsin, base });
    for (const [, stack] of html.matchAll(/font-family:([^;"]+)/g))
      expect(stack).toMatch(/,(sans-serif|serif|monospace)$/);
  });

  it("writes exact line heights and numeric references for the document engine only", () => {
    const arabic = readPerson(readJson("demo/people/layla-mansour.json"));
    const file = compile(document("right-to-left.json"), {
      destination: "document-file",
      person: arabic,
      base,
    });
    expect(file).toMatch(/^[\x00-\x7f]*$/);
    expect(file).toContain("&#1604;&#1610;&#1604;&#1609;");
    expect(file).toContain("mso-line-height-rule:exactly");
    expect(
      compile(document("right-to-left.json"), { destination: "message", person: arabic, base }),
    ).toContain("ليلى");
  });

  it("tells a document engine in the head of its file that tables have no room beside them, and nobody else", () => {
    for (const destination of destinationIds) {
      const text = compile(document("full.json"), { destination, person: tamsin, base });
      const told = text.includes(
        "<!--[if mso]>\n<style>table,td{mso-table-lspace:0pt;mso-table-rspace:0pt}</style>",
      );
      expect(told, destination).toBe(destination === "document-file");
      if (told) expect(text.indexOf("<![endif]-->")).toBeLessThan(text.indexOf("<body>"));
    }
  });

  it("never crops a picture by an exact line height on its cell", () => {
    const file = compile(document("full.json"), { destination: "document-file", person: tamsin, base });
    for (const [cell] of file.matchAll(/<td[^>]*>(?=<img|<a[^>]*><img)/g))
      expect(cell).not.toContain("mso-line-height-rule:exactly");
  });

  it("gives the same content as plain text, in reading order, with targets that the text does not show", () => {
    expect(compile(document("full.json"), { destination: "plain-text", person: tamsin, base })).toBe(
      [
        "Tamsin Okafor",
        "Head of Germination · Germination Lab",
        "+44 1632 960118 | tamsin@harrowfen.example",
        "The Old Malthouse, 3 Sluice Lane, Harrow Fen",
        "Harrow Fen on the web <https://harrowfen.example>",
        "Harrow Fen on Plotline <https://plotline.example/harrowfen>",
        "Harrow Fen on Hedgepost <https://hedgepost.example/harrowfen>",
        "Harrow Fen on Bench & Bough <https://benchandbough.example/harrowfen>",
        "Harrow Fen on Slow Reel <https://slowreel.example/harrowfen>",
        "Open Store Weekend, 12 and 13 June <https://harrowfen.example/open-store-weekend>",
        "",
      ].join("\n"),
    );
  });

  it("draws fallbacks for nobody in particular", () => {
    expect(compile(document("short.json"), { destination: "plain-text", person: null, base })).toBe(
      "Harrow Fen Seed Library\n+44 1632 960100\n",
    );
  });

  it("compiles a blank signature, and nothing as plain text", () => {
    expect(compile(blankSignature(1, 2), { destination: "plain-text", person: null, base })).toBe("");
    expect(compile(blankSignature(1, 2), { destination: "webmail-paste", person: null, base })).toContain(
      'width="420"',
    );
  });

  it("takes a base with or without its closing slash, and refuses one that is no address", () => {
    const options = { destination: "webmail-paste", person: tamsin } as const;
    const full = document("full.json");
    expect(compile(full, { ...options, base: `${base}/` })).toBe(compile(full, { ...options, base }));
    expect(() => compile(full, { ...options, base: "pictures" })).toThrow(
      'The public address of pictures must begin with http:// or https://, not "pictures"',
    );
  });
});
