import { mkdtemp, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { blankSignature, schema } from "@/core/signature";
import { Refusal } from "../http/refusal";
import { listWaiting, settleRefusedSave } from "./refused-saves";
import {
  addSignature,
  deleteSignature,
  describeSignature,
  duplicateSignature,
  findNewer,
  findSignature,
  listSignatures,
  restoreSignature,
  saveDocument,
  startSignature,
} from "./signatures";
import { listVersions } from "./versions";

let folder: string;

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
});

afterAll(() => rm(folder, { recursive: true, force: true }));

const startBlank = (rows: number, columns: number): Promise<string> =>
  startSignature(blankSignature(rows, columns).toJSON());

/** A signature that says one thing. */
function saying(text: string): object {
  const document = blankSignature(1, 1);
  return document
    .replace(4, 4, schema.nodes.line.create(null, schema.text(text)).slice(0))
    .toJSON() as object;
}

async function refusal(action: Promise<unknown>): Promise<Refusal> {
  const error = await action.catch((reason: unknown) => reason);
  expect(error).toBeInstanceOf(Refusal);
  return error as Refusal;
}

describe("signatures", () => {
  it("are started blank, each under a name of its own", async () => {
    await startBlank(1, 2);
    await startBlank(1, 2);
    expect((await listSignatures()).map(({ name }) => name)).toEqual(["New signature", "New signature 2"]);
  });

  it("are renamed, duplicated, deleted and taken back", async () => {
    const id = await startBlank(1, 2);
    await describeSignature(id, { name: "Press desk" });
    const copy = await duplicateSignature(id);
    expect(await findSignature(copy)).toMatchObject({ name: "Press desk, copy", revision: 1 });
    await deleteSignature(id);
    expect((await refusal(findSignature(id))).status).toBe(404);
    await restoreSignature(id);
    expect(await findSignature(id)).toMatchObject({ name: "Press desk" });
    expect((await refusal(restoreSignature(id))).status).toBe(404);
  });
});

