import { readFileSync } from "node:fs";
import fc from "fast-check";
import { parseFragment } from "parse5";
import { describe, expect, it } from "vitest";
import { compile } from "../compile";
import { readPerson } from "../people";
import { parseSignature } from "../signature";
import { groupChanges, isSeen, received, rewriteLinks, signatureOverrun, standInIds } from "./index";

describe("webmail that keeps inline styles only", () => {
  const show = (html: string) => received(html, "webmail-inline");

  it("drops classes, ids and style sheets", () => {
    expect(show('<style>p{color:red}</style><p class="a" id="b">x</p>').html).toBe("<p>x</p>");
  });

  it("drops a whole style that has a colour written with spaces, and keeps one with commas", () => {
    expect(show('<b style="color:rgb(63 91 46);font-size:13px">x</b>').html).toBe("<b>x</b>");
    expect(show('<b style="color:rgb(63,91,46)">x</b>').html).toBe('<b style="color:rgb(63,91,46)">x</b>');
  });

  it("drops pictures inside the HTML, and vector ones", () => {
    expect(show('<img src="data:image/png;base64,AAAA" alt="a">').html).toBe('<img alt="a">');
    expect(show('<img src="https://a.example/x.svg?1">').html).toBe("<img>");
    expect(show('<img src="https://a.example/x.png">').html).toBe('<img src="https://a.example/x.png">');
  });

  it("drops negative margins only", () => {
    expect(show('<b style="margin:0 -4px">x</b>').html).toBe("<b>x</b>");
    expect(show('<b style="margin:0 4px">x</b>').html).toBe('<b style="margin:0 4px">x</b>');
  });

  it("breaks words after every 30 characters", () => {
    expect(show("a".repeat(65)).html).toBe(`${"a".repeat(30)}<wbr>${"a".repeat(30)}<wbr>${"a".repeat(5)}`);
    expect(show("a".repeat(30)).changes).toEqual([]);
    expect(show(`x ${"é".repeat(31)} y`).html).toBe(`x ${"é".repeat(30)}<wbr>é y`);
  });

  it("opens links in a new window", () => {
    expect(show('<a href="https://a.example">x</a>').html).toBe(
      '<a href="https://a.example" target="_blank" rel="noopener noreferrer">x</a>',
    );
  });

  it("cleans what it has cleaned to the same", () => {
    const once = show(readFileSync("src/core/clients/facts/client-support.json", "utf8").slice(0, 2000)).html;
    expect(show(once).html).toBe(once);
  });

  it("takes 10,000 characters and not one more", () => {
    expect(signatureOverrun("x".repeat(10_000), "webmail-inline")).toBe(0);
    expect(signatureOverrun("x".repeat(10_007), "webmail-inline")).toBe(7);
    expect(signatureOverrun("x".repeat(20_000), "desktop-document")).toBe(0);
  });

  it("keeps its colours in dark mode", () => {
    const html = '<b style="color:#111111">x</b>';
    expect(received(html, "webmail-inline", { mode: "dark" })).toEqual(received(html, "webmail-inline"));
  });
});

