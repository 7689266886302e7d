import { describe, expect, it } from "vitest";
import { emptyPerson, type Person } from "../people";
import { parseSignature } from "../signature";
import { compile } from "./compile";

const person: Person = {
  ...emptyPerson,
  name: "Ada Quill",
  title: "Archivist",
  phone: "+44 1632 960100",
  mail: "ada@harrowfen.example",
};

type Json = Record<string, unknown>;
const text = (value: string, ...marks: Json[]): Json => ({
  type: "text",
  text: value,
  ...(marks.length ? { marks } : {}),
});
const line = (...content: Json[]): Json => ({ type: "line", ...(content.length ? { content } : {}) });
const field = (name: string, attrs: Json = {}): Json => ({
  type: "personField",
  attrs: { field: name, ...attrs },
});
const link = (href: string): Json => ({ type: "link", attrs: { href } });

function signature(cells: Json[], settings: Json = {}): Json {
  return {
    type: "signature",
    attrs: settings,
    content: [{ type: "table", content: [{ type: "row", content: cells }] }],
  };
}

const cell = (attrs: Json, ...content: Json[]): Json => ({
  type: "cell",
  attrs: { colwidth: [300], ...attrs },
  content,
});

const options = { destination: "webmail-paste", person, base: "https://pictures.example" } as const;

const type = "font-family:Arial,Helvetica,sans-serif;font-size:13px;line-height:18px;color:#333333";
const open =
  '<table role="presentation" cellpadding="0" cellspacing="0" border="0" width="300" style="border-collapse:collapse;width:300px">' +
  `<tr><td width="300" valign="top" style="width:300px;vertical-align:top;${type}">`;
const close = "</td></tr></table>";

/** What blocks compile to inside one cell of 300 px. */
function inside(blocks: Json[], settings: Json = {}): string {
  const html = compile(parseSignature(signature([cell({}, ...blocks)], settings)), options);
  expect(
    html.startsWith(open.replace("#333333", (settings.textColor as string | undefined) ?? "#333333")),
  ).toBe(true);
  expect(html.endsWith(close)).toBe(true);
  return html.slice(open.length, -close.length);
}

describe("a cell", () => {
  it("writes width as attribute and style, and border-box once padding or lines are counted in", () => {
    const html = compile(
      parseSignature(
        signature([
          cell(
            {
              colwidth: [120],
              padding: { top: 2, right: 16, bottom: 2, left: 0 },
              border: {
                top: null,
                right: { width: 1.5, style: "solid", color: "#C08A2B" },
                bottom: null,
                left: null,
              },
              background: "#F3EFE4",
              align: "right",
              verticalAlign: "middle",
            },
            line(text("a")),
          ),
        ]),
      ),
      options,
    );
    expect(html).toBe(
      '<table role="presentation" cellpadding="0" cellspacing="0" border="0" width="120" style="border-collapse:collapse;width:120px">' +
        '<tr><td width="120" align="right" valign="middle" bgcolor="#F3EFE4" style="width:120px;box-sizing:border-box;padding:2px 16px 2px 0;' +
        `border-right:1.5px solid #C08A2B;background-color:#F3EFE4;vertical-align:middle;${type}"><div>a</div></td></tr></table>`,
    );
  });

  it("is written with the padding that its row shares, and a spacer for what it has beyond", () => {
    const html = compile(
      parseSignature(
        signature([
          cell({ colwidth: [100], padding: { top: 14, right: 0, bottom: 3, left: 0 } }, line(text("a"))),
          cell({ colwidth: [100], padding: { top: 4, right: 0, bottom: 3, left: 0 } }, line(text("b"))),
        ]),
      ),
      options,
    );
    const padding = "padding:4px 0 3px";
    expect(html.split(padding)).toHaveLength(3);
    expect(html).toContain(
      '<td width="100" height="10" style="width:100px;height:10px;font-size:1px;line-height:10px">&nbsp;</td>',
    );
  });

  it("that holds nothing takes no room in height", () => {
    expect(compile(parseSignature(signature([cell({}, line())])), options)).toContain(
      'style="width:300px;vertical-align:top;font-size:1px;line-height:1px"></td>',
    );
  });

  it("spans columns and rows, with widths on the first row only", () => {
    const document = parseSignature({
      type: "signature",
      content: [
        {
          type: "table",
          content: [
            {
              type: "row",
              content: [
                cell({ colwidth: [80], rowspan: 2 }, line(text("a"))),
                cell({ colwidth: [220] }, line(text("b"))),
              ],
            },
            { type: "row", content: [cell({ colwidth: [220] }, line(text("c")))] },
          ],
        },
      ],
    });
    const html = compile(document, options);
    expect(html).toContain('<td rowspan="2" width="80" valign="top"');
    expect(html).toContain(`<tr><td valign="top" style="vertical-align:top;${type}"><div>c</div></td></tr>`);
  });
});

