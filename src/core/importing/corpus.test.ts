/** Inputs of many origins: nothing in them is lost unsaid, and they come to the texts, links, pictures and tables that they show. */
import { readdirSync, readFileSync } from "node:fs";
import type { Node } from "prosemirror-model";
import { describe, expect, it } from "vitest";
import { hrefOf, image, picturesOf, readSignature, tableMap } from "../signature";
import { compile } from "../compile";
import { unaccounted } from "../../../tests/corpus/unaccounted";
import { importHtml, readImportFile, withUnsaid } from "./index";

const folder = "tests/corpus";
const files = readdirSync(folder).filter((name) => /^\d/.test(name));
const expected = JSON.parse(readFileSync(`${folder}/expected.json`, "utf8")) as Readonly<
  Record<string, unknown>
>;

/** Tables by their rows and columns, parts of cells by their kinds: `2×3[line, picture | …]`. */
function shapeOf(table: Node): string {
  const { rows, columns, places } = tableMap(table);
  const cells = places.map(({ node }) =>
    node.children.map((part) => (part.type.name === "table" ? shapeOf(part) : part.type.name)).join(" "),
  );
  return `${rows}×${columns}[${cells.join(" | ")}]`;
}

function summaryOf(document: Node): unknown {
  const links: string[] = [];
  const texts: string[] = [];
  document.descendants((node) => {
    const href = hrefOf(node);
    if (href !== null && links.at(-1) !== href) links.push(href);
    if (node.isTextblock && node.textContent) texts.push(node.textContent.replaceAll("\u00a0", " "));
  });
  return {
    shape: document.firstChild && shapeOf(document.firstChild),
    texts,
    links,
    pictures: picturesOf(document).map(({ node }) => {
      const { source, width, height } = image.of(node);
      return `${source || "(place)"} ${width}×${height}`;
    }),
  };
}

describe("a corpus of inputs", () => {
  it("is of at least forty origins, each with what is expected of it", () => {
    expect(files.length).toBeGreaterThanOrEqual(40);
    expect(Object.keys(expected)).toEqual(files);
  });

  it.each(files)("%s", async (file) => {
    const { html } = await readImportFile(file, readFileSync(`${folder}/${file}`));
    const imported = importHtml(html);
    const { document } = imported;
    expect(readSignature(document.toJSON())).toMatchObject({ ok: true });
    expect(summaryOf(document)).toEqual(expected[file]);
    expect(unaccounted(html, imported)).toEqual({ words: [], links: [], pictures: [] });
    const compiled = compile(document, {
      destination: "webmail-paste",
      person: null,
      base: "https://pictures.example",
    });
    expect(importHtml(withUnsaid(compiled, document)).document.toJSON()).toEqual(document.toJSON());
  });
});
