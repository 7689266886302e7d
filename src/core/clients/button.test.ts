import { describe, expect, it } from "vitest";
import { parseDeclarations } from "../html";
import { compile } from "../compile";
import { build } from "../signature";
import table from "./facts/client-support.json" with { type: "json" };
import { attributeFeature, declarationFeatures, supportOf, type Feature } from "./facts/features";

const html = compile(
  build.signature(
    {},
    build.table(
      build.row(
        build.cell(
          { width: [300] },
          build.button(
            { link: "https://harrowfen.example", background: "#3F5B2E", width: 190, radius: 20 },
            build.text("Book a visit"),
          ),
        ),
      ),
    ),
  ),
  { destination: "webmail-paste", person: null, base: "https://p.example" },
);

/** The cell that is the button, as attributes, and its declarations. */
const [, attributes, style] = /<td ([^>]*bgcolor="#3F5B2E"[^>]*?) style="([^"]*)"/.exec(html)!;

describe("a button", () => {
  it.each(table.clients)("is a solid box of its own width with room around its words in %s", (client) => {
    const keeps = (features: readonly Feature[]): boolean =>
      features.every((feature) => supportOf(feature, client as "webmail-inline") !== "no");
    const kept = parseDeclarations(style!)
      .filter(({ property, value }) => keeps(declarationFeatures(property, value)))
      .map(({ property, value }) => `${property}:${value}`);
    const keptAttributes = [...attributes!.matchAll(/(\w+)="([^"]*)"/g)]
      .filter(([, name]) => keeps([attributeFeature(name!)].filter((feature) => feature !== null)))
      .map(([whole]) => whole);
    expect(keptAttributes).toEqual(
      expect.arrayContaining(['width="190"', 'bgcolor="#3F5B2E"', 'align="center"']),
    );
    expect(kept).toContain("padding:8px 16px");
    expect(kept).toContain("background-color:#3F5B2E");
  });

  it("needs nothing of its link but its words: no padding and no radius there", () => {
    expect(/<a [^>]*>/.exec(html)![0]).not.toMatch(/padding|radius|display/);
  });
});
