import type { Node } from "prosemirror-model";
import { describe, expect, it } from "vitest";
import { compile } from "../compile";
import { build } from "./builder";
import { hasShortForm, shortForm } from "./short-form";
import { starterPatterns } from "./patterns/starter-patterns";
import { tableMap } from "./table-map";
import { readSignature } from "./validate";

const { cell, line, row, signature, table, text } = build;

const without = (node: Node): Node =>
  node.type.create({ ...node.attrs, inShortForm: false }, node.content, node.marks);
const words = (value: string): Node => line(text(value));
const plain = (document: Node): string =>
  compile(document, { destination: "plain-text", person: null, base: "https://p.example" });

describe("the short form", () => {
  it("is the very document where nothing is left out", () => {
    const { document } = starterPatterns[0]!;
    expect(shortForm(document)).toBe(document);
    expect(hasShortForm(document)).toBe(false);
  });

  it("has no part and no row that is marked, and follows the full form", () => {
    const full = (name: string): Node =>
      signature(
        {},
        table(
          row(cell({ width: [200] }, words(name), without(words("Address")))),
          without(row(cell({ width: [200] }, words("Banner")))),
        ),
      );
    expect(plain(full("Ada"))).toBe("Ada\nAddress\nBanner\n");
    expect(plain(shortForm(full("Ada")))).toBe("Ada\n");
    expect(plain(shortForm(full("Tamsin")))).toBe("Tamsin\n");
    expect(hasShortForm(full("Ada"))).toBe(true);
  });

  it("has no column that is empty only because its parts are left out", () => {
    const document = signature(
      {},
      table(
        row(
          cell({ width: [110] }, without(words("Photo"))),
          cell({ width: [300] }, words("Ada")),
          cell({ width: [9] }, line()),
        ),
        row(cell({ width: [110, 300, 9] }, words("Small print"))),
      ),
    );
    const short = shortForm(document);
    expect(tableMap(short.firstChild!).columnWidths).toEqual([300, 9]);
    expect(readSignature(short.toJSON()).ok).toBe(true);
    expect(plain(short)).toBe("Ada\nSmall print\n");
  });

  it("keeps the frame whole where what stood at an edge is left out, and has no row that this leaves empty", () => {
    const frame = { width: 2, style: "solid", color: "#3F5B2E" } as const;
    const framed = (side: "top" | "bottom", px: number, word: string): Node =>
      row(
        cell(
          {
            width: [200],
            padding: { [side]: px, left: 10 },
            border: { [side]: frame, left: frame, right: frame },
          },
          words(word),
        ),
      );
    const document = signature({}, table(framed("top", 12, "Ada"), without(framed("bottom", 14, "Banner"))));
    const short = shortForm(document).firstChild!;
    expect(short.childCount).toBe(1);
    expect(short.firstChild!.firstChild!.attrs).toMatchObject({
      padding: { top: 12, right: 0, bottom: 14, left: 10 },
      border: { top: frame, right: frame, bottom: frame, left: frame },
    });
    const parts = signature(
      {},
      table(
        row(cell({ width: [200] }, words("Ada"))),
        row(cell({ width: [200], border: { bottom: frame } }, without(words("Small print")))),
      ),
    );
    const left = shortForm(parts).firstChild!;
    expect(left.childCount).toBe(1);
    expect(left.firstChild!.firstChild!.attrs.border).toMatchObject({ bottom: frame });
  });

  it("keeps cells that reach over rows which are left out", () => {
    const tall = cell({ width: [100] }, words("Logo"));
    const spanning = tall.type.create({ ...tall.attrs, rowspan: 3 }, tall.content);
    const side = (value: string): Node => row(cell({ width: [100] }, words(value)));
    const document = signature(
      {},
      table(row(spanning, cell({ width: [100] }, words("A"))), without(side("B")), side("C")),
    );
    expect(plain(shortForm(document))).toBe("Logo\nA\nC\n");
    const firstGone = signature(
      {},
      table(without(row(spanning, cell({ width: [100] }, words("A")))), side("B"), without(side("C"))),
    );
    expect(plain(shortForm(firstGone))).toBe("Logo\nB\n");
    expect(tableMap(shortForm(firstGone).firstChild!).problems).toEqual([]);
  });

  it("leaves out nested tables whose rows are all left out", () => {
    const nested = table(without(row(cell({ width: [50] }, words("In")))));
    const document = signature({}, table(row(cell({ width: [100] }, words("Ada"), nested))));
    expect(plain(shortForm(document))).toBe("Ada\n");
  });

  it("is one empty cell when everything is left out", () => {
    const document = signature(
      {},
      table(without(row(cell({ width: [60] }, words("Ada")), cell({ width: [40] }, line())))),
    );
    expect(tableMap(shortForm(document).firstChild!).columnWidths).toEqual([100]);
    expect(plain(shortForm(document))).toBe("");
  });
});

describe("the starter patterns", () => {
  it.each(starterPatterns.map((pattern) => [pattern.name, pattern] as const))(
    "%s is a valid document",
    (_name, { document }) => {
      expect(readSignature(document.toJSON())).toMatchObject({ ok: true });
    },
  );

  it("are each a different layout under a name and an id of their own", () => {
    expect(starterPatterns.length).toBeGreaterThanOrEqual(10);
    const html = starterPatterns.map(({ document }) =>
      compile(document, { destination: "webmail-paste", person: null, base: "https://p.example" }),
    );
    for (const each of [html, starterPatterns.map(({ id }) => id), starterPatterns.map(({ name }) => name)])
      expect(new Set(each).size).toBe(starterPatterns.length);
  });
});
