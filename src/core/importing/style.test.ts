/** How elements of foreign HTML look: the cascade, inheritance, units and shorthands, held by what a document comes to. */
import type { Node } from "prosemirror-model";
import { describe, expect, it } from "vitest";
import { cell, signatureSettings } from "../signature";
import { importHtml } from "./index";

const notesOf = (html: string): readonly string[] =>
  importHtml(html).notes.map(({ outcome, what }) => `${outcome}: ${what}`);

/** The marks of the text “x”, on paper where everything else is 13 px Arial in #333333. */
function looksOf(html: string): Readonly<Record<string, unknown>> {
  const plain = `<p style="font:13px Arial;color:#333333">${"plain words ".repeat(20)}</p>`.repeat(3);
  const { document } = importHtml(`${html}${plain}`);
  const marks: Record<string, unknown> = {};
  document.descendants((node) => {
    if (node.text !== "x") return;
    for (const mark of node.marks) marks[mark.type.name] = Object.values(mark.attrs)[0] ?? true;
  });
  return marks;
}

const firstCell = (html: string): ReturnType<typeof cell.of> => {
  const found: Node[] = [];
  importHtml(html).document.descendants((node) => void (node.type.name === "cell" && found.push(node)));
  const [first] = found;
  if (!first) throw new Error("A document has a cell");
  return cell.of(first);
};

const base = "font-family:Arial;font-size:13px;color:#333333";

describe("the cascade", () => {
  it.each([
    ["a later rule wins over an earlier one", "b{color:#111111}b{color:#222222}", "<b>x</b>", "#222222"],
    [
      "a class wins over an element, whatever their order",
      ".a{color:#111111}b{color:#222222}",
      '<b class="a">x</b>',
      "#111111",
    ],
    [
      "an id wins over classes",
      "#i{color:#111111}.a.b{color:#222222}",
      '<b id="i" class="a b">x</b>',
      "#111111",
    ],
    [
      "the element's own style wins over rules",
      "b{color:#111111}",
      '<b style="color:#222222">x</b>',
      "#222222",
    ],
    [
      "an important rule wins over a style",
      "b{color:#111111!important}",
      '<b style="color:#222222">x</b>',
      "#111111",
    ],
    ["attributes lose to any rule", "font{color:#111111}", '<font color="#222222">x</font>', "#111111"],
    [
      "children and descendants are told apart",
      "div>b{color:#111111}div b{color:#222222}p>b{color:#444444}",
      "<div><i><b>x</b></i></div>",
      "#222222",
    ],
    [
      "neighbours match",
      "i+b{color:#111111}i~b{color:#222222}u+b{color:#444444}",
      "<i>a</i><b>x</b>",
      "#222222",
    ],
    [
      "attributes of elements match",
      "[title^=se]{color:#111111}[title$=q]{color:#222222}",
      '<b title="seed">x</b>',
      "#111111",
    ],
    [
      "the first and the last child match",
      "b:first-child{color:#111111}b:last-child{color:#222222}",
      "<p><i>a</i><b>x</b></p>",
      "#222222",
    ],
    ["rules for screens hold", "@media screen{b{color:#111111}}", "<b>x</b>", "#111111"],
    ["rules for paper do not", "@media print{b{color:#111111}}b{color:#222222}", "<b>x</b>", "#222222"],
  ])("%s", (_what, sheet, html, color) => {
    expect(looksOf(`<style>${sheet}</style><div style="${base}">${html}</div>`).color).toBe(color);
  });

  it("tells of what depends on a pointer, a width or a font of one's own", () => {
    const sheet =
      "a:hover{color:red}@media (max-width:9px){b{color:red}}@font-face{font-family:Fen;src:url(x)}@import 'x.css'";
    expect(notesOf(`<style>${sheet}</style><p>x</p>`)).toEqual([
      "lost: a:hover",
      "lost: @media (max-width:9px)",
      "lost: @font-face Fen",
      'lost: @import "x.css"',
    ]);
  });
});

