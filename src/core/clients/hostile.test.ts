/** Input that was made to break something, through every kind and mode: nothing throws, and nothing that comes out can run. */
import { inheritedNames } from "../../../tests/inherited-names";
import { readFileSync } from "node:fs";
import fc from "fast-check";
import { parseFragment, type DefaultTreeAdapterTypes } from "parse5";
import { describe, expect, it } from "vitest";
import { compile } from "../compile";
import { parseSignature } from "../signature";
import { limits } from "./facts/limits";
import { messageOf, received, receivedInModes, standInIds } from "./index";

const running = /^(script|iframe|svg|math|form|input|object|embed|base|meta|noscript|template|link)$/;

/** What in some HTML could run, read again as a page that shows it would. */
function whatRuns(html: string): readonly string[] {
  const found: string[] = [];
  const waiting: DefaultTreeAdapterTypes.Node[] = [parseFragment(html)];
  for (let node = waiting.pop(); node; node = waiting.pop()) {
    if (running.test(node.nodeName)) found.push(node.nodeName);
    if ("attrs" in node)
      for (const { name, value } of node.attrs) {
        const scheme = value.replace(/[\u0000-\u0020]/g, "").toLowerCase();
        if (/^on|^srcdoc$/.test(name)) found.push(name);
        if (/^(javascript|vbscript):|^data:(?!image\/)/.test(scheme)) found.push(`${name}=${value}`);
      }
    if ("childNodes" in node) waiting.push(...node.childNodes);
  }
  return found;
}

const demo = compile(parseSignature(JSON.parse(readFileSync("demo/signatures/full.json", "utf8"))), {
  destination: "document-file",
  person: null,
  base: "https://pictures.example",
});

/** Pieces of real signatures, of the limits' examples, and of attacks. */
const pieces = [
  ...demo.split(/(?<=>)/).slice(0, 60),
  ...limits.flatMap(({ keeps, drops }) => [...keeps, ...drops]),
  ...[
    "<script>x()</script>",
    '<img src=x onerror="x()">',
    "<a href='java\tscript:x()'>",
    "<style>",
    "</style>",
    '<p style="',
    '">',
    "<!--[if mso]>",
    "<![endif]-->",
    "<!--",
    "-->",
    "<svg><style><img src=x onerror=x()>",
    "<math><mtext><table><mglyph><style><img src=x onerror=x()>",
    "<noscript><p title='</noscript><img src=x onerror=x()>'>",
    "<body background='javascript:x()' style='background:url(javascript:x())'>",
    "<table><tr><td cellpadding=x style='padding:calc(1em'>",
    "font:300 1rem/1 x;",
    "}@media{}{",
    "\u0000",
    "&#0;&lt;script&gt;",
    "url(data:text/html,<script>)",
    "+44 1632 960118 12 June 2027",
    "é".repeat(40),
  ],
];

const cut = fc.record({ piece: fc.constantFrom(...pieces), from: fc.nat(12), dropped: fc.nat(12) });
const mutated = fc
  .array(cut, { minLength: 1, maxLength: 8 })
  .map((cuts) =>
    cuts
      .map(({ piece, from, dropped }) => (from % 4 === 0 ? piece.slice(from, piece.length - dropped) : piece))
      .join(""),
  );

describe("every stand-in", () => {
  it("throws at nothing, and lets nothing run, of 3,000 mutated inputs in both modes", () => {
    fc.assert(
      fc.property(mutated, (html) => {
        const message = messageOf(html);
        const out = new Set<string>();
        for (const client of standInIds) {
          const { light, dark } = receivedInModes(message, client);
          out.add(light.html).add(dark.html);
        }
        for (const shown of out) expect(whatRuns(shown), html).toEqual([]);
      }),
      { numRuns: 3000 },
    );
  }, 120_000);

  const many = 100_000;
  it.each([
    ["beside each other", "<p style='color:#123'>x</p>".repeat(many)],
    ["in each other", `${"<div style='background:#EEE'>".repeat(many)}x`],
    ["of old type", "<font color=red>".repeat(many)],
    ["of broken colours", "<i style='color:rgb(;background:#zz' bgcolor='###'>x</i>".repeat(many)],
  ])(
    "reads 100,000 elements %s, in light and dark",
    (_name, html) => {
      const message = messageOf(html);
      for (const client of ["webmail-inline", "desktop-document", "desktop-browser", "phone-system"] as const)
        for (const mode of ["light", "dark"] as const)
          expect(received(message, client, { mode }).html.length).toBeGreaterThan(many);
    },
    120_000,
  );

  it.each(inheritedNames)("reads what names %s, as every object does", (_name, html) => {
    for (const client of standInIds)
      for (const shown of Object.values(receivedInModes(messageOf(html), client)))
        expect(shown.html).toContain("A style");
  });

  it("gives the same for a message that was read before, alone or with the other mode, and leaves it as it was", () => {
    fc.assert(
      fc.property(mutated, fc.constantFrom(...standInIds), fc.nat(2), (html, client, quoted) => {
        const message = messageOf(html);
        const both = receivedInModes(message, client, { quoted });
        expect(both.light).toEqual(received(html, client, { quoted }));
        expect(both.dark).toEqual(received(html, client, { quoted, mode: "dark" }));
      }),
      { numRuns: 300 },
    );
  });
});