describe("desktop mail drawn by a document engine", () => {
  const show = (html: string) => received(html, "desktop-document");
  const codes = (html: string): string[] => show(html).changes.map(({ code }) => code);
  const row = (...styles: string[]): string =>
    `<table><tbody><tr>${styles.map((style) => `<td style="${style}">a</td>`).join("")}</tr></tbody></table>`;

  it("gives all cells of a row the row's largest top and bottom padding", () => {
    const { html, changes } = show(row("padding:14px 0 2px", "padding:4px 8px"));
    expect(html).toBe(
      row(
        "padding:14px 0 2px;padding-top:14px;padding-bottom:4px",
        "padding:4px 8px;padding-top:14px;padding-bottom:4px",
      ),
    );
    expect(changes).toEqual([
      {
        code: "row-padding-equalised",
        at: "row 1",
        what: "padding-top 14px, 4px",
        reason: "every cell of the row gets 14px",
      },
      {
        code: "row-padding-equalised",
        at: "row 1",
        what: "padding-bottom 2px, 4px",
        reason: "every cell of the row gets 4px",
      },
    ]);
    expect(show(row("padding:4px", "padding:4px 9px")).changes).toEqual([]);
  });

  it("takes padding on cells only, and draws borders 8 px wide at most", () => {
    expect(show('<div style="padding:4px">a</div>').html).toBe("<div>a</div>");
    expect(show(row("border-left:12px solid #000000")).html).toBe(row("border-left:8px solid #000000"));
    expect(codes(row("border-left:8px solid #000000"))).toEqual([]);
  });

  it.each(["p", "div", "span", "img"])("ignores the width of a %s in its style", (name) => {
    expect(show(`<${name} style="margin:0;width:90px" width="90" height="9">`).html).not.toContain(
      "width:90px",
    );
  });

  it("takes maximum widths on tables only", () => {
    expect(show('<div style="max-width:90px">a</div>').html).toBe("<div>a</div>");
    expect(show('<table style="max-width:90px"></table>').html).toContain("max-width:90px");
  });

  it("says which pictures it draws at file size", () => {
    expect(codes('<img src="https://a.example/x.png" style="width:90px">')).toContain("picture-unsized");
    expect(codes('<img src="https://a.example/x.png" width="90" height="90">')).toEqual([]);
  });

  it("rounds weights at 600", () => {
    expect(show('<b style="font-weight:500">a</b>').html).toBe('<b style="font-weight:normal">a</b>');
    expect(show('<b style="font-weight:600">a</b>').html).toBe('<b style="font-weight:bold">a</b>');
  });

  it("gives paragraphs without margins its own", () => {
    expect(show("<p>a</p>").html).toBe('<p style="margin:0 0 12px">a</p>');
    expect(show('<p style="margin:0">a</p>').html).toBe('<p style="margin:0">a</p>');
  });

  it("recolours a link whose text says no colour of its own", () => {
    expect(show('<a href="https://a.example" style="color:#3F5B2E">a</a>').html).toBe(
      '<a href="https://a.example" style="color:#0000EE;text-decoration:underline">a</a>',
    );
    const ours = '<a href="https://a.example" style="color:#3F5B2E"><span style="color:#3F5B2E">a</span></a>';
    expect(show(ours)).toEqual({ html: ours, changes: [] });
    expect(
      codes('<a href="https://a.example"><img src="https://a.example/x.png" width="1" height="1"></a>'),
    ).toEqual([]);
  });

  it("reads style sheets, wherever they stand, without what it does not draw", () => {
    const file =
      "<html><head><style>@import url(x.css);td{padding:4px;border-radius:3px}@media (max-width:9px){td{color:#111111}}</style></head>" +
      "<body><b>a</b><style>b{opacity:0.5;color:#222222}</style><i>c</i></body></html>";
    const { html, changes } = show(file);
    expect(html).toBe("<style>td{padding:4px}</style><style>b{color:#222222}</style><b>a</b><i>c</i>");
    expect(changes.map(({ what }) => what).sort()).toEqual(["@import", "@media", "border-radius", "opacity"]);
  });

  it("ignores declarations marked important", () => {
    expect(show('<b style="color:#000000 !important">a</b>').html).toBe("<b>a</b>");
  });

  it("mirrors the lightness of every colour in dark mode, and leaves pictures", () => {
    const { html } = received(
      '<b style="color:#000000;border-left:1px solid #FFFFFF">a</b><img src="https://a.example/x.png" width="1" height="1">',
      "desktop-document",
      {
        mode: "dark",
      },
    );
    expect(html).toBe(
      '<div style="background-color:#000000;color:#FFFFFF"><b style="color:#FFFFFF;border-left:1px solid #000000">a</b>' +
        '<img src="https://a.example/x.png" width="1" height="1"></div>',
    );
  });
});

