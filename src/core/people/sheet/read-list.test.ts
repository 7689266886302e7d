import { describe, expect, it } from "vitest";
import { emptyPerson } from "../fields";
import { encodings, listEncodingOf } from "./decode-list";
import { readList, type ListRequest } from "./read-list";
import type { KnownPerson } from "./plan-import";

const asFound = {
  ...{ encoding: null, delimiter: null, named: null, columns: null },
  ...{ emptying: false, mended: {}, people: [], own: [], remembered: {} },
} as const satisfies Partial<ListRequest>;
const read = (source: ListRequest["source"], more: Partial<ListRequest> = {}) =>
  readList({ ...asFound, source, ...more });
const names = (source: ListRequest["source"], more?: Partial<ListRequest>) =>
  read(source, more).plan.added.map(({ person }) => person.name);
const ada: KnownPerson = {
  id: "ada",
  person: { ...emptyPerson, name: "Ada Quill", mail: "ada@x.example", phone: "+44 1632 960100" },
};

/** Two bytes a letter, as some programs write them, the low byte first. */
const wide = (text: string): Uint8Array =>
  new Uint8Array([...text].flatMap((letter) => [letter.charCodeAt(0) & 255, letter.charCodeAt(0) >> 8]));
const swapped = (bytes: Uint8Array): Uint8Array =>
  bytes.map((_byte, at) => bytes[at % 2 === 0 ? at + 1 : at - 1] ?? 0);
const utf8 = (text: string): Uint8Array => new TextEncoder().encode(text);

describe("the letters of a list", () => {
  const text = "Name;Title\nZoë Ngata;Gärtnerin\n";
  it.each([
    ["UTF-8", utf8(text), "utf-8"],
    ["UTF-8 with a mark", utf8(`\uFEFF${text}`), "utf-8"],
    ["UTF-16 with a mark", wide(`\uFEFF${text}`), "utf-16le"],
    ["UTF-16 without one", wide(text), "utf-16le"],
    ["UTF-16, big end first, with a mark", swapped(wide(`\uFEFF${text}`)), "utf-16be"],
    ["UTF-16, big end first, without one", swapped(wide(text)), "utf-16be"],
    ["an old desktop program", Uint8Array.from(text, (letter) => letter.charCodeAt(0)), "windows-1252"],
  ])("are found where they are of %s", (_what, bytes, encoding) => {
    expect(listEncodingOf(bytes)).toBe(encoding);
    expect(read(bytes).encoding).toBe(encoding);
    expect(names(bytes)).toEqual(["Zoë Ngata"]);
  });

  it("are those that somebody says, where they are others", () => {
    const cyrillic = new Uint8Array([...utf8("Name\n"), 0xce, 0xeb, 0xe5, 0xed, 0xe0]);
    expect(names(cyrillic)).toEqual(["Îëåíà"]);
    expect(names(cyrillic, { encoding: "windows-1251" })).toEqual(["Олена"]);
  });

  it("can be read in every encoding that is offered", () => {
    for (const encoding of Object.keys(encodings)) expect(() => new TextDecoder(encoding)).not.toThrow();
  });
});

describe("a list", () => {
  it("is read another way where somebody says so", () => {
    const list = "Ada Quill,ada@x.example\nBo Lind,bo@x.example";
    expect(names(list)).toEqual(["Ada Quill", "Bo Lind"]);
    expect(names(list, { named: true })).toEqual(["Bo Lind"]);
    expect(read(list, { delimiter: ";" }).table?.columns).toHaveLength(1);
    const chosen = read(list, { columns: ["title", "mail"], people: [ada] });
    expect(chosen.plan.changed.map(({ to }) => to)).toEqual([{ title: "Ada Quill" }]);
  });

  it("shows the first of what stands in each column", () => {
    const { table } = read("Name,Mail\nAda,\nBo,bo@x.example\nCy,cy@x.example\nDee,\n");
    expect(table?.samples).toEqual([
      ["Ada", "Bo", "Cy"],
      ["bo@x.example", "cy@x.example"],
    ]);
  });

  it("has mended lines in the place of theirs, and leaves out those that are emptied", () => {
    const list = "Name;Mail\nAda\nBo;bo@x.example\nCy;cy at x\n";
    expect(read(list).plan.broken.map(({ line }) => line)).toEqual([2, 4]);
    const mended = read(list, { mended: { 2: "Ada;ada@x.example", 4: "" } });
    expect(mended.plan.added.map(({ line, person }) => [line, person.name])).toEqual([
      [2, "Ada"],
      [3, "Bo"],
    ]);
    expect(mended.plan.broken).toEqual([]);
    expect(read(list, { mended: { 2: "Ada;x;y" } }).plan.broken[0]).toEqual({
      ...{ line: 2, text: "Ada;x;y" },
      reason: "It has 3 cells, and the table has 2 columns.",
    });
  });

  it("of cards is mended card by card", () => {
    const card = (name: string): string => `BEGIN:VCARD\nVERSION:4.0\nFN:${name}\nEND:VCARD\n`;
    const list = `${card("Ada")}BEGIN:VCARD\nrubbish\nEND:VCARD\n`;
    const found = read(list);
    expect(found.table).toBeNull();
    expect(found.plan.broken.map(({ line }) => line)).toEqual([5]);
    expect(names(list, { mended: { 5: card("Bo") } })).toEqual(["Ada", "Bo"]);
  });
});

