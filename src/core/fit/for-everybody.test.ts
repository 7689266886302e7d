import { readdirSync, readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { emptyPerson, readPerson, type Person } from "../people";
import { build, parseSignature } from "../signature";
import { designSize } from "./design-sizes";
import { designSizes, fitOf, stillFor, usualHeight } from "./index";
import { lineOf } from "./line.fixture";

const demo = (kind: string): readonly unknown[] =>
  readdirSync(`demo/${kind}`).map(
    (file) => JSON.parse(readFileSync(`demo/${kind}/${file}`, "utf8")) as unknown,
  );
const people: readonly Person[] = demo("people").map(readPerson);
const named = (name: string): Person => people.find((person) => person.name.startsWith(name)) ?? emptyPerson;
const full = parseSignature(JSON.parse(readFileSync("demo/signatures/full.json", "utf8")));
const base = "https://pictures.example";

describe("how large a signature comes out", () => {
  it("is the same for each as if it were laid out for them alone", () => {
    for (const document of demo("signatures").map(parseSignature)) {
      const sizeOf = designSizes(document);
      for (const person of people) {
        const { width, height } = sizeOf(person, fitOf(document, person));
        const alone = designSize(document, person);
        expect(height).toBe(alone.height);
        expect(Math.abs(width - alone.width)).toBeLessThan(1 / 16);
      }
    }
  });

  it("is a line higher for each that wraps, and a line lower where a field takes its line along", () => {
    const heightFor = (person: Person): number => designSize(full, person).height;
    expect(heightFor(named("Ada Quill"))).toBe(212);
    expect(heightFor(named("Maximiliana"))).toBe(212 + 22 + 18 + 18);
    const two = lineOf(build.field("name"), build.lineBreak(), build.field("phone", { takesLine: false }));
    const size = (phone: string): number => designSize(two, { ...emptyPerson, name: "Ada", phone }).height;
    expect(size("+44 1632 960100")).toBe(2 * size(""));
  });

  it("is for most what most have", () => {
    expect(usualHeight([212, 230, 212, 270])).toBe(212);
    expect(usualHeight([230, 212])).toBe(212);
    expect(usualHeight([212.001, 230, 211.999])).toBe(212);
    expect(usualHeight([])).toBe(0);
  });
});

describe("how still a signature is", () => {
  it("is known for everybody: a line that just has room in one kind of client and not in another moves what is under it", () => {
    expect(stillFor(full, named("Tamsin"), base)).toEqual({ still: 28, all: 28, worst: null });
    const { still, all, worst } = stillFor(full, named("Ravindra"), base);
    expect([still, all]).toEqual([26, 28]);
    expect(worst?.client).toBe("webmail-portal");
    expect(worst?.drift.some(({ moved }) => moved > 100)).toBe(true);
  });

  it("tells what is lost and what cannot be read, as the design has it", () => {
    const hurry = parseSignature(JSON.parse(readFileSync("demo/signatures/in-a-hurry.json", "utf8")));
    const { still, worst } = stillFor(hurry, named("Tamsin"), base);
    expect(still).toBeLessThan(28);
    expect(worst).not.toBeNull();
  });
});
