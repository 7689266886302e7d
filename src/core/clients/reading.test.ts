import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { compile } from "../compile";
import { readPerson } from "../people";
import { parseSignature } from "../signature";
import { notification, picturesBlocked, readAloud } from "./index";

const json = (file: string): unknown => JSON.parse(readFileSync(file, "utf8"));
const full = compile(parseSignature(json("demo/signatures/full.json")), {
  destination: "webmail-paste",
  person: readPerson(json("demo/people/tamsin-okafor.json")),
  base: "https://pictures.harrowfen.example",
});

describe("a signature that is read aloud", () => {
  it("says its text, links and pictures in order, and nothing of its tables", () => {
    const said = readAloud(full).map(({ kind, text }) => `${kind}: ${text}`);
    expect(said[0]).toBe("picture: Tamsin Okafor among seedlings");
    expect(said[1]).toMatch(/^text: Tamsin Okafor/);
    expect(said).toContain("link: Harrow Fen on Plotline");
    expect(said.at(-1)).toBe("link: Open Store Weekend, 12 and 13 June");
  });

  it.each([
    ['<img src="/h/x/photo-1.png">', [{ kind: "picture", text: "photo-1.png", unnamed: true }]],
    ['<img src="x.png" alt="">', []],
    [
      '<a href="https://a.example"><img src="x.png" alt=""></a>',
      [{ kind: "link", text: "https://a.example", unnamed: true }],
    ],
    [
      "<p>One <b>two</b>\n three</p>four",
      [
        { kind: "text", text: "One two three", unnamed: false },
        { kind: "text", text: "four", unnamed: false },
      ],
    ],
    ["<span>·</span>", []],
    ["", []],
  ])("%s", (html, said) => expect(readAloud(html)).toEqual(said));
});

describe("a signature whose pictures are blocked", () => {
  it("has a box of each picture's size with its alt text, and no picture", () => {
    const html = picturesBlocked(full);
    expect(html).not.toContain("<img");
    expect(html.match(/<span style="display:inline-block/g)).toHaveLength(full.match(/<img/g)!.length);
    expect(html).toContain(">Tamsin Okafor among seedlings</span>");
    expect(html).toMatch(/width:24px;height:24px[^>]*>Harrow Fen on Plotline</);
  });

  it("escapes what an alt text holds", () => {
    expect(picturesBlocked('<img src="x" width="9" height="9" alt="&lt;script&gt;">')).toContain(
      "&lt;script&gt;",
    );
  });
});

describe("what a notification shows", () => {
  it("is the beginning in one line, as many letters as people count", () => {
    expect(notification("Ada Quill\n\nCold  Store\n")).toBe("Ada Quill Cold Store");
    const family = "👩‍👧";
    expect(notification(`${family.repeat(119)}ab`)).toBe(`${family.repeat(119)}a…`);
    expect(notification("x".repeat(120))).toBe("x".repeat(120));
    expect(notification("")).toBe("");
  });
});
