import { describe, expect, it } from "vitest";
import { findSignatures, type Order } from "./find-signatures";
import type { ShelfSignature } from "./shelf-card";

const signature = (name: string, rest: Partial<ShelfSignature> = {}): ShelfSignature => ({
  id: name,
  name,
  personName: null,
  html: "<p>Seeds&nbsp;of the fen</p>",
  base: "",
  weight: 0,
  findings: 0,
  stillness: null,
  breaking: 0,
  lateInstalls: 0,
  updatedAt: 0,
  ...rest,
});

const shelf = [
  signature("Press 10", { personName: "Zoë Ngata", findings: 3, updatedAt: 2 }),
  signature("Press 9", { findings: 1, breaking: 1, updatedAt: 3 }),
  signature("Archive", { personName: "Ada Quill", html: "<b>+44 1632 960100</b>", updatedAt: 1 }),
];
const names = (looked: string, order: Order = "name"): string[] =>
  findSignatures(shelf, looked, order).map(({ name }) => name);

describe("the Shelf", () => {
  it("finds by name, by person whatever the accents, and by what is written", () => {
    expect(names("press")).toEqual(["Press 9", "Press 10"]);
    expect(names("zoe 10")).toEqual(["Press 10"]);
    expect(names("960100")).toEqual(["Archive"]);
    expect(names("  ")).toHaveLength(3);
    expect(names("nothing like it")).toEqual([]);
  });

  it("is put in order by name, person, change and the worst finding", () => {
    expect(names("", "name")).toEqual(["Archive", "Press 9", "Press 10"]);
    expect(names("", "person")).toEqual(["Archive", "Press 10", "Press 9"]);
    expect(names("", "changed")).toEqual(["Press 9", "Press 10", "Archive"]);
    expect(names("", "findings")).toEqual(["Press 9", "Press 10", "Archive"]);
  });
});
