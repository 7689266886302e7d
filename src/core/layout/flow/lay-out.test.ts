import { describe, expect, it } from "vitest";
import fc from "fast-check";
import { parseMessage } from "../../html";
import { textWidth } from "../../measure";
import { webSafeFont } from "../../signature";
import { layOut, type Geometry, type Page } from "./lay-out";

const page: Page = {
  width: 400,
  type: { families: ["Arial"], size: 16 },
  faceOf: (family) => webSafeFont(family)?.drawnWith ?? null,
};
const drawn = (html: string, own: Partial<Page> = {}): Geometry =>
  layOut(parseMessage(html).body, { ...page, ...own });

const rounded = (length: number): number => Math.round(length * 100) / 100;
const boxes = ({ elements }: Geometry, name: string): readonly (readonly number[])[] =>
  elements
    .filter(({ element }) => element.tagName === name)
    .map(({ left, top, width, height }) => [left, top, width, height].map(rounded));
const words = ({ words: all }: Geometry): Readonly<Record<string, readonly [number, number]>> =>
  Object.fromEntries(all.map(({ text, left, top }) => [text, [rounded(left), rounded(top)]]));
const wide = (text: string, size = 13): number =>
  textWidth(text, { face: "arimo", bold: false, italic: false, size, letterSpacing: 0 });

const table = (rows: string, width: number, style = ""): string =>
  `<table cellpadding="0" cellspacing="0" width="${width}" style="border-collapse:collapse;width:${width}px;${style}">${rows}</table>`;
const type = "font-family:Arial;font-size:13px;line-height:18px";

describe("lines", () => {
  it("are as high as they say, with the words in the middle of them", () => {
    const { height, words: all } = drawn(`<div style="${type}">Ada Quill</div>`);
    expect(height).toBe(18);
    // Arial of 13 px: 12 px above the baseline and 3 below, so that 3 are left, of which 1 is above.
    expect(all.map(({ top, height: own }) => [top, own])).toEqual([
      [1, 15],
      [1, 15],
    ]);
    expect(rounded(all[1]!.left)).toBe(rounded(wide("Ada ")));
  });

  it("wrap where there is no more room, and hang their spaces over the end", () => {
    const { height, words: all } = drawn(`<div style="${type}">Ada Quill of the store</div>`, {
      width: wide("Ada Quill") + 0.1,
    });
    expect(height).toBe(54);
    expect(all.map(({ text, top }) => [text, top])).toEqual([
      ["Ada", 1],
      ["Quill", 1],
      ["of", 19],
      ["the", 19],
      ["store", 37],
    ]);
  });

  it("break a word that has no room only where any word may be broken", () => {
    const html = `<div style="${type}">${"m".repeat(20)}</div>`;
    expect(drawn(html, { width: 60 }).words).toHaveLength(1);
    expect(drawn(html, { width: 60 }).width).toBeGreaterThan(200);
    const broken = drawn(html, { width: 60, breakWords: true });
    expect(broken.words.map(({ text }) => text).join("")).toBe("m".repeat(20));
    expect(broken.width).toBeLessThanOrEqual(60);
  });

  it("stand where they are told to, and show runs of spaces as one", () => {
    const html = (align: string): string => `<div align="${align}" style="${type}">  Ada \n  Quill </div>`;
    const free = 400 - wide("Ada Quill");
    expect(words(drawn(html("right"))).Ada?.[0]).toBe(rounded(free));
    expect(words(drawn(html("center"))).Ada?.[0]).toBe(rounded(free / 2));
    expect(words(drawn(html("left"))).Ada?.[0]).toBe(0);
  });

  it("hold pictures in the middle of their letters, and grow with those that are higher", () => {
    const html = `<div style="${type}">Ada <img width="20" height="40" style="vertical-align:middle"></div>`;
    const all = drawn(html);
    expect(all.height).toBe(40);
    expect(boxes(all, "img")).toEqual([[rounded(wide("Ada ")), 0, 20, 40]]);
    const top = drawn(html.replace("middle", "top"));
    expect([top.height, words(top).Ada?.[1]]).toEqual([40, 1]);
    const bottom = drawn(html.replace("middle", "bottom"));
    expect([bottom.height, words(bottom).Ada?.[1]]).toEqual([40, 23]);
  });

  it("are not made higher by what is raised, and end at breaks", () => {
    const html = `<div style="${type}">H<sub style="font-size:9px;line-height:0">2</sub>O<br>x</div>`;
    expect(drawn(html).height).toBe(36);
    expect(words(drawn(html)).x).toEqual([0, 19]);
  });

  it("run from right to left, with numbers that do not", () => {
    const all = words(drawn(`<div dir="rtl" style="${type}">נועם 960 ברזל</div>`));
    expect(all["נועם"]![0]).toBeGreaterThan(all["960"]![0]);
    expect(all["960"]![0]).toBeGreaterThan(all["ברזל"]![0]);
    expect(rounded(all["נועם"]![0] + wide("נועם"))).toBe(400);
  });
});

