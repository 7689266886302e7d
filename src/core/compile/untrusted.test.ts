import { parse, type DefaultTreeAdapterTypes } from "parse5";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { elementsIn, parseDeclarations, parsePage } from "../html";
import { parseSignature, readSignature } from "../signature";
import { compile } from "./compile";
import { destinationIds } from "./destinations";
import { cell, line, link, options, signature, text, type Json } from "./kinds.fixture";

/** Text that ends strings, attributes, elements and declarations where it is not escaped. */
const hostile = fc
  .array(
    fc.oneof(
      fc.constantFrom(
        "<script>x</script>",
        '"',
        "'",
        "\\",
        ";",
        "}",
        "<",
        ">",
        "&",
        "-->",
        "]]>",
        "url(",
        " ",
      ),
      fc.string({ maxLength: 6 }),
    ),
    { minLength: 1, maxLength: 5 },
  )
  .map((parts) => parts.join("").replace(/[\u0000-\u0008\u000b-\u001f\u007f]/g, ""));

const short = (most: number) => hostile.map((value) => value.slice(0, most));

const picture = (alt: string, source: string): Json => ({
  type: "picture",
  attrs: { source, width: 10, height: 10, alt },
});

const properties = new Set(
  (
    "border-collapse width height box-sizing padding background-color vertical-align font-family font-size line-height " +
    "color text-decoration border display border-radius font-style font-weight letter-spacing mso-line-height-rule"
  ).split(" "),
);

const elements = new Set("html head meta title body table tbody tr td div span b i a img br".split(" "));

describe("whatever an attribute holds", () => {
  it.each(destinationIds.filter((id) => id !== "plain-text"))(
    "stays inside its attribute for %s",
    (destination) => {
      fc.assert(
        fc.property(short(60), short(300), short(60), short(200), (font, alt, words, path) => {
          const href = `https://harrowfen.example/${path.replace(/\s/g, "")}`;
          const source = `https://harrowfen.example/${path.replace(/["<>\s]/g, "")}`;
          const written = signature(
            [
              cell(
                {},
                line(text(words || "x", link(href), { type: "font", attrs: { font } })),
                picture(alt, source),
              ),
            ],
            { font },
          );
          const reading = readSignature(written);
          // A name or an address that is refused does not get as far as the compiler.
          fc.pre(reading.ok);
          const html = compile(parseSignature(written), { ...options, destination });
          for (const element of elementsIn(parsePage(html))) {
            expect(elements).toContain(element.tagName);
            for (const { name, value } of element.attrs)
              if (name === "style")
                for (const { property } of parseDeclarations(value))
                  expect(
                    [...properties].some((known) => property.startsWith(known)),
                    property,
                  ).toBe(true);
          }
        }),
      );
    },
  );

  it("a font's name with quotes and slashes is one string, and the stack goes on after it", () => {
    const document = parseSignature(signature([cell({}, line(text("a")))], { font: "O'Neil \\ Sons; x" }));
    expect(compile(document, options)).toContain("font-family:'O\\'Neil \\\\ Sons; x',Arial,sans-serif");
  });

  it("a language that is no tag is no document", () => {
    for (const language of ["en_GB", "<script>", "x", "en GB", "-"])
      expect(readSignature(signature([cell({}, line(text("a")))], { language })).ok).toBe(false);
    for (const language of ["", "en", "en-GB", "zh-Hant-HK", "ar"])
      expect(readSignature(signature([cell({}, line(text("a")))], { language })).ok).toBe(true);
  });
});

describe("what validates compiles", () => {
  it("an icon that would be wider than any picture is lower instead", () => {
    const icon = {
      type: "inlinePicture",
      attrs: { source: "/h/0123456789abcdef0123/wide.png", width: 600, height: 40, alt: "Wide" },
    };
    const row = { type: "iconRow", attrs: { size: 96 }, content: [icon] };
    const html = compile(parseSignature(signature([cell({}, row)])), options);
    expect(html).toContain('width="1200" height="80" alt="Wide"');
  });

  const spanning = (heights: readonly (number | null)[]): Json => ({
    type: "signature",
    attrs: {},
    content: [
      {
        type: "table",
        content: heights.map((height, index) => ({
          type: "row",
          attrs: { height },
          content: index === 0 ? [cell({ rowspan: heights.length }, line(text("a")))] : [],
        })),
      },
    ],
  });
  const rowsOf = (html: string): DefaultTreeAdapterTypes.Element[] =>
    [...elementsIn(parse(html))].filter(({ tagName }) => tagName === "tr");

  it("a row that is wholly spanned is not written, and leaves its height to the one before it", () => {
    const html = compile(parseSignature(spanning([null, null, 20])), options);
    expect(rowsOf(html)).toHaveLength(1);
    expect(html).not.toContain("rowspan");
    expect(html).toContain('height="20"');
    expect(compile(parseSignature(spanning([12, 8])), options)).toContain('height="20"');
    expect(compile(parseSignature(spanning([null, null])), options)).not.toContain("height=");
  });
});
