import type { Node } from "prosemirror-model";
import { Transform } from "prosemirror-transform";
import { describe, expect, it } from "vitest";
import { compile } from "../../compile";
import { build, schema, setAllLinkLooks, setLinkLook, style, type LinkAttributes } from "../index";

const { cell, line, row, signature, table, text } = build;
const link = (attributes: Partial<LinkAttributes>) =>
  schema.marks.link.create({ href: "https://harrowfen.example", ...attributes });
const holding = (...inline: Node[]): Node =>
  signature({ linkColor: "#3F5B2E" }, table(row(cell({ width: [400] }, line(...inline)))));
const html = (document: Node): string =>
  compile(document, {
    destination: "webmail-paste",
    person: null,
    base: "https://pictures.harrowfen.example",
  });
const whole = (document: Node): [number, number] => [0, document.content.size];

describe("how links are drawn", () => {
  const three = holding(
    text("one", link({})),
    text(" and "),
    text("two", link({ color: "#A3262A", underline: true })),
    text(", "),
    text("three", link({}), style.color("#111111")),
  );

  it("is set for one, and given back to the signature", () => {
    const red = setLinkLook(new Transform(three), ...whole(three), { color: "#A3262A" }).doc;
    expect(html(red).match(/<a [^>]*color:#A3262A/g)).toHaveLength(2);
    const back = setLinkLook(new Transform(three), ...whole(three), { color: null, underline: null }).doc;
    expect(html(back)).not.toContain("#A3262A");
    expect(html(back)).toContain("#111111");
  });

  it("is one for all in one step, and leaves other text alone", () => {
    const { doc, steps } = setAllLinkLooks(new Transform(three), {
      linkColor: "#1F5B57",
      linkUnderline: true,
    });
    expect(html(doc).match(/<a [^>]*color:#1F5B57;text-decoration:underline/g)).toHaveLength(3);
    expect(html(doc)).not.toMatch(/#A3262A|#111111|#3F5B2E/);
    expect(doc.textContent).toBe(three.textContent);
    expect(steps.length).toBeGreaterThan(0);
    expect(
      setAllLinkLooks(new Transform(doc), { linkColor: "#1F5B57", linkUnderline: true }).steps,
    ).toHaveLength(0);
  });
});
