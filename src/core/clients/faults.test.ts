/** What stand-ins once got wrong, each by what it does now. */
import { describe, expect, it } from "vitest";
import { received, type ReceiveOptions, type StandInId } from "./index";
import { conditionHolds, openConditionalComments } from "./transforms/open-conditional-comments";

const show = (client: StandInId, html: string, options?: ReceiveOptions): string =>
  received(html, client, options).html;
const inline = (html: string, options?: ReceiveOptions): string => show("webmail-inline", html, options);
const engine = (html: string, options?: ReceiveOptions): string => show("desktop-document", html, options);
const codes = (client: StandInId, html: string): readonly string[] =>
  received(html, client).changes.map(({ code }) => code);

const row = (table: string, ...styles: readonly string[]): string =>
  `<table${table}><tbody><tr>${styles.map((style) => `<td${style ? ` style="${style}"` : ""}>a</td>`).join("")}</tr></tbody></table>`;

describe("the inline-only webmail", () => {
  it.each([
    "oklch(43% .06 190)",
    "LAB(36% -21 -6)",
    "lch(36% 22 196)",
    "oklab(43% -.06 -.01)",
    "RGB( 1 2 3)",
  ])("drops the whole style for %s", (color) => {
    expect(inline(`<b style="font-size:13px;color:${color}">x</b>`)).toBe("<b>x</b>");
    expect(inline(`<b style="font-size:13px;border:1px solid ${color}">x</b>`)).toBe("<b>x</b>");
  });

  it("drops what gives a variable its value, and keeps its use", () => {
    expect(inline('<b style="--ink:#111;color:var(--ink)">x</b>')).toBe('<b style="color:var(--ink)">x</b>');
  });

  it.each([
    "background:url(data:image/png;base64,AAAA)",
    "background-image:URL( 'https://a.example/x.SVG' )",
    "background:#ffffff url(https://a.example/x.svg?1) no-repeat",
  ])("drops %s", (declaration) => {
    expect(inline(`<b style="${declaration}">x</b>`)).toBe("<b>x</b>");
  });

  it("puts what the body says of itself on an element around the message", () => {
    expect(
      inline('<body bgcolor="#F3EFE4" text="#111111" dir="rtl" style="padding:4px"><b>x</b></body>'),
    ).toBe('<div dir="rtl" style="color:#111111;background-color:#F3EFE4;padding:4px"><b>x</b></div>');
    expect(show("desktop-fixed", '<body bgcolor="#F3EFE4">x</body>')).toBe("x");
    expect(codes("desktop-fixed", '<body bgcolor="#F3EFE4">x</body>')).toEqual(["attribute-dropped"]);
  });

  it.each(["color:red !IMPORTANT", "color:red!Important"])("does not know the mark of %s", (declaration) => {
    expect(inline(`<b style="${declaration}">x</b>`)).toBe("<b>x</b>");
  });
});

describe("the document engine", () => {
  it.each(["display:block", "DISPLAY: inline-block", "height:20px", "margin:-4px", "margin-inline:0 AUTO"])(
    "does not draw %s on text",
    (declaration) =>
      expect(engine(`<span style="${declaration};color:#111111">x</span>`)).toBe(
        '<span style="color:#111111">x</span>',
      ),
  );

  it.each([
    "rgb(1 2 3)",
    "rgba(1,2,3,.5)",
    "#11223344",
    "hsl(120 50% 50%)",
    "hwb(190 20% 60%)",
    "oklch(43% .06 190)",
  ])("reads no colour such as %s", (color) =>
    expect(engine(`<b style="font-size:13px;color:${color}">x</b>`)).toBe('<b style="font-size:13px">x</b>'),
  );

  it.each(["x.webp", "x.AVIF?1", "data:image/gif;base64,AAAA"])("shows no picture at %s", (address) => {
    expect(engine(`<img src="${address}" width="9" height="9">`)).toBe('<img width="9" height="9">');
    expect(codes("desktop-document", `<img src="${address}" width="9" height="9">`)).toEqual([
      "picture-dropped",
    ]);
  });

  it("takes percentages of pictures of their files", () => {
    expect(engine('<img src="x.png" width="50%" height="20">')).toBe(
      '<img src="x.png" height="20" style="zoom:0.5">',
    );
  });

  it("rounds the weight inside the shorthand of fonts, and not the height of its lines", () => {
    expect(engine('<b style="font:300 13px/200px Arial">x</b>')).toBe(
      '<b style="font:normal 13px/200px Arial">x</b>',
    );
    expect(engine('<b style="font-weight:600">x</b>')).toBe('<b style="font-weight:bold">x</b>');
  });

  it.each([
    ["border:9pt solid #000000", "border:8px solid #000000"],
    ["font-size:20px;border-left:1em solid #000000", "font-size:20px;border-left:8px solid #000000"],
    ["border-width:1px 0.2in", "border-width:1px 8px"],
    ["border:6pt solid #000000", "border:6pt solid #000000"],
  ])("caps %s", (style, drawn) => expect(engine(row("", style))).toContain(`style="${drawn}"`));

  it("equalises a row's padding in any unit, and what the table gives its cells", () => {
    expect(engine(row("", "font-size:10px;padding:1em 0", "padding:4px 0"))).toBe(
      row(
        "",
        "font-size:10px;padding:1em 0;padding-top:10px;padding-bottom:10px",
        "padding:4px 0;padding-top:10px;padding-bottom:10px",
      ),
    );
    expect(engine(row(' cellpadding="6"', "padding:2px", ""))).toBe(
      row(
        ' cellpadding="6"',
        "padding:2px;padding-top:6px;padding-bottom:6px",
        "padding-top:6px;padding-bottom:6px",
      ),
    );
  });

  it("keeps the colour of a background beside a picture", () => {
    expect(engine('<b style="background:#F3EFE4 url(a.png) no-repeat">x</b>')).toBe(
      '<b style="background-color:#F3EFE4">x</b>',
    );
    expect(engine('<b style="background:url(a.png) no-repeat">x</b>')).toBe("<b>x</b>");
  });

  it("reads its own conditional comments", () => {
    const html = "a<!--[if mso]><b>b</b><![endif]--><!--[if !mso]><!--><i>c</i><!--<![endif]-->d";
    expect(engine(html)).toBe("a<b>b</b>d");
    expect(inline(html)).toBe("a<i>c</i>d");
  });

  it("says nothing of a link that a font colours", () => {
    const link = '<a href="https://a.example"><font color="#3F5B2E">a</font></a>';
    expect(engine(link)).toBe(link);
    expect(codes("desktop-document", link)).toEqual([]);
  });

  it("draws tables that stand in what is hidden", () => {
    expect(
      engine('<div style="display:none">a<table><tbody><tr><td>b</td></tr></tbody></table></div>c'),
    ).toBe('<div style="display:none">a</div><table><tbody><tr><td>b</td></tr></tbody></table>c');
  });

  it("draws a background into the margin", () => {
    expect(engine('<p style="margin:8px;background-color:#F3EFE4">x</p>')).toBe(
      '<p style="padding:8px;background-color:#F3EFE4">x</p>',
    );
  });

  it("draws text larger on displays of 120 dpi, and sizes in attributes as they are", () => {
    expect(engine('<img src="x.png" width="50" height="20">', { scale: 1.25 })).toBe(
      '<div style="zoom:1.25"><img src="x.png" width="40" height="16"></div>',
    );
  });
});

