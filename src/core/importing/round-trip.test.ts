/** What Still Line compiled comes back equal, and what comes back from each stand-in is the same but for what that drops. */
import { readdirSync, readFileSync } from "node:fs";
import fc from "fast-check";
import type { Node } from "prosemirror-model";
import { describe, expect, it } from "vitest";
import { received, standInIds } from "../clients";
import { compile } from "../compile";
import { emptyPerson, readPerson, type Person } from "../people";
import { parseSignature, readSignature, type DestinationId } from "../signature";
import { anyDocument } from "../../../tests/any-document";
import { importHtml, withUnsaid } from "./index";

const htmlDestinations: readonly DestinationId[] = [
  "webmail-paste",
  "document-file",
  "browser-archive",
  "html-file",
  "message",
];
const ada = readPerson(JSON.parse(readFileSync("demo/people/ada-quill.json", "utf8")));
const base = "https://pictures.example";

const sent = (document: Node, destination: DestinationId, person: Person | null): string =>
  withUnsaid(compile(document, { destination, person, base }), document);

const demo = readdirSync("demo/signatures").map(
  (name) => [name, parseSignature(JSON.parse(readFileSync(`demo/signatures/${name}`, "utf8")))] as const,
);

describe("what Still Line compiled", () => {
  it.each(demo)("of the demo's %s comes back equal, for every destination and person", (_name, document) => {
    for (const destination of htmlDestinations)
      for (const person of [null, ada, emptyPerson])
        expect(importHtml(sent(document, destination, person)).document.toJSON()).toEqual(document.toJSON());
  });

  it("comes back equal for any document", () => {
    fc.assert(
      fc.property(
        anyDocument,
        fc.constantFrom(...htmlDestinations),
        fc.constantFrom(null, ada),
        (document, destination, person) => {
          expect(readSignature(document.toJSON())).toMatchObject({ ok: true });
          expect(importHtml(sent(document, destination, person)).document.toJSON()).toEqual(
            document.toJSON(),
          );
        },
      ),
      { numRuns: 200 },
    );
  });

  it("says little beside its HTML: the demo's full signature stays under 6,000 characters", () => {
    const full = demo.find(([name]) => name === "full.json")?.[1];
    if (!full) throw new Error("The demo has a full signature");
    expect(sent(full, "webmail-paste", ada).length).toBeLessThan(6000);
  });

  it("is believed before what stands beside it, wherever it was changed since", () => {
    const full = demo.find(([name]) => name === "full.json")?.[1];
    if (!full) throw new Error("The demo has a full signature");
    const changed = sent(full, "webmail-paste", ada).replace(">Ada Quill<", ">Ada Brook<");
    const { document } = importHtml(changed);
    expect(document.textContent).toContain("Ada Brook");
    // The other lines still have their fields.
    let fields = 0;
    document.descendants((node) => {
      if (node.type.name === "personField") fields += 1;
    });
    expect(fields).toBeGreaterThan(2);
  });

  it("is read without what stands beside it where that would make an invalid document", () => {
    const html = `<table data-still="{'d':true,'o':'x','c':[['row']]}"><tr><td>Words</td></tr></table>`;
    expect(importHtml(html).document.textContent).toBe("Words");
    expect(
      importHtml(`<table data-still="{'s':{'size':-1},'t':'x'}"><tr><td>A</td></tr></table>`).document.attrs
        .size,
    ).toBe(13);
  });
});

/** Words, links and pictures of a document in reading order. */
function saidBy(document: Node): unknown {
  const said: unknown[] = [];
  document.descendants((node) => {
    if (node.isText) said.push(node.text);
    else if (typeof node.attrs.source === "string")
      said.push([node.attrs.source, node.attrs.width, node.attrs.height]);
    else if (node.type.name === "personField") said.push(node.attrs.field);
  });
  return said;
}

describe("a signature that a client has cleaned", () => {
  it.each(standInIds)("comes back from %s with its words, fields and pictures, and its table", (client) => {
    for (const [, document] of demo) {
      const { html } = received(sent(document, "webmail-paste", ada), client, { mode: "light" });
      const back = importHtml(html).document;
      expect(saidBy(back)).toEqual(saidBy(document));
      expect(back.firstChild?.childCount).toBe(document.firstChild?.childCount);
    }
  });
});
