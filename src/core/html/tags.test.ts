import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readDeclarationsAt, readTags, type WrittenTag } from "./index";

/** Each item as it is written, with its kind. */
const written = (html: string): readonly string[] =>
  readTags(html).items.map((item) => `${item.kind} ${html.slice(item.from, item.to)}`);

const firstTag = (html: string): WrittenTag => {
  const tag = readTags(html).items.find((item): item is WrittenTag => "attributes" in item);
  if (!tag) throw new Error("There is a tag in it");
  return tag;
};

describe("tags as they are written", () => {
  it("are told apart from texts, comments and doctypes, and those without an end from others", () => {
    expect(written("<!DOCTYPE html><p>One<br>two<!-- three --></p>")).toEqual([
      "doctype <!DOCTYPE html>",
      "start <p>",
      "text One",
      "void <br>",
      "text two",
      "comment <!-- three -->",
      "end </p>",
    ]);
  });

  it("are text within elements whose content is text", () => {
    expect(written("<style>a > b {}</style><title><b></title><p>")).toEqual([
      "start <style>",
      "text a > b {}",
      "end </style>",
      "start <title>",
      "text <b>",
      "end </title>",
      "start <p>",
    ]);
  });

  it("have their attributes in the order and at the places where they are written", () => {
    const html = `<TD WIDTH=10 align='left' style="color:red">`;
    const { name, attributes } = firstTag(html);
    expect(name).toBe("td");
    expect(attributes.map((each) => [each.name, html.slice(each.from, each.to)])).toEqual([
      ["width", "WIDTH=10"],
      ["align", "align='left'"],
      ["style", 'style="color:red"'],
    ]);
  });

  it("tell what is wrong in how they are written", () => {
    expect(readTags('<p a="1" a="2">').errors.map(({ code }) => code)).toEqual(["duplicate-attribute"]);
    expect(readTags("<p>fine</p>").errors).toEqual([]);
  });

  it("are every letter of any text, once and in order", () => {
    const pieces = fc.constantFrom(
      "<p>",
      "</p>",
      "<",
      ">",
      '"',
      "a=",
      "<!--",
      "-->",
      "<style>",
      "text",
      "&",
      "\n",
    );
    fc.assert(
      fc.property(fc.array(pieces), (chosen) => {
        const html = chosen.join("");
        const { items } = readTags(html);
        expect(items.map(({ from, to }) => html.slice(from, to)).join("")).toBe(html);
      }),
    );
  });
});

describe("declarations where they are written", () => {
  const read = (html: string) => {
    const [attribute] = firstTag(html).attributes;
    if (!attribute) throw new Error("The tag has an attribute");
    const { declarations, unread } = readDeclarationsAt(html, attribute);
    return {
      declarations: declarations.map(({ property, value, from, to, valueAt }) => [
        property,
        value,
        html.slice(from, to),
        html.slice(valueAt.from, valueAt.to).trim(),
      ]),
      unread: unread.map(({ from, to }) => html.slice(from, to).trim()),
    };
  };

  it("have their places in the HTML around them, in either quotes or none", () => {
    for (const html of [
      `<p style="color:red;width:2px">`,
      `<p style='color:red;width:2px'>`,
      `<p style=color:red;width:2px>`,
    ])
      expect(read(html).declarations).toEqual([
        ["color", "red", "color:red", "red"],
        ["width", "2px", "width:2px", "2px"],
      ]);
  });

  it("are not moved by character references before them", () => {
    expect(read(`<p style="font-family:&quot;Gill&quot;,serif;COLOR:#123456">`).declarations[1]).toEqual([
      "color",
      "#123456",
      "COLOR:#123456",
      "#123456",
    ]);
  });

  it("are told apart from what is no declaration", () => {
    expect(read(`<p style="color;width:2px">`).unread).toEqual(["color"]);
    expect(read(`<p style>`)).toEqual({ declarations: [], unread: [] });
  });
});
