import { readdirSync } from "node:fs";
import fc from "fast-check";
import type { Node } from "prosemirror-model";
import { describe, expect, it } from "vitest";
import { anyDocument } from "../../../tests/any-document";
import { compile } from "../compile";
import { emptyPerson } from "../people";
import { personField, readSignature, settingsOf } from "../signature";
import { base, changedOnce, demoDocument, opened, tamsin } from "../../../tests/opened-sources";
import { formatSource, openSource, placeAtOffset, placeAtPosition, readSource } from "./index";

const names = readdirSync("demo/signatures").map((file) => file.replace(".json", ""));

const fieldsIn = (document: Node): readonly string[] => {
  const found: string[] = [];
  document.descendants((node) => {
    if (personField.is(node)) found.push(personField.of(node).field);
  });
  return found;
};

const nodesOf = (document: Node, type: string): readonly Node[] => {
  const found: Node[] = [];
  document.descendants((node) => void (node.type.name === type && found.push(node)));
  return found;
};

/** Where the line that shows a text stands. */
function lineWith(document: Node, name: string): Node {
  const line = nodesOf(document, "line").find((node) => fieldsIn(node).includes(name));
  if (!line) throw new Error(`No line with ${name}`);
  return line;
}

describe("the layout of a source", () => {
  it("puts blocks and pictures that stand alone on lines of their own, and keeps text with its marks together", () => {
    expect(
      formatSource(
        '<table><tr><td><a href="#"><img src="a" style="display:block"></a></td><td>One <b>two</b><br>three</td></tr></table>',
      ),
    ).toBe(
      [
        "<table>",
        "  <tr>",
        "    <td>",
        '      <a href="#">',
        '        <img src="a" style="display:block">',
        "      </a>",
        "    </td>",
        "    <td>",
        "      One <b>two</b><br>",
        "      three",
        "    </td>",
        "  </tr>",
        "</table>",
        "",
      ].join("\n"),
    );
  });

  it("leaves text whose line ends count as it is", () => {
    expect(formatSource("<div><pre>a\n  b</pre></div>")).toBe("<div>\n  <pre>a\n  b</pre>\n</div>\n");
  });

  it("changes nothing when it is laid out again, whatever it is", () => {
    fc.assert(
      fc.property(anyDocument, (document) => {
        const text = formatSource(compile(document, { destination: "html-file", person: tamsin, base }));
        expect(formatSource(text)).toBe(text);
      }),
      { numRuns: 60 },
    );
    fc.assert(
      fc.property(fc.string(), (text) => {
        expect(() => formatSource(text)).not.toThrow();
      }),
    );
  });
});

describe("a source that is not changed", () => {
  it.each(names)("is the very document of the demo's %s, whoever is drawn", (name) => {
    for (const person of [tamsin, emptyPerson, null]) {
      const source = opened(name, person);
      expect(readSource(source, source.text).document).toBe(source.document);
    }
  });

  it("is any document", () => {
    fc.assert(
      fc.property(anyDocument, (document) => {
        const source = openSource(document, { person: tamsin, base });
        expect(readSource(source, source.text).document).toBe(document);
      }),
      { numRuns: 100 },
    );
  });
});

