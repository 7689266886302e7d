import { Transform } from "prosemirror-transform";
import { describe, expect, it } from "vitest";
import { parseSignature } from "../signature";
import { compile } from "./compile";
import { person, type Json, text, line, link, signature, cell, options, type, inside } from "./kinds.fixture";

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
      '<table role="presentation" cellpadding="0" cellspacing="0" border="0" width="120" style="border-collapse:collapse;border:0 solid;width:120px">' +
        '<tr><td width="119" align="right" valign="middle" bgcolor="#F3EFE4" style="width:119.25px;box-sizing:border-box;padding:2px 16px 2px 0;' +
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

  it("that holds nothing is as high as its line, and takes no room in a row with a height of its own", () => {
    const document = parseSignature(signature([cell({}, line())]));
    expect(compile(document, options)).toContain(
      'style="width:300px;vertical-align:top;font-size:1px;line-height:18px">&nbsp;</td>',
    );
    const low = new Transform(document).setNodeAttribute(1, "height", 8).doc;
    expect(compile(low, options)).toContain(
      'height="8" valign="top" style="width:300px;height:8px;vertical-align:top;font-size:1px;line-height:1px"></td>',
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

describe("a picture", () => {
  const attrs = { source: "/h/0123456789abcdef0123/logo.png", width: 120, height: 40, alt: "Logo" };
  const image =
    '<img src="https://pictures.example/h/0123456789abcdef0123/logo.png" width="120" height="40" alt="Logo" ' +
    'style="display:block;border:0;vertical-align:top;width:120px;height:40px">';

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
      `<div>a ${image.replace("display:block;border:0;vertical-align:top;", "border:0;vertical-align:middle;")}</div>`,
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
        'width="24" height="24" alt="web" style="display:block;border:0;vertical-align:top;width:24px;height:24px"></a></td>' +
        '<td width="48" valign="middle" style="width:48px;vertical-align:middle">' +
        '<a href="https://mail.example" style="color:#1F5B57;text-decoration:none"><img src="https://pictures.example/h/0123456789abcdef0123/mail.png" ' +
        'width="48" height="24" alt="mail" style="display:block;border:0;vertical-align:top;width:48px;height:24px"></a></td></tr></table>',
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

describe("a picture at an address elsewhere", () => {
  it("is written with what no address may hold escaped", () => {
    const html = compile(
      parseSignature(
        signature([
          cell(
            {},
            {
              type: "picture",
              attrs: {
                source: "https://share.example/seed jars.png?x=“1”",
                width: 20,
                height: 10,
                alt: "Jars",
              },
            },
          ),
        ]),
      ),
      options,
    );
    expect(html).toContain('src="https://share.example/seed%20jars.png?x=%E2%80%9C1%E2%80%9D"');
  });
});
