import { mkdtemp, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { unzipSync } from "fflate";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { KitsMade, KitsWhom } from "@/contract";
import { giveSignature } from "../people/who-gets-what";
import { emptyPerson } from "@/core/people";
import { starterPatterns } from "@/core/signature";
import { addPerson } from "../people/change-people";
import { startSignature } from "../signatures/signatures";
import { makeKits, prepareKits, takeKits } from "./kits-for-all";

let folder: string;
let signature: string;
beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
  for (const [id, department] of [
    ["ada", "Press"],
    ["bo", "Press"],
    ["cy", ""],
  ] as const)
    await addPerson(id, { ...emptyPerson, name: `Person ${id}`, department });
  signature = await startSignature(starterPatterns[0]?.document.toJSON(), "Everybody's");
});
afterAll(() => rm(folder, { recursive: true, force: true }));

async function made(whom: KitsWhom): Promise<readonly KitsMade[]> {
  const told: KitsMade[] = [];
  const prepared = await prepareKits(signature, "webmail", { whom, pictures: "hosted" });
  await makeKits(prepared, (each) => told.push(each), new AbortController().signal);
  return told;
}

const foldersIn = async (told: readonly KitsMade[]): Promise<readonly string[]> => {
  const last = told.at(-1);
  if (last?.kind !== "made") throw new Error("no kits were made");
  const answer = await takeKits(last.file);
  const bytes = new Uint8Array(await answer.arrayBuffer());
  expect(Number(answer.headers.get("content-length"))).toBe(bytes.length);
  return [...new Set(Object.keys(unzipSync(bytes)).map((file) => file.split("/")[0] ?? ""))];
};

describe("kits for everybody", () => {
  it("are one zip with a folder for each, and tell how far they are", async () => {
    const told = await made({ kind: "everybody" });
    expect(told[0]).toEqual({ kind: "progress", done: 0, all: 3 });
    expect(told.at(-1)).toMatchObject({ kind: "made", made: 3, failed: [] });
    expect(await foldersIn(told)).toEqual(["Person ada", "Person bo", "Person cy"]);
  });

  it("are those of a department, or of people without one", async () => {
    expect(await foldersIn(await made({ kind: "department", name: "Press" }))).toEqual([
      "Person ada",
      "Person bo",
    ]);
    expect(await foldersIn(await made({ kind: "department", name: "" }))).toEqual(["Person cy"]);
  });

  it("are of whoever the signature is given to, and of those who are named", async () => {
    await giveSignature(signature, {
      purpose: "full",
      audience: { kind: "some", departments: [""], people: ["bo"] },
    });
    expect(await foldersIn(await made({ kind: "theirs" }))).toEqual(["Person bo", "Person cy"]);
    expect(await foldersIn(await made({ kind: "chosen", people: ["ada", "nobody"] }))).toEqual([
      "Person ada",
    ]);
  });

  it("that are stopped leave nothing, and others are not there", async () => {
    const stopped = new AbortController();
    const prepared = await prepareKits(signature, "webmail", {
      whom: { kind: "everybody" },
      pictures: "hosted",
    });
    const told: KitsMade[] = [];
    const making = makeKits(
      prepared,
      (each) => {
        told.push(each);
        stopped.abort();
      },
      stopped.signal,
    );
    await expect(making).rejects.toThrow("aborted");
    expect(told.every(({ kind }) => kind === "progress")).toBe(true);
    await expect(takeKits("../../etc/passwd")).rejects.toThrow("These kits do not wait here any more");
    await expect(
      prepareKits(signature, "fax", { whom: { kind: "everybody" }, pictures: "hosted" }),
    ).rejects.toThrow("There is no such kit any more.");
  });
});
