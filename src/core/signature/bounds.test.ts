import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { mostParts, outgrown } from "./index";

const many = (count: number) => ({ type: "signature", content: Array.from({ length: count }, () => ({})) });

describe("how large a document may be", () => {
  it("is more than the largest of the demo by far", () => {
    const full = JSON.parse(readFileSync("demo/signatures/full.json", "utf8")) as object;
    expect(outgrown(full)).toBeNull();
  });

  it("is counted in parts, the document among them", () => {
    expect(outgrown(many(mostParts - 1))).toBeNull();
    expect(outgrown(many(mostParts))).toMatch(/^A signature has at most 2,000 parts/);
  });

  it("is measured in characters of JSON", () => {
    const text = (length: number) => ({
      type: "signature",
      content: [{ type: "text", text: "x".repeat(length) }],
    });
    expect(outgrown(text(400_000))).toBeNull();
    expect(outgrown(text(410_000))).not.toBeNull();
  });

  it("is told of JSON of any depth", () => {
    let deep: object = {};
    for (let level = 0; level < 100_000; level++) deep = { content: [deep] };
    expect(outgrown(deep)).not.toBeNull();
    const nested = JSON.parse("[".repeat(5000) + "]".repeat(5000)) as object;
    expect(outgrown({ type: "signature", attrs: nested })).not.toBeNull();
  });
});
