import { describe, expect, it } from "vitest";
import { parseSignature } from "../signature";
import { compile } from "./compile";
import {
  person,
  type Json,
  text,
  line,
  field,
  link,
  signature,
  cell,
  options,
  inside,
} from "./kinds.fixture";

describe("a line", () => {
  it("is a div, with a line height in px that follows its largest text", () => {
    expect(inside([line(text("a"), text("b", { type: "size", attrs: { size: 20 } }))])).toBe(
      '<div style="font-size:20px;line-height:28px"><span style="font-size:13px;line-height:13px">a</span>b</div>',
    );
  });

  it("that is empty holds its place as a measured gap", () => {
    expect(inside([line(text("a")), line()])).toBe(
      '<div>a</div><table role="presentation" cellpadding="0" cellspacing="0" border="0" width="300" style="border-collapse:collapse;width:300px">' +
        '<tr><td width="300" height="18" style="width:300px;height:18px;font-size:1px;line-height:18px">&nbsp;</td></tr></table>',
    );
  });

  it("may have its own alignment and line height", () => {
    expect(inside([{ ...line(text("a")), attrs: { align: "center", lineHeight: 2 } }])).toBe(
      '<div align="center" style="line-height:26px">a</div>',
    );
  });
});

describe("a line's own direction", () => {
  const html = (direction: string, words: string, settings = {}): string =>
    inside([{ ...line(text(words)), attrs: { direction } }], settings);

  it("is said where it is not the signature's", () => {
    expect(html("rtl", "a")).toBe('<div dir="rtl">a</div>');
    expect(html("ltr", "a")).toBe("<div>a</div>");
  });

  it("can follow its first letter, past digits and signs", () => {
    expect(html("auto", "12 שלום")).toBe('<div dir="rtl">12 שלום</div>');
    expect(html("auto", "(12) Fen")).toBe("<div>(12) Fen</div>");
    expect(html("auto", "12")).toBe("<div>12</div>");
  });
});

describe("text", () => {
  it("carries each mark in the fewest elements", () => {
    expect(
      inside([
        line(
          text("b", { type: "bold" }),
          text("i", { type: "italic" }),
          text("u", { type: "underline" }),
          text("c", { type: "color", attrs: { color: "#C08A2B" } }),
          text("f", { type: "font", attrs: { font: "Times New Roman" } }),
          text("all", { type: "color", attrs: { color: "#C08A2B" } }, { type: "bold" }, { type: "italic" }),
        ),
      ]),
    ).toBe(
      "<div><b>b</b><i>i</i>" +
        '<span style="text-decoration:underline">u</span><span style="color:#C08A2B">c</span>' +
        "<span style=\"font-family:'Times New Roman',Times,serif;line-height:10px\">f</span>" +
        '<b style="color:#C08A2B;font-style:italic">all</b></div>',
    );
  });

  it("says its colour and decoration on the link and again inside it", () => {
    expect(
      inside([
        line(text("a", link("https://a.example")), text("b", link("https://a.example"), { type: "bold" })),
      ]),
    ).toBe(
      '<div><a href="https://a.example" style="color:#1F5B57;text-decoration:none">' +
        '<span style="color:#1F5B57;text-decoration:none">a</span>' +
        '<b style="color:#1F5B57;text-decoration:none">b</b></a></div>',
    );
  });

  it("stands above or below the line without making it higher, and in plain text where there is a character for it", () => {
    const raised = (name: string) => [line(text("x"), text("2", { type: name }), text("+1"))];
    expect(inside(raised("superscript"))).toBe(
      '<div>x<sup style="font-size:9.1px;line-height:0">2</sup>+1</div>',
    );
    expect(inside(raised("subscript"))).toBe(
      '<div>x<sub style="font-size:9.1px;line-height:0">2</sub>+1</div>',
    );
    const plain = (...content: Json[]): string =>
      compile(parseSignature(signature([cell({}, line(...content))])), {
        ...options,
        destination: "plain-text",
      }).trim();
    expect(
      plain(text("CO"), text("2", { type: "subscript" }), text(" in m"), text("3", { type: "superscript" })),
    ).toBe("CO₂ in m³");
    expect(plain(text("Fen"), text("®", { type: "superscript" }))).toBe("Fen®");
  });

  it("leads to an address that every client opens: its host in ASCII, the rest escaped", () => {
    expect(inside([line(text("a", link("https://bücher.example/kräuter?q=ü")))])).toContain(
      'href="https://xn--bcher-kva.example/kr%C3%A4uter?q=%C3%BC"',
    );
    expect(inside([line(text("a", link("mailto:a@b.example?subject=Grüße")))])).toContain(
      'href="mailto:a@b.example?subject=Gr%C3%BC%C3%9Fe"',
    );
  });

  it("is struck through beside any underline, and has a colour behind it", () => {
    expect(inside([line(text("a", { type: "strikethrough" }))])).toBe(
      '<div><span style="text-decoration:line-through">a</span></div>',
    );
    expect(inside([line(text("a", { type: "underline" }, { type: "strikethrough" }))])).toBe(
      '<div><span style="text-decoration:underline line-through">a</span></div>',
    );
    expect(
      inside([line(text("a", { type: "highlight", attrs: { color: "#F3EFE4" } }, { type: "bold" }))]),
    ).toBe('<div><b style="background-color:#F3EFE4">a</b></div>');
    expect(inside([line(text("a", link("https://a.example"), { type: "strikethrough" }))])).toContain(
      "color:#1F5B57;text-decoration:line-through",
    );
  });

  it("is escaped, and keeps its runs of spaces between words and at its beginning", () => {
    expect(inside([line(text("a < b  &\t “c”\u00a0d "))])).toBe(
      "<div>a &lt; b&nbsp; &amp;&nbsp; “c”&nbsp;d </div>",
    );
    expect(inside([line(text("  a "), text(" b", { type: "bold" }))])).toBe(
      "<div>&nbsp; a&nbsp;<b> b</b></div>",
    );
  });

  it("of spaces and breaks alone is a gap as high as its lines", () => {
    expect(inside([line(text("a")), line(text("  "), { type: "break" })])).toContain("height:36px");
  });

  it("that a client would link by itself is linked by us, in our colour", () => {
    const ours = "color:#1F5B57;text-decoration:none";
    expect(inside([line(text("Ring +44 1632 960100 or a@b.example."))])).toBe(
      `<div>Ring <a href="tel:+441632960100" style="${ours}"><span style="${ours}">+44 1632 960100</span></a> or ` +
        `<a href="mailto:a@b.example" style="${ours}"><span style="${ours}">a@b.example</span></a>.</div>`,
    );
  });

  it("that is a date leads to the visit page in the colour of the text, and stays text without one", () => {
    const quiet = "color:#333333;text-decoration:none";
    expect(inside([line(text("Open 12 and 13 June"))], { visitLink: "https://a.example/visit" })).toBe(
      `<div>Open <a href="https://a.example/visit" style="${quiet}"><span style="${quiet}">12 and 13 June</span></a></div>`,
    );
    expect(inside([line(text("Open 12 and 13 June"))])).toBe("<div>Open 12 and 13 June</div>");
  });
});