describe("every stand-in", () => {
  it("changes nothing that is seen of the demo's full signature", () => {
    const read = (file: string): unknown => JSON.parse(readFileSync(file, "utf8"));
    const html = compile(parseSignature(read("demo/signatures/full.json")), {
      destination: "webmail-paste",
      person: readPerson(read("demo/people/tamsin-okafor.json")),
      base: "https://pictures.example",
    });
    for (const client of standInIds) expect(received(html, client).changes.filter(isSeen)).toEqual([]);
  });

  it("lets nothing run", () => {
    const hostile =
      '<script>x</script><img src="x" onerror="x"><a href=" java\tscript:x">a</a><iframe srcdoc="<script>x</script>"></iframe>' +
      '<svg onload="x"><a xlink:href="javascript:x"></a></svg><math><mi>x</mi></math><form action="https://a.example"><input></form>' +
      '<a href="data:text/html,x">b</a><object data="x"></object><base href="https://a.example"><meta http-equiv="refresh" content="0">' +
      '<!--><img src=x onerror=x>--><noscript><p title="</noscript><img src=x onerror=x>"></noscript><template><img onerror=x></template>';
    for (const client of standInIds) {
      const { html } = received(hostile, client);
      // Read again by another parse, as a page that shows it would.
      const names: string[] = [];
      const visit = (node: {
        childNodes?: unknown[];
        nodeName: string;
        attrs?: { name: string; value: string }[];
      }): void => {
        names.push(node.nodeName);
        for (const { name, value } of node.attrs ?? []) {
          expect(name).not.toMatch(/^on|^srcdoc$/);
          expect(value.replace(/\s/g, "")).not.toMatch(/^(javascript|data):/i);
        }
        (node.childNodes as (typeof node)[] | undefined)?.forEach(visit);
      };
      visit(parseFragment(html));
      expect(names).not.toEqual(
        expect.arrayContaining([
          expect.stringMatching(/^(script|iframe|svg|math|form|input|object|base|meta|noscript|template)$/),
        ]),
      );
    }
  });

  it("quotes a message in an answer", () => {
    expect(received("<b>a</b>", "webmail-inline", { quoted: 1 }).html).toMatch(
      /^<blockquote style="[^"]+"><b>a<\/b><\/blockquote>$/,
    );
  });

  it("never throws, and gives the same answer for the same HTML", () => {
    const part = fc.constantFrom(
      "<td style='",
      "padding:4px",
      "<a href=x>",
      "</a>",
      "<p>",
      "<table>",
      "<tr>",
      "'>",
      '"',
      "<!--",
      "-->",
      "&amp;",
      "é".repeat(40),
      "<style>",
      "!important",
      ";",
      "rgb(1 2 3)",
    );
    fc.assert(
      fc.property(fc.array(part, { maxLength: 30 }), fc.constantFrom(...standInIds), (parts, client) => {
        const html = parts.join("");
        expect(received(html, client)).toEqual(received(html, client));
      }),
      { numRuns: 300 },
    );
  });
});

describe("telling changes", () => {
  it("says the same change once, with every place", () => {
    const { changes } = received(
      '<table><tr><td><a href="https://a.example">a</a></td><td><a href="https://b.example">b</a></td></tr></table>',
      "webmail-inline",
    );
    expect(groupChanges(changes)).toEqual([
      {
        code: "link-opens-new-window",
        sentence: "All 2 links open in a new window.",
        places: ["row 1, cell 1, link", "row 1, cell 2, link"],
      },
    ]);
    expect(changes.some(isSeen)).toBe(false);
  });
});

describe("leading links elsewhere", () => {
  it("changes only what it is told to", () => {
    const html = '<a href="https://a.example">a</a><a href="https://b.example">b</a>';
    expect(rewriteLinks(html, (href) => (href.includes("a.example") ? "/here" : null))).toBe(
      '<a href="/here">a</a><a href="https://b.example">b</a>',
    );
  });
});