describe("photographs of a list", () => {
  const card = (...lines: string[]): string =>
    ["BEGIN:VCARD", "VERSION:3.0", ...lines, "END:VCARD", ""].join("\n");
  const photo = "PHOTO;TYPE=JPEG;ENCODING=b:AAAA";

  it("are told with whose they are, of everybody who can be read", () => {
    const { photos } = read(
      [
        card("FN:Ada Quill", "EMAIL:ada@harrowfen.example", photo),
        card("FN:Bo", "PHOTO;VALUE=uri:https://harrowfen.example/bo.jpg"),
        card("FN:Cy", photo),
        card("FN:Ada again", "EMAIL:ada@harrowfen.example", photo),
        card("FN:Di"),
      ].join(""),
    );
    expect(photos).toEqual({
      held: [
        { name: "Ada Quill", mail: "ada@harrowfen.example", ending: "jpg", base64: "AAAA" },
        { name: "Cy", mail: "", ending: "jpg", base64: "AAAA" },
      ],
      elsewhere: 1,
    });
  });

  it("are those of cards that were given anew, and a table has none", () => {
    const broken = "BEGIN:VCARD\nVERSION:3.0\nEND:VCARD\n";
    const { photos } = read(broken, { mended: { 1: card("FN:Ada", photo) } });
    expect(photos.held.map(({ name }) => name)).toEqual(["Ada"]);
    expect(read("Name;Photo\nAda;AAAA").photos).toEqual({ held: [], elsewhere: 0 });
  });
});

/** Files that went wrong on their way, each with what is read of it and how many lines are told. */
describe("a broken file is read as far as it goes, and the rest is told", () => {
  it.each([
    ["nothing", "", [], 0],
    ["a mark alone", "\uFEFF", [], 0],
    ["line ends alone", "\n\r\n\r", [], 0],
    ["delimiters alone", ";;;\n;;;\n", [], 0],
    ["a header alone", "Name;Mail", [], 0],
    ["a delimiter's name alone", "sep=;\n", [], 0],
    ["one name", "Ada Quill", [], 0],
    ["a last line cut in a quote", 'Name;Mail\nAda;a@x.example\nBo;"b@x', ["Ada"], 1],
    ["a last line cut in a row", "Name;Mail\nAda;a@x.example\nBo", ["Ada"], 1],
    ["a header in an open quote", '"Name;Mail\nAda;a@x.example\nBo;b@x.example', ["Ada", "Bo"], 1],
    ["every quote doubled", 'Name;Mail\n""Ada"";a@x.example\nBo;b@x.example', ["Bo"], 1],
    ["a quote as an inch", 'Name;Title\nAda;Keeper of 12" pots\nBo;Lead', ["Ada", "Bo"], 0],
    ["cells too many", "Name;Mail\nAda;a@x.example;1;2;3\nBo;b@x.example", ["Bo"], 1],
    ["empty cells too many", "Name;Mail\nAda;a@x.example;;;\n", ["Ada"], 0],
    ["an empty line in the middle", "Name;Mail\n\nAda;a@x.example\n;\nBo;b@x.example", ["Ada", "Bo"], 0],
    [
      "line ends of two kinds",
      "Name;Mail\r\nAda;a@x.example\nBo;b@x.example\rCy;c@x.example",
      ["Ada", "Bo", "Cy"],
      0,
    ],
    ["a header that is repeated", "Name;Mail\nAda;a@x.example\nName;Mail\nBo;b@x.example", ["Ada", "Bo"], 1],
    ["somebody twice", "Name;Mail\nAda;a@x.example\nAda;a@x.example", ["Ada"], 1],
    ["no names", "Mail\na@x.example\nb@x.example", [], 2],
    ["no addresses that are any", "Name;Mail\nAda;at home\nBo;b@x.example", ["Bo"], 1],
    ["a total at its end", "Name;Mail\nAda;a@x.example\n;1 person", ["Ada"], 1],
    ["formulas", "Name;Title\n'=1+1;'@SUM(A1)\n", ["=1+1"], 0],
    ["control characters", "Name;Mail\nA\u0000da;a@x.example\nBo;b@x.example", ["Bo"], 1],
    ["lines within cells", 'Name;Address\r\nAda;"3 Sluice Lane\r\nFen"\r\nBo;"x"\r\n', ["Ada", "Bo"], 0],
    ["a line without end", `Name;Title\nAda;${"x".repeat(30_000)}\nBo;Lead`, ["Bo"], 1],
    ["a page of the web", "<!doctype html><html><body><p>Ada</p></body></html>", [], 0],
    ["a picture", "\u0089PNG\r\n\u001a\n\u0000\u0000\u0000\rIHDR", ["IHDR"], 2],
    ["a card that is cut", "BEGIN:VCARD\nVERSION:3.0\nFN:Ada", [], 1],
    ["cards one in the other", "BEGIN:VCARD\nBEGIN:VCARD\nVERSION:3.0\nFN:Ada\nEND:VCARD\n", ["Ada"], 1],
    ["cards without a person", "BEGIN:VCARD\nVERSION:4.0\nEND:VCARD\n", [], 1],
    ["cards of an old version", "BEGIN:VCARD\nVERSION:2.1\nFN:Ada\nEND:VCARD\n", [], 1],
  ])("%s", (_what, source, added, broken) => {
    const { plan } = read(source);
    expect(plan.added.map(({ person }) => person.name)).toEqual(added);
    expect(plan.broken).toHaveLength(broken);
  });
});
