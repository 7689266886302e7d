import { mkdtemp, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { GivingLook } from "@/contract";
import { emptyPerson, type Audience } from "@/core/people";
import { starterPatterns } from "@/core/signature";
import { deleteSignature, startSignature } from "../signatures/signatures";
import { addPerson } from "./change-people";
import { theirSignatures } from "./their-signatures";
import {
  giveSignature,
  givenOf,
  givenTo,
  listGiven,
  peopleOf,
  peopleToTry,
  whoGetsWhat,
} from "./who-gets-what";

let folder: string;
let [full, press, short] = ["", "", ""];
beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
  for (const [id, department] of [
    ["ada", "Press"],
    ["bo", "Learning"],
    ["cy", ""],
  ] as const)
    await addPerson(id, { ...emptyPerson, name: `Person ${id}`, department });
  const start = (name: string): Promise<string> =>
    startSignature(starterPatterns[0]?.document.toJSON(), name);
  full = await start("Full");
  press = await start("Press");
  short = await start("Short");
});
afterAll(() => rm(folder, { recursive: true, force: true }));

const some = (departments: readonly string[], people: readonly string[] = []): Audience => ({
  kind: "some",
  departments,
  people,
});
const everyone: GivingLook = { look: "", department: null, order: "name", shows: "all" };

describe("who gets what", () => {
  it("is nobody's until it is given, and says what was so before", async () => {
    expect((await listGiven()).map(({ audience }) => audience.kind)).toEqual(["nobody", "nobody", "nobody"]);
    expect(await whoGetsWhat(everyone)).toMatchObject({ none: 3, twice: 0, all: 3 });
    const before = await giveSignature(full, { audience: some(["Press", "Learning"]), purpose: "full" });
    expect(before).toEqual({ audience: { kind: "nobody" }, purpose: "full" });
    expect((await peopleOf(full)).map(({ id }) => id)).toEqual(["ada", "bo"]);
    // Tried is what it is given to, and everybody while that is nobody.
    expect((await peopleToTry(full)).map(({ id }) => id)).toEqual(["ada", "bo"]);
    expect((await peopleToTry(press)).map(({ id }) => id)).toEqual(["ada", "bo", "cy"]);
  });

  it("lists who has none and who has two of the same, and finds them among those who are looked for", async () => {
    await giveSignature(press, { audience: some(["Press"]), purpose: "full" });
    await giveSignature(short, { audience: some([], ["ada", "gone"]), purpose: "short" });
    const found = await whoGetsWhat(everyone);
    expect(found).toMatchObject({ none: 1, twice: 1, ids: ["ada", "bo", "cy"] });
    expect(found.signatures.map(({ name, people, named }) => [name, people, named])).toEqual([
      ["Full", 2, []],
      ["Press", 1, []],
      [
        "Short",
        1,
        [
          { id: "ada", name: "Person ada" },
          { id: "gone", name: null },
        ],
      ],
    ]);
    expect((await whoGetsWhat({ ...everyone, shows: "none" })).ids).toEqual(["cy"]);
    expect((await whoGetsWhat({ ...everyone, shows: "twice" })).ids).toEqual(["ada"]);
    expect((await whoGetsWhat({ ...everyone, shows: "twice", look: "bo" })).ids).toEqual([]);
    const [ada, cy] = await givenTo(["ada", "nobody", "cy"]);
    expect(ada).toMatchObject({ trouble: "twice" });
    expect(ada?.signatures.map(({ name, because, twice }) => [name, because, twice])).toEqual([
      ["Full", "department", true],
      ["Press", "department", true],
      ["Short", "named", false],
    ]);
    expect(cy).toMatchObject({ trouble: "none", signatures: [] });
  });

  it("gives somebody their signatures with their own details, and none that is deleted", async () => {
    expect((await theirSignatures("bo")).map(({ name }) => name)).toEqual(["Full"]);
    expect((await theirSignatures("bo"))[0]?.full.html).toContain("Person bo");
    await deleteSignature(full);
    expect(await theirSignatures("bo")).toEqual([]);
    expect(await theirSignatures("nobody")).toEqual([]);
  });

  it("says of one signature whom it is for, and refuses one that is not there", async () => {
    expect(await givenOf(short)).toMatchObject({ people: 1, named: [{ id: "ada" }, { id: "gone" }] });
    await expect(givenOf("none")).rejects.toThrow("There is no such signature");
    await expect(giveSignature("none", { audience: { kind: "everybody" }, purpose: "full" })).rejects.toThrow(
      "There is no such signature",
    );
  });
});