describe("a changed source", () => {
  it("keeps fields whose look is changed", () => {
    const source = opened();
    const document = changedOnce(source, '<b style="color:#3F5B2E">', '<b style="color:#AA3311">');
    expect(fieldsIn(document)).toEqual(fieldsIn(source.document));
    const name = lineWith(document, "name").firstChild;
    expect(name?.marks.find(({ type }) => type.name === "color")?.attrs).toEqual({ color: "#AA3311" });
    expect(name && personField.of(name).fallback).toBe("Harrow Fen Seed Library");
  });

  it("keeps a line with what is typed beside its field, and makes words of a field that is typed over", () => {
    const source = opened();
    const beside = changedOnce(source, "Tamsin Okafor</b>", "Dr Tamsin Okafor</b>");
    expect(lineWith(beside, "name").textContent).toBe("Dr ");
    const over = changedOnce(source, "Tamsin Okafor</b>", "Tamsin Oka</b>");
    expect(fieldsIn(over)).toEqual(fieldsIn(source.document).filter((field) => field !== "name"));
  });

  it("gives a field back that is typed over and typed again", () => {
    const source = opened();
    expect(changedOnce(source, "Tamsin Okafor</b>", "Tamsin Okafor</b>").eq(source.document)).toBe(true);
  });

  it("keeps lines that show nothing for this person, beside those that are changed", () => {
    const source = opened("full", null);
    expect(source.text).not.toContain("Germination");
    const document = changedOnce(source, "color:#C08A2B", "color:#112233");
    expect(fieldsIn(document)).toEqual(fieldsIn(source.document));
  });

  it("gives a copied line the fields of what it is a copy of", () => {
    const source = opened();
    const line = /<div style="font-size:16px[^]*?<\/div>/.exec(source.text)?.[0] ?? "";
    const document = changedOnce(source, line, `${line}${line}`);
    expect(fieldsIn(document).filter((field) => field === "name")).toHaveLength(2);
  });

  it("adds a row, takes one out, and is the document again when both are taken back", () => {
    const source = opened();
    const row = /<tr>\s*<td colspan="2"[^]*<\/tr>/.exec(source.text)?.[0] ?? "";
    const more = changedOnce(source, row, `${row}${row}`);
    expect(more.firstChild?.childCount).toBe(3);
    expect(readSignature(more.toJSON()).ok).toBe(true);
    expect(changedOnce(source, row, "").firstChild?.childCount).toBe(1);
  });

  it("sets the signature's font where all of its text is set in another one, and a line's where one is", () => {
    const source = opened("short");
    const all = readSource(source, source.text.replaceAll("Arial,Helvetica", "Georgia")).document;
    expect(settingsOf(all).font).not.toBe(settingsOf(source.document).font);
    expect(
      nodesOf(all, "line").every((line) =>
        line.children.every(({ marks }) => marks.every(({ type }) => type.name !== "font")),
      ),
    ).toBe(true);
    const one = changedOnce(
      opened(),
      '<b style="color:#3F5B2E">',
      '<b style="font-family:Georgia,serif;color:#3F5B2E">',
    );
    expect(settingsOf(one)).toEqual(settingsOf(demoDocument("full")));
    expect(lineWith(one, "name").firstChild?.marks.some(({ type }) => type.name === "font")).toBe(true);
  });

  it("says what the document cannot hold, where it stands", () => {
    const source = opened();
    const text = source.text.replace('<b style="', '<b style="box-shadow:0 0 2px #000000;');
    const { notes } = readSource(source, text);
    const shadow = notes.find(({ what }) => what.includes("box-shadow"));
    expect(shadow?.outcome).toBe("lost");
    expect(text.slice(shadow?.extent?.from, shadow?.extent?.to)).toMatch(/^<b style/);
  });

  it("is a valid document whatever one colour, word or measure of any document becomes", () => {
    fc.assert(
      fc.property(
        anyDocument,
        fc.nat(),
        fc.constantFrom("#123456", "12", "Wren", "<td></td>", "</tr><tr>"),
        (document, seed, put) => {
          const source = openSource(document, { person: tamsin, base });
          const places = [...source.text.matchAll(/#[0-9A-F]{6}|\d+|\p{L}{3,}/gu)];
          const place = places[seed % Math.max(1, places.length)];
          if (!place) return;
          const text =
            source.text.slice(0, place.index) + put + source.text.slice(place.index + place[0].length);
          expect(readSignature(readSource(source, text).document.toJSON())).toMatchObject({ ok: true });
        },
      ),
      { numRuns: 80 },
    );
  });
});

describe("places of a source", () => {
  it("are those of the document: each part is found by its element, and each element by its part", () => {
    const source = opened();
    const { document, places } = readSource(source, source.text);
    const icon = source.text.indexOf('<img src="https://pictures.example/h/d17cdaeb5c8225a9c356');
    const place = placeAtOffset(places, icon + 3);
    expect(place && document.nodeAt(place.position)?.attrs.alt).toBe("Harrow Fen on Hedgepost");
    if (!place) return;
    expect(placeAtPosition(places, document, place.position, place.position + 1)).toEqual(place);
    expect(source.text.slice(place.from, place.to)).toMatch(/^<img src="[^"]*hedgepost\.png"/);
  });

  it("are known of every row, cell, line, picture and icon of the demo's full signature", () => {
    const source = opened();
    const { document, places } = readSource(source, source.text);
    const known = new Set(places.map(({ position }) => position));
    const unknown: string[] = [];
    document.descendants((node, position) => {
      const inText = node.isText || ["personField", "separator"].includes(node.type.name);
      if (!inText && !known.has(position)) unknown.push(node.type.name);
    });
    expect(unknown).toEqual([]);
  });
});
