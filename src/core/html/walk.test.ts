import { describe, expect, it } from "vitest";
import {
  append,
  createElement,
  createText,
  deepestElement,
  detach,
  isElement,
  parseMessage,
  writeParts,
} from "./tree";
import { elementsIn, nodesIn, visitNodes, walkElements, walkLeaves } from "./walk";

describe("walking a tree", () => {
  const parts = () => parseMessage("<table><tr><td>a<b>b</b></td><td>c<!--d--></td></tr></table>").body;

  it("goes through parents before children, in document order", () => {
    expect(nodesIn(parts()).map(({ nodeName }) => nodeName)).toEqual([
      "table",
      "tbody",
      "tr",
      "td",
      "#text",
      "b",
      "#text",
      "td",
      "#text",
      "#comment",
    ]);
  });

  it("says when an element is left, once all that is in it has been visited", () => {
    const said: string[] = [];
    visitNodes(parts(), {
      enter: (node) => said.push(isElement(node) ? `<${node.tagName}` : "."),
      leave: ({ tagName }) => said.push(`${tagName}>`),
    });
    expect(said.join(" ")).toBe("<table <tbody <tr <td . <b . b> td> <td . . td> tr> tbody> table>");
  });

  it("does not enter what a visit detaches, and goes on beside it", () => {
    const root = parts();
    walkElements(root, (element) => {
      if (element.tagName === "b") detach(element);
    });
    expect(writeParts(root)).toBe("<table><tbody><tr><td>a</td><td>c<!--d--></td></tr></tbody></table>");
    const texts: string[] = [];
    walkLeaves(root, (node) => texts.push(node.nodeName));
    expect(texts).toEqual(["#text", "#text", "#comment"]);
  });

  it("is at no depth too deep", () => {
    const root = createElement("div", {});
    let inner = root;
    for (let depth = 0; depth < 100_000; depth++) {
      const next = createElement("i", {});
      append(inner, next);
      inner = next;
    }
    append(inner, createText("here"));
    expect(elementsIn(root)).toHaveLength(100_000);
    expect(writeParts(root)).toContain("<i>here</i>");
  });
});

describe("a parsed tree", () => {
  it("is no deeper than browsers build one, and keeps all its text in order", () => {
    const depth = deepestElement + 40;
    const { body } = parseMessage(`${Array.from({ length: depth }, (_, at) => `<div>${at} `).join("")}end`);
    let deepest = 0;
    let now = 0;
    visitNodes(body, {
      enter: (node) => {
        if (isElement(node)) deepest = Math.max(deepest, ++now);
      },
      leave: () => now--,
    });
    expect(deepest).toBe(deepestElement);
    const text = nodesIn(body)
      .map((node) => ("value" in node ? node.value : ""))
      .join("");
    expect(text).toBe(`${Array.from({ length: depth }, (_, at) => `${at} `).join("")}end`);
  });
});
