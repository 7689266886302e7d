import { describe, expect, it } from "vitest";
import type { ShelfOrder } from "@/contract";
import { orderShelf, type OnShelf } from "./order-shelf";

const signature = (name: string, rest: Partial<OnShelf> = {}): OnShelf => ({
  id: name,
  name,
  personName: null,
  words: "Seeds of the fen",
  findings: 0,
  breaking: 0,
  updatedAt: 0,
  ...rest,
});

const shelf = [
  signature("Press 10", { personName: "Zoë Ngata", findings: 3, updatedAt: 2 }),
  signature("Press 9", { findings: 1, breaking: 1, updatedAt: 3 }),
  signature("Archive", { personName: "Ada Quill", words: "+44 1632 960100 for the press", updatedAt: 1 }),
  signature("Press", { words: "", updatedAt: 0 }),
];
const names = (looked: string, order: ShelfOrder = "name"): string[] =>
  orderShelf(shelf, looked, order).map(({ name }) => name);

describe("the Shelf", () => {
  it("finds by name, by person whatever the accents, and by what is written", () => {
    expect(names("press")).toEqual(["Archive", "Press", "Press 9", "Press 10"]);
    expect(names("zoe 10")).toEqual(["Press 10"]);
    expect(names("960100")).toEqual(["Archive"]);
    expect(names("  ")).toHaveLength(4);
    expect(names("nothing like it")).toEqual([]);
  });

  it("is put in order by name, person, change and the worst finding", () => {
    expect(names("", "name")).toEqual(["Archive", "Press", "Press 9", "Press 10"]);
    expect(names("", "person")).toEqual(["Archive", "Press 10", "Press", "Press 9"]);
    expect(names("", "changed")).toEqual(["Press 9", "Press 10", "Archive", "Press"]);
    expect(names("", "findings")).toEqual(["Press 9", "Press 10", "Archive", "Press"]);
  });

  it("shows first whose name it is that is looked for, then whose name holds it", () => {
    expect(names("press", "changed")).toEqual(["Press", "Press 9", "Press 10", "Archive"]);
  });
});