describe("a line break", () => {
  it("is a br, and is dropped at the end", () => {
    expect(inside([line(text("a"), { type: "break" }, text("b"), { type: "break" })])).toBe(
      "<div>a<br>b</div>",
    );
  });
});

describe("a field of the person", () => {
  it("is their own value, linked as its kind is linked", () => {
    expect(inside([line(field("name"))])).toBe("<div>Ada Quill</div>");
    expect(inside([line(field("mail"))])).toContain('<a href="mailto:ada@harrowfen.example"');
    expect(inside([line(field("phone"))])).toContain('<a href="tel:+441632960100"');
  });

  it("that is empty shows its fallback, or takes its whole line with it", () => {
    expect(inside([line(text("Mobile "), field("mobile", { fallback: "on request" }))])).toBe(
      "<div>Mobile on request</div>",
    );
    expect(inside([line(text("a")), line(text("Mobile "), field("mobile"))])).toBe("<div>a</div>");
    expect(inside([line(text("Mobile "), field("mobile", { takesLine: false }))])).toBe("<div>Mobile </div>");
  });

  it("reads from left to right in a signature that does not, when it is a number or an address", () => {
    const html = compile(
      parseSignature(signature([cell({}, line(field("phone")))], { direction: "rtl" })),
      options,
    );
    expect(html).toContain('<a href="tel:+441632960100" dir="ltr"');
    expect(html).toContain('dir="rtl"');
  });
});

describe("a separator", () => {
  const separator = { type: "separator", attrs: { glyph: "|", gap: 6 } };

  it("keeps measured gaps by letter spacing", () => {
    // A space of Arial is 0.278 em: 3.61 px at 13 px, so 6 px want 2.39 px more.
    expect(inside([line(field("name"), separator, field("title"))])).toBe(
      '<div>Ada Quill<span style="letter-spacing:2.39px">&nbsp;</span>|<span style="letter-spacing:2.39px"> </span>Archivist</div>',
    );
  });

  it("goes when either neighbour is empty", () => {
    const empty = field("mobile", { takesLine: false });
    expect(inside([line(field("name"), separator, empty)])).toBe("<div>Ada Quill</div>");
    expect(inside([line(empty, separator, field("name"))])).toBe("<div>Ada Quill</div>");
    expect(
      inside([line(field("name"), separator, empty, separator, field("title"))]).split("|"),
    ).toHaveLength(2);
  });
});

describe("letters", () => {
  const mark = (type: string, attrs: Json = {}): Json => ({ type, attrs });

  it("set in capitals are written as capitals, in the signature's language, and in plain text as well", () => {
    const turkish = parseSignature(
      signature([cell({ colwidth: [300] }, line(text("izmir", mark("upperCase"))))], { language: "tr" }),
    );
    expect(compile(turkish, { destination: "message", person, base: "https://p.example" })).toContain(
      "İZMİR",
    );
    const document = parseSignature(
      signature([cell({ colwidth: [300] }, line(text("Ada", mark("upperCase"))))]),
    );
    expect(compile(document, { destination: "plain-text", person, base: "https://p.example" })).toBe("ADA\n");
  });

  it("that are spaced say by how much", () => {
    expect(inside([line(text("Ada", mark("letterSpacing", { spacing: 1.2 })))])).toContain(
      '<span style="letter-spacing:1.2px">Ada</span>',
    );
  });
});

describe("a comma", () => {
  it("has no gap before it, and goes with an empty neighbour", () => {
    const comma = { type: "separator", attrs: { glyph: ",", gap: 4, gapBefore: 0 } };
    const content = [
      line(field("name", { takesLine: false }), comma, field("department", { takesLine: false })),
    ];
    expect(inside(content)).toContain("<div>Ada Quill</div>");
    const both = [line(field("name"), comma, field("title"))];
    expect(inside(both)).toContain('Ada Quill,<span style="letter-spacing:0.39px"> </span>Archivist');
  });
});
