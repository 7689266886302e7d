import { readdirSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { compile } from "../compile";
import { readPerson } from "../people";
import { parseSignature } from "../signature";
import { richText } from "./rich-text";

const person = readPerson(JSON.parse(readFileSync("demo/people/tamsin-okafor.json", "utf8")));
const base = "https://pictures.harrowfen.example";

/** What stands between the head and the end. */
const body = (html: string, pictures?: Parameters<typeof richText>[1]): string =>
  /\}\r\n([^]*)\\pard\\par\}\r\n$/.exec(richText(html, pictures))?.[1] ?? "";

/** The words of rich text, read by its grammar: groups that are not shown left out, control words taken off. */
function wordsOf(rich: string): string {
  let words = "";
  let depth = 0;
  let hidden = 0;
  for (const [token] of rich.matchAll(
    /\{\\\*|\{\\(?:fonttbl|colortbl|pict)|[{}]|\\u-?\d+\?|\\[a-z]+-?\d* ?|\\[^a-z]|[^\\{}]/g,
  )) {
    if (token.startsWith("{")) {
      depth += 1;
      if (token.length > 1 && hidden === 0) hidden = depth;
    } else if (token === "}") {
      if (hidden === depth) hidden = 0;
      depth -= 1;
    } else if (hidden === 0) {
      if (/^\\u-?\d/.test(token)) words += String.fromCharCode((Number(token.slice(2, -1)) + 65536) % 65536);
      else if (/^\\(?:cell|par|line|row)\b/.test(token)) words += " ";
      else if (token === "\\~") words += " ";
      else if (/^\\[\\{}]/.test(token)) words += token.charAt(1);
      else if (!token.startsWith("\\") && !/[\r\n]/.test(token)) words += token;
    }
  }
  expect(depth).toBe(0);
  return words.replace(/\s+/g, " ").trim();
}

describe("rich text", () => {
  it("has lines with their type, their colours and what leads somewhere", () => {
    const html =
      '<div style="font-family:Georgia,serif;font-size:14px;color:#0A141E;text-align:center">A <b>b</b> ' +
      '<a href="mailto:wren@harrowfen.example" style="color:#3F5B2E">c</a></div>';
    expect(richText(html)).toContain(
      "{\\fonttbl{\\f0 Georgia;}}{\\colortbl;\\red10\\green20\\blue30;\\red63\\green91\\blue46;}",
    );
    // 14 px are 10.5 pt, which is 21 half points.
    expect(body(html)).toBe(
      "\\pard\\sb0\\sa0\\qc {\\f0\\fs21\\cf1 A }{\\f0\\fs21\\cf1\\b b}{\\f0\\fs21\\cf1  }" +
        '{\\field{\\*\\fldinst HYPERLINK "mailto:wren@harrowfen.example"}{\\fldrslt {\\f0\\fs21\\cf2 c}}}\\par\r\n',
    );
  });

  it("escapes what it is written with, and has all other letters by their numbers", () => {
    expect(body("<div>a\\b{c}</div>")).toContain("a\\\\b\\{c\\}");
    expect(body("<div>Søren 佐&#xFFFD;</div>")).toContain("S\\u248?ren \\u20304?\\u-3?");
  });

  it("has rows of cells with their edges, their padding, and cells over several rows", () => {
    const html =
      '<table width="300"><tr><td rowspan="2" width="100" valign="middle" style="border-right:2px solid #C08A2B;padding:0 10px 0 4px">A</td>' +
      '<td width="200" style="background-color:#F3EFE4">B</td></tr><tr><td width="200">C</td></tr></table>';
    const [first = "", second = ""] = body(html).split("\\row\r\n");
    expect(first).toContain("\\clvmgf\\clvertalc\\clbrdrr\\brdrs\\brdrw30\\brdrcf");
    expect(first).toMatch(/\\cellx1500\\clvertalt\\clcbpat\d+\\cellx4500/);
    expect(first).toContain("\\intbl\\li60\\ri150");
    expect(second).toMatch(/^\\trowd.*\\clvmrg\\clvertalc.*\\cellx1500\\clvertalt\\cellx4500/);
    expect(first.match(/\\cell(?!x)/g)).toHaveLength(2);
    expect(second.match(/\\cell(?!x)/g)).toHaveLength(2);
  });

  it("has pictures that are given at their size, and the words of others", () => {
    const html = '<div><img src="https://p.example/a.png" width="20" height="10" alt="Reeds"></div>';
    const given = new Map([
      ["https://p.example/a.png", { type: "image/png", bytes: Uint8Array.from([1, 171]) }],
    ]);
    expect(body(html, given)).toContain("{\\pict\\pngblip\\picwgoal300\\pichgoal150 01ab}");
    expect(body(html)).toContain("Reeds}");
    const loop = new Map([["https://p.example/a.png", { type: "image/gif", bytes: Uint8Array.from([1]) }]]);
    expect(body(html, loop)).toContain("Reeds}");
  });

  it("has icons beside each other, each with its link, and a cell over all columns as wide as the table", () => {
    const icon = (name: string): string =>
      `<td><a href="https://${name}.example"><img src="${name}" alt="${name}" style="display:block"></a></td>`;
    const html =
      '<table width="300"><tr><td width="100">A</td><td width="200">B</td></tr>' +
      `<tr><td colspan="2"><table><tr>${icon("one")}${icon("two")}</tr></table></td></tr></table>`;
    const [, second = ""] = body(html).split("\\row\r\n");
    expect(second).toContain("\\cellx4500");
    expect(second.match(/\\pard/g)).toHaveLength(1);
    expect(second).toMatch(/HYPERLINK "https:\/\/one\.example".*\\~.*HYPERLINK "https:\/\/two\.example"/);
  });

  it.each(readdirSync("demo/signatures"))("of %s has every word of it, in rows that are whole", (file) => {
    const document = parseSignature(JSON.parse(readFileSync(`demo/signatures/${file}`, "utf8")));
    const html = compile(document, { destination: "message", person, base });
    const rich = richText(html);
    expect(rich).toMatch(/^[\x00-\x7f]*$/);
    const words = wordsOf(rich);
    for (const word of compile(document, { destination: "plain-text", person, base }).split(/\s+/))
      if (/^[\p{L}\d]{2,}$/u.test(word)) expect(words.toLowerCase()).toContain(word.toLowerCase());
    for (const row of rich.split("\\row").slice(0, -1))
      expect(row.match(/\\cell(?!x)/g)?.length).toBe(row.match(/\\cellx/g)?.length);
  });
});
