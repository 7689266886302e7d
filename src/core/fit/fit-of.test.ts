import { readdirSync, readFileSync } from "node:fs";
import type { Node } from "prosemirror-model";
import { describe, expect, it } from "vitest";
import { emptyPerson, readPerson, type Person } from "../people";
import { build, parseSignature } from "../signature";
import { breakLine } from "./break-line";
import { drawnLines, widthOf } from "./drawn-lines";
import { fitOf } from "./index";
import { lineOf } from "./line.fixture";

const signature = (name: string) =>
  parseSignature(JSON.parse(readFileSync(`demo/signatures/${name}.json`, "utf8")));
const personOf = (name: string): Person =>
  readPerson(JSON.parse(readFileSync(`demo/people/${name}.json`, "utf8")));

describe("a line in a room", () => {
  const long = "Deputy Head of Long-Term Cold Storage";
  const ada = { ...emptyPerson, name: "Ada Quill", title: long };
  const broken = (room: number, ...content: readonly Node[]) => {
    const [line] = drawnLines(lineOf(...content), ada);
    if (!line) throw new Error("it says nothing");
    return breakLine(line, room);
  };
  const widthFor = (...content: readonly Node[]): number =>
    drawnLines(lineOf(...content), ada).reduce((sum, line) => sum + widthOf(line), 0);
  const title = build.field("title");

  it("is one while there is room for all of it, to the 64th of a px", () => {
    const width = widthFor(title);
    expect(broken(width, title)).toEqual({ lines: 1, over: 0 });
    expect(broken(width - 0.1, title)).toEqual({ lines: 2, over: 0 });
  });

  it("is as many as its words take, and says by how much a word sticks out", () => {
    expect(broken(1, title).lines).toBe(7);
    const widest = widthFor(build.text("Storage"));
    expect(broken(widest - 3, build.text(long)).over).toBeCloseTo(3, 1);
  });

  it("keeps a separator with what is before it, and its gap hangs over the edge", () => {
    const [name, mark] = [build.field("name"), build.separator("|", 10)];
    const first = widthFor(name) + 10 + widthFor(build.text("|"));
    expect(broken(first, name, mark, build.text("a")).lines).toBe(2);
    expect(broken(first - 1, name, mark, build.text("Longer")).lines).toBe(3);
  });

  it("is not broken where words of two looks meet without a space", () => {
    expect(broken(1, build.text("Ada"), build.field("name")).lines).toBe(2);
  });
});

describe("the fit of a signature", () => {
  it("names each line that wraps, with what it takes and what there is", () => {
    const fit = fitOf(signature("full"), personOf("maximiliana-featherstonehaugh"));
    expect(
      fit.tight.map(({ text, width, room, lines }) => [text.slice(0, 11), Math.round(width), room, lines]),
    ).toEqual([
      ["Maximiliana", 317, 289, 2],
      ["Deputy Head", 526, 289, 2],
      ["+44 1632 96", 311, 289, 2],
    ]);
    expect(fitOf(signature("full"), personOf("ada-quill")).tight).toEqual([]);
  });

  it("says which fields say nothing, and whether their lines go with them", () => {
    const shown = (options: { takesLine?: boolean; fallback?: string }) =>
      fitOf(lineOf(build.field("name"), build.field("phone", options)), personOf("jo-li")).empty.map(
        ({ field, takesLine }) => [field, takesLine],
      );
    expect(shown({})).toEqual([["phone", true]]);
    expect(shown({ takesLine: false })).toEqual([["phone", false]]);
    expect(shown({ fallback: "+44 1632 960100" })).toEqual([]);
    expect(fitOf(signature("full"), personOf("tamsin-okafor")).empty).toEqual([]);
  });

  it("says which letters no face has", () => {
    expect(fitOf(signature("press-desk"), personOf("layla-mansour")).missing).toContain("ل");
    for (const file of readdirSync("demo/people"))
      expect(fitOf(signature("full"), personOf(file.replace(".json", ""))).missing.join("")).not.toMatch(
        /[A-Za-z]/,
      );
  });
});