describe("tables", () => {
  it("are as wide as they say, and their cells where their columns are", () => {
    const all = drawn(
      table(
        `<tr><td width="100" style="width:100px;height:30px"></td><td width="150" style="width:150px"></td></tr>
         <tr><td></td><td style="padding:4px 6px;${type}">Ada</td></tr>`,
        250,
      ),
    );
    expect(boxes(all, "table")).toEqual([[0, 0, 250, 56]]);
    expect(boxes(all, "td")).toEqual([
      [0, 0, 100, 30],
      [100, 0, 150, 30],
      [0, 30, 100, 26],
      [100, 30, 150, 26],
    ]);
    expect(words(all).Ada).toEqual([106, 35]);
  });

  it("grow with a word that is wider than its column, and take it from the column that has room", () => {
    const wider = "m".repeat(12);
    const all = drawn(
      table(
        `<tr><td width="60" style="width:60px;${type}">${wider}</td><td width="300" style="width:300px"></td></tr>`,
        360,
      ),
    );
    const [first, second] = boxes(all, "td");
    expect(first?.[2]).toBe(rounded(wide(wider)));
    expect(second?.[2]).toBe(rounded(360 - wide(wider)));
    expect(boxes(all, "table")[0]?.[2]).toBe(360);
    const narrow = drawn(table(`<tr><td width="60" style="width:60px;${type}">${wider}</td></tr>`, 60));
    expect(boxes(narrow, "table")[0]?.[2]).toBe(rounded(wide(wider)));
  });

  it("laid out fixed stay as they are asked to be, whatever stands in them", () => {
    const all = drawn(
      table(
        `<tr><td width="60" style="width:60px;${type}">${"m".repeat(12)}</td><td></td><td></td></tr>`,
        360,
        "table-layout:fixed",
      ),
    );
    expect(boxes(all, "td").map(([, , width]) => width)).toEqual([60, 150, 150]);
  });

  it("share their borders, of which the wider counts and each cell has half", () => {
    const all = drawn(
      table(
        `<tr><td width="100" style="width:100px;border-right:2px solid #000000;height:20px"></td>
         <td width="100" style="width:100px;border-left:6px solid #000000;${type}">Ada</td></tr>`,
        206,
      ),
    );
    expect(boxes(all, "td")).toEqual([
      [0, 0, 103, 20],
      [103, 0, 103, 20],
    ]);
    expect(words(all).Ada?.[0]).toBe(106);
  });

  it("stand their cells' content at the top, in the middle or at the bottom, across rows as well", () => {
    const cell = (align: string): string => `<td valign="${align}" rowspan="2" style="${type}">${align}</td>`;
    const all = words(
      drawn(
        table(
          `<tr>${["top", "middle", "bottom"].map(cell).join("")}<td height="40"></td></tr><tr><td height="60"></td></tr>`,
          300,
        ),
      ),
    );
    expect([all.top?.[1], all.middle?.[1], all.bottom?.[1]]).toEqual([1, 42, 83]);
  });

  it("put what stands as a block where the attribute of a cell says, but not what is in it", () => {
    const inner = table(`<tr><td width="50" style="width:50px;${type}">x</td></tr>`, 50);
    const all = drawn(table(`<tr><td align="right" width="200" style="width:200px">${inner}</td></tr>`, 200));
    expect(boxes(all, "table")[1]).toEqual([150, 0, 50, 18]);
    expect(words(all).x?.[0]).toBe(150);
  });

  it("run from right to left: the first column is at the right", () => {
    const all = drawn(
      `<div dir="rtl">${table(`<tr><td width="50" style="width:50px"></td><td width="80" style="width:80px"></td></tr>`, 130)}</div>`,
    );
    expect(boxes(all, "td").map(([left]) => left)).toEqual([350, 270]);
  });
});

it("letters that no face has and what is not read of a style are told", () => {
  const all = drawn(`<div style="${type};float:left;margin:0;color:#000000">種 Ada</div>`);
  expect(all.missing).toEqual(["種"]);
  expect(all.unread).toEqual(["float:left"]);
});

it("nothing is too odd to be laid out", () => {
  const odd = fc.array(
    fc.constantFrom(
      "<table>",
      "</table>",
      "<tr>",
      "<td rowspan=0 colspan=9999 width=x>",
      "<td style='width:1e9px;border:5px'>",
      "<div dir=auto align=justify>",
      "<a dir=rtl>",
      "</a>",
      "<img align=left width=-5>",
      "<br>",
      "\u2067x",
      "ע",
      "<p style='font:12px x;line-height:-1'>",
      "<b style='font-family:valueOf;letter-spacing:-99px'>",
      " a ",
      "-",
      "</div>",
    ),
    { maxLength: 40 },
  );
  fc.assert(
    fc.property(odd, (pieces) => {
      const all = drawn(pieces.join(""));
      for (const { left, top, width, height } of [...all.elements, ...all.words])
        expect([left, top, width, height].every(Number.isFinite)).toBe(true);
    }),
  );
});