describe("conditions of comments", () => {
  it.each([
    ["mso", true],
    ["!mso", false],
    ["gte mso 9", true],
    ["lt mso 16", false],
    ["mso 16", true],
    ["mso 15", false],
    ["(gte mso 9)|(IE)", true],
    ["(gte mso 9)&(IE)", false],
    ["!(IE)", true],
    ["IE", false],
    ["((((", false],
    ["", false],
  ])("[if %s] holds: %s", (condition, holds) => expect(conditionHolds(condition)).toBe(holds));

  it("may stand in each other, and need no end", () => {
    expect(openConditionalComments("a<!--[if mso]>b<!--[if IE]>c<![endif]-->d<![endif]-->e")).toBe("abde");
    expect(openConditionalComments("a<![if !mso]>b<![endif]>c")).toBe("ac");
    expect(openConditionalComments("a<!--[if mso]>b")).toBe("ab");
    expect(openConditionalComments("a<!-- c --><!doctype html>b")).toBe("a<!-- c --><!doctype html>b");
  });
});

describe("other kinds", () => {
  it("fixes tables, and says where that moves columns", () => {
    const table = (cells: string): string =>
      `<table style="width:300px"><tbody><tr>${cells}</tr></tbody></table>`;
    expect(show("desktop-fixed", table('<td width="90">a</td><td>b</td>'))).toBe(
      table('<td width="90">a</td><td>b</td>').replace("width:300px", "width:300px;table-layout:fixed"),
    );
    expect(codes("desktop-fixed", table('<td width="90">a</td><td>b</td>'))).toEqual(["table-fixed"]);
    expect(codes("desktop-fixed", table('<td width="90">a</td><td width="210">b</td>'))).toEqual([]);
    expect(show("desktop-fixed", '<table align="left"><tbody></tbody></table>')).not.toContain("align");
  });

  it("takes the width of attached pictures from their style", () => {
    expect(show("desktop-browser", '<img src="cid:1" width="90" style="width:80px">')).toBe(
      '<img src="cid:1" style="width:80px">',
    );
  });

  it("links phones, addresses and dates that stand in no link, where it does", () => {
    const html = '<b>Call +44 1632 960118 by 12 June 2027</b> <a href="https://a.example">12 June 2027</a>';
    expect(show("phone-system", html)).toBe(
      '<b>Call <a href="tel:+441632960118" style="color:#0000EE;text-decoration:underline">+44 1632 960118</a>' +
        ' by <a style="color:#0000EE;text-decoration:underline">12 June 2027</a></b> <a href="https://a.example">12 June 2027</a>',
    );
    expect(codes("phone-system", html)).toEqual(["text-linked", "text-linked"]);
    expect(show("desktop-open", html)).toBe(html);
  });

  it("treats accounts of another provider as the table tells", () => {
    const html = '<b style="display:flex">x</b>';
    expect(show("phone-inline-full", html)).toBe(html);
    expect(show("phone-inline-full", html, { account: "other" })).toBe("<b>x</b>");
  });

  it("settles conditions on the reader's colours by the mode of the proof", () => {
    const html = "<style>@media (prefers-color-scheme:dark){b{color:#FFFFFF}}</style><b>x</b>";
    expect(show("phone-maker", html)).toContain("max-width:0px");
    expect(show("desktop-browser", html, { mode: "dark" })).toContain("min-width:0px");
  });

  it("quotes as each kind does, as often as it is asked", () => {
    expect(show("webmail-suite", "a", { quoted: 1 })).toBe(
      '<blockquote style="margin:0;border-top:1px solid #CCCCCC;padding:8px 0 0">a</blockquote>',
    );
    expect(show("webmail-budget", "a", { quoted: 3 }).match(/<blockquote/g)).toHaveLength(3);
  });
});
