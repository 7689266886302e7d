import { mkdtemp, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { ToldSighting } from "@/contract";
import { blankSignature } from "@/core/signature";
import { closeImaging } from "../imaging/imaging";
import { saveDocument, startSignature } from "../signatures/signatures";
import {
  compareInstall,
  countOutOfDate,
  listInstalls,
  recordInstall,
  removeInstall,
  renewInstall,
} from "./installs";
import { keepSighting, removeSighting, restoreSighting, sightingPicture, tellSighting } from "./sightings";

let folder: string;
let signature: string;
let screenshot: Buffer;

const picture = (width: number, height: number): Promise<Buffer> =>
  sharp({ create: { width, height, channels: 3, background: "#F6F4EE" } })
    .png()
    .toBuffer();

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
  signature = await startSignature(blankSignature(1, 1).toJSON(), "Seen");
  screenshot = await picture(60, 40);
});
afterAll(async () => {
  await closeImaging();
  await rm(folder, { recursive: true, force: true });
});

const installed = async (revision = 1): Promise<string> =>
  (
    await recordInstall(signature, {
      ...{ revision, form: "full", kind: "webmail", use: "both" },
      ...{ account: "", by: "", note: "" },
    })
  ).id;

const keep = async (install: string, name = "inbox.png"): Promise<string> =>
  (await keepSighting(install, { bytes: screenshot, name })).id;

const part = (id: number, over: Partial<ToldSighting["parts"][number]> = {}) => ({
  ...{ id, kind: "picture" as const, text: `Icon ${id}`, moved: 0, resized: 0, recolored: 0 },
  ...{ wrapped: false, missing: false, otherFont: false, clear: true },
  ...{ contrast: null, visibility: null, box: { left: 0, top: 0, width: 24, height: 24 } },
  ...over,
});

const told = (...parts: ToldSighting["parts"]): ToldSighting => ({
  place: { scale: 2, left: 12, top: 8.5 },
  ground: "#FFFFFF",
  parts,
});

describe("screenshots of an install", () => {
  it("are kept with it, told of, and shown as the picture that they are", async () => {
    const install = await installed();
    const first = await keep(install, "inbox.png");
    const { sightings } = await compareInstall(install);
    expect(sightings).toMatchObject([
      { id: first, name: "inbox.png", width: 60, height: 40, told: null, current: true },
    ]);
    const found = told(part(1), part(2, { missing: true }));
    await tellSighting(first, found);
    expect((await compareInstall(install)).sightings[0]?.told).toEqual(found);
    const answer = await sightingPicture(first);
    expect(answer.headers.get("content-type")).toBe("image/png");
    expect(answer.headers.get("cache-control")).toContain("private");
    expect(Buffer.from(await answer.arrayBuffer()).equals(screenshot)).toBe(true);
  });

  it("say in the list of installs what was not still in the newest that was compared", async () => {
    const install = await installed();
    const arrived = async () => (await listInstalls()).find(({ id }) => id === install)?.arrived;
    expect(await arrived()).toBeNull();
    await tellSighting(await keep(install), told(part(1, { missing: true })));
    expect(await arrived()).toEqual([part(1, { missing: true })]);
    // One that was not compared says nothing.
    await keep(install);
    expect(await arrived()).toEqual([part(1, { missing: true })]);
    await tellSighting(await keep(install), told(part(1), part(2, { moved: 1.5 })));
    expect(await arrived()).toEqual([]);
  });

  it("of an earlier version stay, and say nothing of the present one", async () => {
    const install = await installed();
    await tellSighting(await keep(install), told(part(1, { missing: true })));
    // The clock of the machine counts in ms.
    await expect
      .poll(() => Date.now())
      .toBeGreaterThan((await compareInstall(install)).sightings[0]!.createdAt);
    await renewInstall(install, 1);
    const { arrived, sightings } = await compareInstall(install);
    expect(arrived).toBeNull();
    expect(sightings).toMatchObject([{ current: false, told: { parts: [{ missing: true }] } }]);
  });

  it("are taken away and taken back", async () => {
    const install = await installed();
    const id = await keep(install);
    await removeSighting(id);
    expect((await compareInstall(install)).sightings).toEqual([]);
    await expect(sightingPicture(id)).rejects.toMatchObject({ status: 404 });
    await expect(tellSighting(id, told())).rejects.toMatchObject({ status: 404 });
    await expect(removeSighting(id)).rejects.toMatchObject({ status: 404 });
    await restoreSighting(id);
    expect((await compareInstall(install)).sightings).toMatchObject([{ id }]);
    await expect(restoreSighting("none")).rejects.toMatchObject({ status: 404 });
  });

  it("are pictures of px, and no more than forty", async () => {
    const install = await installed();
    const drawing = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>');
    await expect(keepSighting(install, { bytes: drawing, name: "a.svg" })).rejects.toMatchObject({
      status: 415,
      message: "“a.svg” is a drawing: a screenshot is a PNG or a JPEG.",
    });
    await expect(keepSighting(install, { bytes: Buffer.from("no picture"), name: "b.png" })).rejects.toThrow(
      "b.png",
    );
    for (let count = 0; count < 40; count++) await keep(install);
    await expect(keep(install)).rejects.toMatchObject({ status: 409 });
    expect((await compareInstall(install)).sightings).toHaveLength(40);
  });

  it("are of an install that is there", async () => {
    await expect(keep("none")).rejects.toMatchObject({ status: 404 });
    const install = await installed();
    await removeInstall(install);
    await expect(keep(install)).rejects.toMatchObject({ status: 404 });
  });
});

describe("installs that are out of date", () => {
  it("are counted by signature; those that are current are not", async () => {
    const own = await startSignature(blankSignature(1, 1).toJSON(), "Counted");
    const kinds = ["webmail", "phone"] as const;
    for (const kind of kinds)
      await recordInstall(own, {
        revision: 1,
        form: "full",
        kind,
        use: "both",
        account: "",
        by: "",
        note: "",
      });
    expect((await countOutOfDate([own])).get(own)).toBeUndefined();
    const document = blankSignature(2, 2).toJSON() as object;
    await saveDocument(own, document, 1);
    expect((await countOutOfDate([own])).get(own)).toBe(2);
    const [first] = (await listInstalls()).filter(({ signatureId }) => signatureId === own);
    await renewInstall(first?.id ?? "", 2);
    expect((await countOutOfDate([own])).get(own)).toBe(1);
  });
});
