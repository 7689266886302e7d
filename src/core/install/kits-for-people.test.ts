import { readdirSync, readFileSync } from "node:fs";
import { expect, it } from "vitest";
import { emptyPerson, readPerson, type Person } from "../people";
import { parseSignature } from "../signature";
import { kitFiles, kitsForPeople, type KitSource } from "./index";

const source: KitSource = {
  name: "Full",
  full: parseSignature(JSON.parse(readFileSync("demo/signatures/full.json", "utf8"))),
  short: null,
  person: null,
  base: "https://pictures.harrowfen.example",
  pictures: new Map(),
};
const named = (...names: string[]): Person[] => names.map((name) => ({ ...emptyPerson, name }));
const foldersOf = (people: readonly Person[]): string[] =>
  [...kitsForPeople("webmail", source, people)].map(({ folder }) => folder);

it("everybody's kit is the one that they would be given alone, in a folder of their own", () => {
  const people = readdirSync("demo/people").map((file) =>
    readPerson(JSON.parse(readFileSync(`demo/people/${file}`, "utf8"))),
  );
  const kits = [...kitsForPeople("desktop-document", source, people)];
  expect(kits.map(({ files }) => files)).toEqual(
    people.map((person) => kitFiles("desktop-document", { ...source, person })),
  );
  expect(new Set(kits.map(({ folder }) => folder.toLowerCase())).size).toBe(people.length);
  expect(kits.every(({ failed }) => failed === null)).toBe(true);
});

it("folders are called as the people are, in letters that every system takes, and no two are the same", () => {
  expect(
    foldersOf(
      named("Zoë Ngata", "יונתן ברזל", "A/B: C?", "  ..x. ", "nul", "", "Ada", "ADA", "Ada Q. Quill"),
    ),
  ).toEqual([
    "Zoë Ngata",
    "יונתן ברזל",
    "A B C",
    "x",
    "person nul",
    "person",
    "Ada",
    "ADA-2",
    "Ada Q. Quill",
  ]);
  expect(foldersOf(named("../../etc", "a\u202eb", "\\\\share"))).toEqual(["etc", "a b", "share"]);
});

it("one that cannot be made says why, and the others are made", () => {
  const kits = [...kitsForPeople("webmail", { ...source, base: "nowhere" }, named("Ada"))];
  expect(kits).toMatchObject([
    { folder: "Ada", files: [], failed: expect.stringMatching(/nowhere/) as string },
  ]);
});
