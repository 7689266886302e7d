import { mkdtemp, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { afterAll, afterEach, beforeAll, describe, expect, it, vi } from "vitest";
import { letterType } from "@/contract";
import { readInput } from "@/contract/yup-of";
import { blankSignature, starterPatterns } from "@/core/signature";
import { Refusal } from "../http/refusal";
import { deletePattern, findPattern, listPatterns, savePattern } from "../patterns/patterns";
import { findLetterType, keepLetterType } from "../settings/letter-type";
import { deleteSignature, findSignature, saveDocument, startSignature } from "./signatures";
import { deleteVersion, listVersions, nameVersion } from "./versions";

let folder: string;

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
});

afterEach(() => vi.useRealTimers());
afterAll(() => rm(folder, { recursive: true, force: true }));

/** Documents that are told apart by their number of columns. */
const wide = (columns: number): unknown => blankSignature(1, columns).toJSON();
const minutes = 60_000;

describe("versions", () => {
  it("the first save of a sitting keeps what it replaces, and so does one some minutes later", async () => {
    vi.useFakeTimers({ toFake: ["Date"], now: 1_800_000_000_000 });
    const id = await startSignature(wide(1));
    await saveDocument(id, wide(2), 1);
    await saveDocument(id, wide(3), 2);
    expect((await listVersions(id)).map(({ revision, document }) => [revision, document])).toEqual([
      [1, wide(1)],
    ]);
    vi.setSystemTime(Date.now() + 6 * minutes);
    await saveDocument(id, wide(4), 3);
    expect((await listVersions(id)).map(({ revision }) => revision)).toEqual([3, 1]);
  });

  it("that are not named make room for later ones; named ones stay until they are taken away", async () => {
    vi.useFakeTimers({ toFake: ["Date"], now: 1_900_000_000_000 });
    const id = await startSignature(wide(1));
    const named = await nameVersion(id, "Before the open weekend");
    for (let revision = 1; revision <= 44; revision++) {
      vi.setSystemTime(Date.now() + 6 * minutes);
      await saveDocument(id, wide(1 + (revision % 8)), revision);
    }
    const kept = await listVersions(id);
    expect(kept.filter(({ name }) => name === null)).toHaveLength(40);
    expect(kept[0]!.revision).toBe(44);
    expect(kept.at(-1)).toMatchObject({ id: named, name: "Before the open weekend", document: wide(1) });
    await deleteVersion(id, named);
    expect((await listVersions(id)).some(({ name }) => name)).toBe(false);
    await expect(deleteVersion(id, named)).rejects.toBeInstanceOf(Refusal);
  });

  it("are none where a save changes nothing or is refused, and none can be named of what is gone", async () => {
    const id = await startSignature(wide(2));
    await saveDocument(id, wide(2), 1);
    await expect(saveDocument(id, wide(3), 7)).rejects.toBeInstanceOf(Refusal);
    expect(await listVersions(id)).toEqual([]);
    await deleteSignature(id);
    await expect(nameVersion(id, "Gone")).rejects.toBeInstanceOf(Refusal);
  });
});

describe("patterns", () => {
  it("are the starter patterns, and own ones before them until they are taken away", async () => {
    const starters = starterPatterns.map(({ name }) => name);
    const signature = await startSignature(wide(3));
    const own = await savePattern(signature, "Three wide");
    expect((await listPatterns()).map(({ name }) => name)).toEqual(["Three wide", ...starters]);
    const begun = await startSignature((await findPattern(own)).document, "Three wide");
    await deletePattern(own);
    expect((await listPatterns()).map(({ name }) => name)).toEqual(starters);
    expect((await findSignature(begun)).document).toEqual(wide(3));
    await expect(findPattern(own)).rejects.toBeInstanceOf(Refusal);
    await expect(deletePattern("photo-left")).rejects.toBeInstanceOf(Refusal);
  });
});

describe("the type of letters", () => {
  it("is the usual one until somebody says otherwise; nonsense is refused by name", async () => {
    expect(await findLetterType()).toEqual({ font: "Arial", size: 14, color: "#333333" });
    await keepLetterType({ font: "Georgia", size: 16, color: "#111111" });
    expect(await findLetterType()).toEqual({ font: "Georgia", size: 16, color: "#111111" });
    await expect(readInput(letterType, { font: "Georgia", size: 16, color: "moss" })).rejects.toThrow(
      "Color must be a colour such as",
    );
    await expect(readInput(letterType, { font: "", size: 16, color: "#111111" })).rejects.toThrow(
      "The font of your letters needs a name.",
    );
  });
});
