import fc from "fast-check";
import { parseFragment, type DefaultTreeAdapterTypes } from "parse5";
import { describe, expect, it } from "vitest";
import { element, escapeText, px, sidesShorthand, styleText, toNumericReferences } from "./write";

type Element = DefaultTreeAdapterTypes.Element;

describe("elements", () => {
  it("are written in the order given, without what is null, the style last", () => {
    expect(
      element("td", { width: 90, valign: null }, { width: 90, padding: "0 4px", color: undefined }, "x"),
    ).toBe('<td width="90" style="width:90px;padding:0 4px">x</td>');
    expect(element("br", {})).toBe("<br>");
    expect(element("tr", {}, {}, "")).toBe("<tr></tr>");
  });

  it("carry any text and any attribute value through a parser unchanged", () => {
    // A parser reads a carriage return as a line feed, and drops nulls (WHATWG HTML 13.2.3.5).
    const value = fc.string().filter((text) => !/[\r\0]/.test(text));
    fc.assert(
      fc.property(value, value, (attribute, text) => {
        const [read] = parseFragment(element("a", { href: attribute }, {}, escapeText(text)))
          .childNodes as Element[];
        expect(read!.attrs[0]!.value).toBe(attribute);
        expect(read!.childNodes.map((child) => ("value" in child ? child.value : "")).join("")).toBe(text);
      }),
    );
  });
});

describe("styles", () => {
  it("write numbers as px, zero bare, and halves as they are", () => {
    expect([px(0), px(12), px(1.5), px(0.1 + 0.2)]).toEqual(["0", "12px", "1.5px", "0.3px"]);
    expect(styleText({ border: 0, "line-height": 18, color: null })).toBe("border:0;line-height:18px");
  });

  it.each([
    [[1, 1, 1, 1], "1px"],
    [[1, 2, 1, 2], "1px 2px"],
    [[1, 2, 3, 2], "1px 2px 3px"],
    [[1, 2, 3, 4], "1px 2px 3px 4px"],
    [[0, 0, 0, 16], "0 0 0 16px"],
  ])("write the sides %j as %s", ([top, right, bottom, left], text) => {
    expect(sidesShorthand({ top: top!, right: right!, bottom: bottom!, left: left! })).toBe(text);
  });
});

it("numeric references cover what is outside ASCII, whole characters at a time", () => {
  expect(toNumericReferences("Zoë 佐 🌱 a")).toBe("Zo&#235; &#20304; &#127793; a");
});