describe("a row", () => {
  it("writes its height on its cells, as attribute and style", () => {
    const document = signature([cell({}, line(text("a")))]);
    const table = (document.content as Json[])[0]!;
    (table.content as Json[])[0]!.attrs = { height: 40 };
    expect(compile(parseSignature(document), options)).toContain(
      `<td width="300" height="40" valign="top" style="width:300px;height:40px;vertical-align:top;${type}">`,
    );
  });
});

describe("a line", () => {
  it("is a div, with a line height in px that follows its largest text", () => {
    expect(inside([line(text("a"), text("b", { type: "size", attrs: { size: 20 } }))])).toBe(
      '<div style="line-height:28px">a<span style="font-size:20px">b</span></div>',
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
        "<span style=\"font-family:'Times New Roman',Times,serif\">f</span>" +
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

  it("is escaped, and runs of spaces are one", () => {
    expect(inside([line(text("a < b  &  “c”\u00a0d"))])).toBe("<div>a &lt; b &amp; “c”&nbsp;d</div>");
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

describe("a picture", () => {
  const attrs = { source: "/h/0123456789abcdef0123/logo.png", width: 120, height: 40, alt: "Logo" };
  const image =
    '<img src="https://pictures.example/h/0123456789abcdef0123/logo.png" width="120" height="40" alt="Logo" ' +
    'style="display:block;border:0;width:120px;height:40px">';

  it("has an absolute address, both sizes twice, alt text and no gap under it", () => {
    expect(inside([{ type: "picture", attrs }])).toBe(image);
  });

  it("with a link stands in it", () => {
    expect(inside([{ type: "picture", attrs: { ...attrs, link: "https://a.example" } }])).toBe(
      `<a href="https://a.example" style="color:#1F5B57;text-decoration:none">${image}</a>`,
    );
  });

  it("in a line stands level with the text", () => {
    expect(inside([line(text("a "), { type: "inlinePicture", attrs })])).toBe(
      `<div>a ${image.replace("display:block;border:0;", "border:0;vertical-align:middle;")}</div>`,
    );
  });

  it("from elsewhere keeps its address, and one that is not chosen yet writes nothing", () => {
    expect(inside([{ type: "picture", attrs: { ...attrs, source: "https://b.example/x.png" } }])).toContain(
      'src="https://b.example/x.png"',
    );
    expect(inside([line(text("a")), { type: "picture", attrs: { ...attrs, source: "" } }])).toBe(
      "<div>a</div>",
    );
  });
});

describe("an icon row", () => {
  const icon = (name: string, width: number): Json => ({
    type: "inlinePicture",
    attrs: { source: `/h/0123456789abcdef0123/${name}.png`, width, height: 48, alt: name },
    marks: [link(`https://${name}.example`)],
  });

  it("is a small table with every icon at one height and one gap", () => {
    const html = inside([
      { type: "iconRow", attrs: { size: 24, gap: 6 }, content: [icon("web", 48), icon("mail", 96)] },
    ]);
    expect(html).toBe(
      '<table role="presentation" cellpadding="0" cellspacing="0" border="0" width="78" style="border-collapse:collapse;width:78px"><tr>' +
        '<td width="30" valign="middle" style="width:30px;box-sizing:border-box;padding:0 6px 0 0;vertical-align:middle">' +
        '<a href="https://web.example" style="color:#1F5B57;text-decoration:none"><img src="https://pictures.example/h/0123456789abcdef0123/web.png" ' +
        'width="24" height="24" alt="web" style="display:block;border:0;width:24px;height:24px"></a></td>' +
        '<td width="48" valign="middle" style="width:48px;vertical-align:middle">' +
        '<a href="https://mail.example" style="color:#1F5B57;text-decoration:none"><img src="https://pictures.example/h/0123456789abcdef0123/mail.png" ' +
        'width="48" height="24" alt="mail" style="display:block;border:0;width:48px;height:24px"></a></td></tr></table>',
    );
  });

  it("can be stacked", () => {
    const html = inside([
      {
        type: "iconRow",
        attrs: { size: 24, gap: 6, direction: "column" },
        content: [icon("web", 48), icon("mail", 48)],
      },
    ]);
    expect(html.split("<tr>")).toHaveLength(3);
    expect(html).toContain("padding:0 0 6px");
  });
});

describe("a button", () => {
  it("is a filled cell around a link, solid without radius or padding on links", () => {
    expect(
      inside([
        {
          type: "button",
          attrs: {
            link: "https://a.example/go",
            background: "#3F5B2E",
            color: "#F3EFE4",
            width: 190,
            radius: 3,
          },
          content: [text("Go", { type: "bold" })],
        },
      ]),
    ).toBe(
      '<table role="presentation" cellpadding="0" cellspacing="0" border="0" width="190" style="border-collapse:collapse;width:190px"><tr>' +
        '<td width="190" align="center" bgcolor="#3F5B2E" style="width:190px;box-sizing:border-box;padding:8px 16px;background-color:#3F5B2E;border-radius:3px;' +
        'font-family:Arial,Helvetica,sans-serif;font-size:13px;line-height:18px;color:#F3EFE4">' +
        '<a href="https://a.example/go" style="color:#F3EFE4;text-decoration:none"><b style="color:#F3EFE4;text-decoration:none">Go</b></a></td></tr></table>',
    );
  });
});

describe("a divider", () => {
  it("that is solid is a filled cell of its thickness across the cell", () => {
    expect(inside([{ type: "divider", attrs: { thickness: 2, color: "#C08A2B" } }])).toBe(
      '<table role="presentation" cellpadding="0" cellspacing="0" border="0" width="300" style="border-collapse:collapse;width:300px"><tr>' +
        '<td width="300" bgcolor="#C08A2B" style="width:300px;height:2px;background-color:#C08A2B;font-size:1px;line-height:2px">&nbsp;</td></tr></table>',
    );
  });

  it("that is dotted is a border", () => {
    expect(inside([{ type: "divider", attrs: { style: "dotted", width: 80 } }])).toContain(
      '<td width="80" style="width:80px;border-top:1px dotted #D9D5C8;font-size:0;line-height:0"></td>',
    );
  });
});

describe("a spacer", () => {
  it("is a table of one cell exactly so high", () => {
    expect(inside([{ type: "spacer", attrs: { height: 7 } }])).toBe(
      '<table role="presentation" cellpadding="0" cellspacing="0" border="0" width="300" style="border-collapse:collapse;width:300px">' +
        '<tr><td width="300" height="7" style="width:300px;height:7px;font-size:1px;line-height:7px">&nbsp;</td></tr></table>',
    );
  });
});

describe("a table in a cell", () => {
  it("is written like the outer one, at its own width", () => {
    const nested = {
      type: "table",
      content: [{ type: "row", content: [cell({ colwidth: [90] }, line(text("in")))] }],
    };
    expect(inside([nested])).toBe(
      '<table role="presentation" cellpadding="0" cellspacing="0" border="0" width="90" style="border-collapse:collapse;width:90px">' +
        `<tr><td width="90" valign="top" style="width:90px;vertical-align:top;${type}"><div>in</div></td></tr></table>`,
    );
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

describe("column widths", () => {
  it("stand on the first cells that say them, below cells that only span the columns", () => {
    const document = parseSignature({
      type: "signature",
      content: [
        {
          type: "table",
          content: [
            { type: "row", content: [cell({ colspan: 2, colwidth: [80, 220] }, line(text("Over")))] },
            {
              type: "row",
              content: [
                cell({ colwidth: [80] }, line(text("A"))),
                cell({ colwidth: [220] }, line(text("B"))),
              ],
            },
            {
              type: "row",
              content: [
                cell({ colwidth: [80] }, line(text("C"))),
                cell({ colwidth: [220] }, line(text("D"))),
              ],
            },
          ],
        },
      ],
    });
    const html = compile(document, { destination: "webmail-paste", person, base: "https://p.example" });
    expect([...html.matchAll(/<td(?: colspan="2")?(?: width="(\d+)")?/g)].map(([, width]) => width)).toEqual([
      "300",
      "80",
      "220",
      undefined,
      undefined,
    ]);
  });
});

describe("the place of a picture that is not chosen yet", () => {
  it("is nothing in what is sent, and a box of its size where a pattern is looked at", () => {
    const document = parseSignature(
      signature([
        cell({ colwidth: [300] }, { type: "picture", attrs: { source: "", width: 96, height: 80 } }),
      ]),
    );
    const options = { destination: "webmail-paste", person, base: "https://p.example" } as const;
    expect(compile(document, options)).not.toMatch(/<img|<div/);
    expect(compile(document, { ...options, picturePlaces: true })).toContain(
      '<div style="width:96px;height:80px',
    );
  });
});