describe("type", () => {
  it.each([
    ["12pt", 16],
    ["1.5em", 19.5],
    ["150%", 19.5],
    ["2rem", 32],
    ["0.25in", 24],
    ["large", 18],
    ["smaller", 10.83],
  ])("of %s is so many px", (size, px) => {
    expect(looksOf(`<div style="${base}"><span style="font-size:${size}">x</span></div>`).size).toBe(px);
  });

  it("decides how long an em is, wherever its size is said", () => {
    const cellOf = (style: string) =>
      firstCell(`<table cellspacing="0"><tr><td style="${style}">A</td><td>B</td></tr></table>`);
    expect(cellOf("padding:1em;font-size:20px").padding.top).toBe(20);
    expect(cellOf("border:1px solid;color:#C08A2B").border.top).toMatchObject({ color: "#C08A2B" });
    expect(notesOf('<ul style="list-style:none"><li>A</li></ul>')).toEqual([]);
    expect(notesOf("<style>.plain{list-style-type:none}</style><ul class=plain><li>A</li></ul>")).toEqual([]);
    expect(notesOf('<p style="text-transform:capitalize;justify-content:center">A</p>')).toEqual([
      "lost: text-transform: capitalize",
      "lost: justify-content: center",
    ]);
  });

  it("is read from the shorthand, and inherited", () => {
    const looks = looksOf(
      `<div style="font:italic bold 20px/1.5 Georgia,serif;color:hsl(96 36% 27%)"><i><span>x</span></i></div>`,
    );
    expect(looks).toMatchObject({ font: "Georgia", size: 20, bold: true, italic: true, color: "#405E2C" });
  });

  it("of families that recipients lack is that of the next one that they have, and told", () => {
    const html = `<p style="font-family:'Fenland Sans',Verdana,sans-serif">x</p>`;
    expect(signatureSettings.of(importHtml(html).document).font).toBe("Verdana");
    expect(notesOf(html)).toEqual(["changed: Fenland Sans"]);
  });

  it("under a line stays underlined whatever is within, and links say their own", () => {
    expect(
      looksOf(`<div style="${base}"><u><span style="text-decoration:none">x</span></u></div>`),
    ).toMatchObject({ underline: true });
    expect(
      looksOf(
        `<div style="${base}"><a href="https://a.example" style="color:#C08A2B;text-decoration:none">x</a></div>`,
      ),
    ).toMatchObject({ link: "https://a.example" });
  });
});

describe("cells", () => {
  const table = (attributes: string, td: string, sheet = ""): ReturnType<typeof cell.of> =>
    firstCell(`<style>${sheet}</style><table ${attributes}><tr><td ${td}>A</td><td>B</td></tr></table>`);

  it("have 1 px of padding unless their table or they say another", () => {
    expect(table('cellspacing="0"', "").padding).toEqual({ top: 1, right: 1, bottom: 1, left: 1 });
    expect(table('cellspacing="0" cellpadding="5"', "").padding.top).toBe(5);
    expect(table('cellspacing="0" cellpadding="5"', 'style="padding:1px 2px 3px"').padding).toEqual({
      top: 1,
      right: 2,
      bottom: 3,
      left: 2,
    });
    expect(table('cellspacing="0"', 'style="padding-inline:4px;padding-block-end:6px"').padding).toEqual({
      top: 1,
      right: 4,
      bottom: 6,
      left: 4,
    });
  });

  it("have borders per side, in whatever way they are said", () => {
    const line = { width: 2, style: "solid", color: "#C08A2B" };
    const { border } = table(
      'cellspacing="0"',
      'style="border-left:2px solid #C08A2B;border-bottom-style:dashed;border-bottom-color:#C08A2B;border-bottom-width:thin"',
    );
    expect(border).toEqual({
      top: null,
      right: null,
      bottom: { width: 1, style: "dashed", color: "#C08A2B" },
      left: line,
    });
    expect(table('cellspacing="0"', "", "td{border:2px solid #C08A2B;border-right:0}").border).toEqual({
      top: line,
      right: null,
      bottom: line,
      left: line,
    });
    expect(table('border="1" cellspacing="0"', "").border.top).toEqual({
      width: 1,
      style: "solid",
      color: "#808080",
    });
  });

  it("have the ground of their row, or of their table, and a colour of some opacity upon white", () => {
    expect(
      firstCell('<table cellspacing="0" bgcolor="3F5B2E"><tr bgcolor="#F3EFE4"><td>A<td>B</table>')
        .background,
    ).toBe("#F3EFE4");
    expect(firstCell('<table cellspacing="0" bgcolor="3F5B2E"><tr><td>A<td>B</table>').background).toBe(
      "#3F5B2E",
    );
    expect(table('cellspacing="0"', 'style="background:rgba(0,0,0,.5)"').background).toBe("#808080");
  });

  it("are brought within what a document holds, and that is told", () => {
    const html =
      '<table cellspacing="0"><tr><td style="padding:300px;border:12px solid #C08A2B;font-size:90px">A</td><td>B</td></tr></table>';
    expect(firstCell(html)).toMatchObject({ padding: { top: 200 }, border: { top: { width: 8 } } });
    expect([...new Set(notesOf(html))]).toEqual([
      "changed: padding of 300px",
      "changed: a border of 12px",
      "changed: type of 90px",
    ]);
  });

  it("stand at the top, the middle or the bottom, as a row says for all of its cells", () => {
    expect(firstCell('<table><tr valign="bottom"><td>A<td>B</table>').verticalAlign).toBe("bottom");
    expect(table("", 'valign="top"').verticalAlign).toBe("top");
    expect(table("", "").verticalAlign).toBe("middle");
  });
});
