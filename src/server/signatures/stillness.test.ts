import { mkdtemp, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { blankSignature, build } from "@/core/signature";
import { openSignature } from "./open-signature";
import { addSignature, saveDocument } from "./signatures";
import { findStillness, keepStillness, keptStillness } from "./stillness";

let folder: string;

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
});
afterAll(() => rm(folder, { recursive: true, force: true }));

const written = (words: string) =>
  build
    .signature({}, build.table(build.row(build.cell({ width: [200] }, build.line(build.text(words))))))
    .toJSON() as object;

describe("how still a signature is", () => {
  it("is kept for the HTML that was measured, and for no other", async () => {
    const id = await addSignature({ name: "Press", personId: null, document: written("Seeds") });
    expect(await keptStillness(await openSignature(id))).toBeNull();
    await keepStillness(id, { revision: 1, still: 24, all: 28 });
    expect(await keptStillness(await openSignature(id))).toEqual({ still: 24, all: 28 });
    await keepStillness(id, { revision: 1, still: 28, all: 28 });
    expect(await keptStillness(await openSignature(id))).toEqual({ still: 28, all: 28 });

    await saveDocument(id, written("Seeds of the fen"), 1);
    expect(await keptStillness(await openSignature(id))).toBeNull();
    await expect(keepStillness(id, { revision: 1, still: 28, all: 28 })).rejects.toThrow(
      "The signature was changed since it was measured.",
    );
    await saveDocument(id, written("Seeds"), 2);
    expect(await keptStillness(await openSignature(id))).toEqual({ still: 28, all: 28 });
  });

  it("is of one that is there, in as many proofs as there are", async () => {
    await expect(keepStillness("none", { revision: 1, still: 1, all: 28 })).rejects.toThrow(
      "There is no such signature any more.",
    );
    const id = await addSignature({ name: "Blank", personId: null, document: blankSignature(1, 1).toJSON() });
    await expect(keepStillness(id, { revision: 1, still: 29, all: 28 })).rejects.toThrow(
      "It cannot be still in 29 of 28 proofs.",
    );
    expect(await findStillness([])).toEqual(new Map());
  });
});