describe("a save", () => {
  it("counts up the revision that it was made from", async () => {
    const id = await startBlank(1, 1);
    expect(await saveDocument(id, saying("one"), 1)).toBe(2);
    expect(await saveDocument(id, saying("two"), 2)).toBe(3);
    expect((await findSignature(id)).document).toEqual(saying("two"));
  });

  it("that is stale is refused, with both versions kept", async () => {
    const id = await startBlank(1, 1);
    await saveDocument(id, saying("theirs"), 1);
    const refused = await refusal(saveDocument(id, saying("mine"), 1));
    expect(refused.status).toBe(409);
    expect(refused.details.saved).toEqual({ document: saying("theirs"), revision: 2 });
    expect((await findSignature(id)).document).toEqual(saying("theirs"));

    const settled = await settleRefusedSave(id, refused.details.refusedId as string, "mine");
    expect(settled).toMatchObject({ document: saying("mine"), revision: 3 });
    expect((await findSignature(id)).document).toEqual(saying("mine"));
    expect(settled.other).toEqual({ kind: "version", name: "The other of two versions" });
    expect((await listVersions(id))[0]).toMatchObject({
      name: "The other of two versions",
      document: saying("theirs"),
    });
    expect((await refusal(settleRefusedSave(id, refused.details.refusedId as string, "mine"))).status).toBe(
      404,
    );
  });

  it("that is stale waits until somebody chooses, and is kept among the versions where it does not go on", async () => {
    const id = await addSignature({ name: "Waiting room", personId: null, document: saying("first") });
    await saveDocument(id, saying("theirs"), 1);
    const refused = await refusal(saveDocument(id, saying("mine"), 1));
    const waiting = async () => (await listWaiting()).filter(({ signatureId }) => signatureId === id);
    expect(await waiting()).toMatchObject([
      { refusedId: refused.details.refusedId, name: "Waiting room", document: saying("mine") },
    ]);
    const before = (await listSignatures()).length;
    expect(await settleRefusedSave(id, refused.details.refusedId as string, "saved")).toEqual({
      document: saying("theirs"),
      revision: 2,
      other: { kind: "version", name: "The other of two versions" },
    });
    expect(await waiting()).toEqual([]);
    expect(await listSignatures()).toHaveLength(before);
    expect((await findSignature(id)).document).toEqual(saying("theirs"));
  });

  it("that is stale can give way, and is kept among the versions or gets a place of its own", async () => {
    const id = await startBlank(1, 1);
    await saveDocument(id, saying("theirs"), 1);
    const refused = await refusal(saveDocument(id, saying("mine"), 1));
    const settled = await settleRefusedSave(id, refused.details.refusedId as string, "saved");
    expect(settled).toMatchObject({ document: saying("theirs"), revision: 2, other: { kind: "version" } });
    expect((await listVersions(id))[0]?.document).toEqual(saying("mine"));

    const again = await refusal(saveDocument(id, saying("once more"), 1));
    const before = await listSignatures();
    const { other } = await settleRefusedSave(id, again.details.refusedId as string, "apart");
    const [added, ...more] = (await listSignatures()).filter(
      (stands) => !before.some((known) => known.id === stands.id),
    );
    expect(more).toEqual([]);
    expect(other).toEqual({ kind: "signature", name: added?.name });
    expect(added?.document).toEqual(saying("once more"));
  });

  it("that holds what was refused before settles it, and nothing waits any more", async () => {
    const id = await startBlank(1, 1);
    await saveDocument(id, saying("theirs"), 1);
    const refused = await refusal(saveDocument(id, saying("mine"), 1));
    expect(await saveDocument(id, saying("both"), 2, refused.details.refusedId as string)).toBe(3);
    expect((await listWaiting()).filter(({ signatureId }) => signatureId === id)).toEqual([]);
  });

  it("is told of only where it is newer", async () => {
    const id = await startBlank(1, 1);
    expect(await findNewer(id, 1)).toEqual({ revision: 1, document: null });
    await saveDocument(id, saying("one"), 1);
    expect(await findNewer(id, 1)).toEqual({ revision: 2, document: saying("one") });
    expect((await refusal(findNewer("none", 1))).status).toBe(404);
  });

  it("that is sent again after its answer was lost is not a conflict", async () => {
    const id = await startBlank(1, 1);
    expect(await saveDocument(id, saying("one"), 1)).toBe(2);
    expect(await saveDocument(id, saying("one"), 1)).toBe(2);
  });

  it("of two at once only one is accepted", async () => {
    const id = await startBlank(1, 1);
    const results = await Promise.allSettled(
      ["a", "b", "c", "d"].map((text) => saveDocument(id, saying(text), 1)),
    );
    expect(results.filter(({ status }) => status === "fulfilled")).toHaveLength(1);
    expect((await findSignature(id)).revision).toBe(2);
  });

  it("of something that is no document is refused with its place, and changes nothing", async () => {
    const id = await startBlank(1, 1);
    const refused = await refusal(
      saveDocument(
        id,
        {
          type: "signature",
          content: [
            {
              type: "table",
              content: [
                {
                  type: "row",
                  content: [{ type: "cell", content: [{ type: "spacer", attrs: { height: 0 } }] }],
                },
              ],
            },
          ],
        },
        1,
      ),
    );
    expect([refused.status, refused.message]).toEqual([
      422,
      "row 1, cell 1, spacer: height must be a number from 1 to 400 in steps of 1, not 0.",
    ]);
    expect((await findSignature(id)).revision).toBe(1);
  });

  it("of a signature that is gone is refused", async () => {
    const id = await addSignature({ name: "Gone", personId: null, document: saying("x") });
    await deleteSignature(id);
    expect((await refusal(saveDocument(id, saying("y"), 1))).status).toBe(404);
  });
});
