import { mkdtemp, readFile, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { eq } from "drizzle-orm";
import { zipSync } from "fflate";
import { Transform } from "prosemirror-transform";
import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { Cut } from "@/contract";
import { readPicturePath } from "@/core/addresses";
import { plainRecipe, visibilityOn, wholeCrop } from "@/core/pictures";
import { blankSignature, insertParts, parseSignature, picturesOf, schema } from "@/core/signature";
import { database } from "../database/database";
import { pictureColors } from "../database/schema";
import { closeImaging } from "../imaging/imaging";
import { animation, halves, pixelsOf, plain } from "../imaging/pictures-for-tests";
import { addSignature, deleteSignature, findSignature } from "../signatures/signatures";
import { nameVersion } from "../signatures/versions";
import { findPictures, pictureCatalogue, pictureEntries } from "./catalogue";
import { findCuts, makeCut, previewCut, readHosted } from "./cuts";
import { makeLoop, startLoop } from "./loops";
import { colorsOfCuts } from "./picture-colors";
import {
  addOriginal,
  addUpload,
  findOriginal,
  listOriginals,
  readOriginal,
  renameOriginal,
} from "./originals";
import { cutAgain, cutWhole } from "./placing";
import { replaceOriginal, takeBackReplacement } from "./replace-original";
import { listUnused, purgeRemoved, removePictures, restorePictures } from "./unused";

let folder: string;

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
});

afterAll(async () => {
  await closeImaging();
  await rm(folder, { recursive: true, force: true });
});

const hosted = async ({ source }: Pick<Cut, "source">) => {
  const { hash, fileName } = readPicturePath(source)!;
  return readHosted(hash, fileName);
};

/** A signature that shows some cuts. */
async function signatureWith(name: string, ...cuts: readonly Cut[]): Promise<string> {
  const transform = new Transform(blankSignature(1, 1));
  let at = 0;
  transform.doc.descendants((node, position) => {
    if (node.type.name === "cell") at = position + 1;
  });
  for (const { source, width, height } of cuts)
    insertParts(transform, at, [schema.nodes.picture.create({ source, width, height, alt: name })]);
  return addSignature({ name, personId: null, document: transform.doc.toJSON() });
}

const sourcesOf = async (id: string): Promise<readonly string[]> =>
  picturesOf(parseSignature((await findSignature(id)).document)).map(({ node }) => String(node.attrs.source));

describe("the picture store", () => {
  it("keeps the original untouched, cuts it to an exact display size at 2x, and serves the cut by its content", async () => {
    const photo = await readFile("demo/pictures/originals/anjali-rao.jpg");
    const original = await addOriginal(photo, "Anjali Rao.jpg");
    expect(original).toMatchObject({
      name: "Anjali Rao.jpg",
      type: "jpeg",
      width: 1200,
      height: 900,
      bytes: photo.length,
      transparent: false,
      frames: 1,
    });
    expect(await readOriginal(original.hash)).toEqual(photo);

    const first = await cutWhole(original.hash, 98);
    expect(first).toMatchObject({ width: 98, height: 74, use: "photo", needed: null });
    const sized = await cutAgain(first.source, { height: 75 });
    expect(sized).toMatchObject({ width: 100, height: 75, pixels: { width: 200, height: 150 } });
    expect(sized.source).toMatch(/^\/h\/[0-9a-f]{20}\/anjali-rao\.jpg$/);
    expect(sized.source).not.toBe(first.source);
    // The first goes on being served.
    expect((await hosted(first))!.type).toBe("jpeg");
    expect(await sharp((await hosted(sized))!.bytes).metadata()).toMatchObject({ width: 200, height: 150 });
    expect(await readHosted(readPicturePath(sized.source)!.hash, "other.jpg")).toBeNull();
    expect((await findCuts([first.source, "https://a.example/x.png"])).map(({ source }) => source)).toEqual([
      first.source,
    ]);
  });

  it("keeps the colours of its cuts, worked out once", async () => {
    const black = await cutWhole((await addOriginal(await plain(48, 48, "#101010"), "bar.png")).hash, 24);
    const away = { ...black, source: "/h/0123456789abcdef0123/away.png" };
    const colors = await colorsOfCuts([black, away]);
    expect(colors).toEqual({ [black.source]: [{ color: "#101010", share: 1, corner: true }] });
    expect(visibilityOn(colors[black.source]!, "#000000", "#FFFFFF")).toBe(0);

    const { hash } = readPicturePath(black.source)!;
    const db = await database();
    await db.update(pictureColors).set({ colors: '[{"color":"#FFFFFF","share":1,"corner":true}]' });
    expect(visibilityOn((await colorsOfCuts([black]))[black.source]!, "#000000", "#FFFFFF")).toBe(1);
    // What is not a list of colours as it is kept now is worked out anew.
    await db
      .update(pictureColors)
      .set({ colors: '[{"color":"#FFFFFF","share":1}]' })
      .where(eq(pictureColors.hash, hash));
    expect(await colorsOfCuts([black])).toEqual(colors);
    expect(await colorsOfCuts([])).toEqual({});
  });

  it("takes the same bytes again as the same original, and cuts only what is hosted", async () => {
    const bytes = await plain(64, 64, "#C08A2B");
    expect((await addOriginal(bytes, "one.png")).hash).toBe((await addOriginal(bytes, "two.png")).hash);
    await expect(cutAgain("https://a.example/x.png", { width: 10 })).rejects.toThrow(
      "This picture is not hosted here, so it cannot be cut",
    );
    await expect(cutWhole("0123456789abcdef0123", 10)).rejects.toThrow("There is no such original any more.");
  });

  it("takes an archive, keeps files of one name apart, and says of each that it does not take why", async () => {
    const archive = zipSync({
      "a/photo.png": await plain(30, 30, "#111111"),
      "b/photo.png": await plain(30, 30, "#222222"),
      "notes.txt": Buffer.from("hello"),
    });
    const { originals, refused, notes } = await addUpload(archive, "pictures.zip");
    expect(notes).toEqual([]);
    expect(originals.map(({ name }) => name)).toEqual(["photo.png", "photo.png"]);
    expect(new Set(originals.map(({ hash }) => hash)).size).toBe(2);
    expect(refused).toMatchObject([
      { name: "notes.txt", message: /is no picture that can be read here/ as never },
    ]);
  });

  it("says of a PNG that moves that only its still picture is used", async () => {
    const still = await plain(30, 30, "#113355");
    // The animation control chunk: 2 frames, for ever; its checksum is that of W3C PNG, annex D.
    const control = Buffer.from("000000086163544c0000000200000000f38d9370", "hex");
    const afterHeader = 8 + 25;
    const moving = Buffer.concat([still.subarray(0, afterHeader), control, still.subarray(afterHeader)]);
    expect((await addUpload(moving, "drum.png")).notes).toEqual([
      "“drum.png” moves, and of a PNG only the still picture is used: save it as GIF or WebP to make a loop.",
    ]);
    expect((await addUpload(zipSync({ "drum.png": moving }), "drums.zip")).notes).toHaveLength(1);
    expect((await addUpload(still, "still.png")).notes).toEqual([]);
  });

  it("of an empty archive says that it is empty", async () => {
    await expect(addUpload(zipSync({}), "pictures.zip")).rejects.toThrow(
      "“pictures.zip” holds no file: choose another archive.",
    );
  });

  it("names cuts after the original's name at the time", async () => {
    const original = await addOriginal(await plain(50, 50, "#334455"), "IMG_0001.png");
    const before = await cutWhole(original.hash, 20);
    await renameOriginal(original.hash, "Seed vault door");
    const after = await cutWhole(original.hash, 21);
    expect([before.fileName, after.fileName]).toEqual(["img-0001.png", "seed-vault-door.png"]);
    expect(await hosted(before)).not.toBeNull();
  });

  it("places an animation as a loop, in its own times, and a vector with the pixels that it needs", async () => {
    const moving = await addOriginal(await animation(["#ff0000", "#00ff00"]), "jars.gif");
    expect(moving.frames).toBe(2);
    const loop = await cutWhole(moving.hash, 100);
    expect(loop).toMatchObject({ type: "gif", use: "loop", recipe: null, fileName: "jars.gif" });
    expect(loop.loop!.frames.map(({ time }) => time)).toEqual([120, 120]);
    expect(await cutAgain(loop.source, { width: 10 })).toMatchObject({ type: "gif", width: 10, height: 8 });
    const svg =
      '<svg xmlns="http://www.w3.org/2000/svg" width="10" height="5"><rect width="10" height="5"/></svg>';
    const vector = await addOriginal(Buffer.from(svg), "line.svg");
    expect(await cutWhole(vector.hash, 60)).toMatchObject({
      width: 60,
      height: 30,
      pixels: { width: 120, height: 60 },
      needed: null,
    });
  });

  it("shows what a recipe would come out as without keeping it", async () => {
    const original = await addOriginal(await halves(200, 100, "#3F5B2E", "#C08A2B"), "halves.png");
    const recipe = plainRecipe(wholeCrop(original), { width: 150, height: 75 });
    const preview = await previewCut(original.hash, recipe);
    expect(preview).toMatchObject({
      width: 200,
      height: 100,
      needed: { width: 300, height: 150 },
      use: "logo",
    });
    expect(await findCuts([preview.source])).toEqual([]);
    expect((await makeCut(original, recipe)).source).toBe(preview.source);
  });
});

describe("replacing an original", () => {
  it("makes every cut and loop again at new addresses, puts them into the signatures, and can be taken back", async () => {
    const old = await addOriginal(await halves(400, 200, "#ff0000", "#0000ff"), "Ada.png");
    const cut = await makeCut(old, {
      ...plainRecipe({ x: 200, y: 0, width: 200, height: 200 }, { width: 50, height: 50 }),
      frame: { shape: "circle", ring: null },
      format: { kind: "png" },
    });
    const loop = await makeLoop(await startLoop({ kind: "pictures", originals: [old.hash] }));
    const id = await signatureWith("Replaced", cut, loop);
    const before = await sourcesOf(id);
    const replaced = await replaceOriginal(old.hash, await halves(800, 400, "#00ff00", "#ffff00"), "new.png");
    expect(replaced).toMatchObject({ cuts: 2, signatures: 1, original: { name: "Ada.png", width: 800 } });
    const after = await sourcesOf(id);
    expect(after.every((source) => !before.includes(source))).toBe(true);
    const [made] = await findCuts(after.filter((source) => source.endsWith(".png")));
    expect(made!.recipe!.crop).toEqual({ x: 400, y: 0, width: 400, height: 400 });
    expect((await pixelsOf((await hosted(made!))!.bytes)).at(50, 50)).toEqual([255, 255, 0, 255]);
    // What was sent already goes on being served, and the library shows the new original only.
    expect(await hosted(cut)).not.toBeNull();
    expect((await listOriginals()).map(({ hash }) => hash)).not.toContain(old.hash);
    await expect(
      replaceOriginal(replaced.original.hash, await readOriginal(replaced.original.hash), "x.png"),
    ).rejects.toThrow("“x.png” is the very file that is here already.");

    await takeBackReplacement(old.hash);
    expect(await sourcesOf(id)).toEqual(before);
    expect((await listOriginals()).map(({ hash }) => hash)).toContain(old.hash);
  });
});

describe("unused pictures", () => {
  it("are those that no signature, version or deleted signature shows; they are removed, taken back, and purged", async () => {
    const original = await addOriginal(await plain(80, 80, "#778899"), "shown.png");
    const [shown, inVersion, inDeleted, free] = await Promise.all(
      [20, 21, 22, 23].map((width) => cutWhole(original.hash, width)),
    );
    await signatureWith("Shows", shown!);
    const versioned = await signatureWith("Versioned", inVersion!);
    await nameVersion(versioned, "first");
    const deleted = await signatureWith("Deleted", inDeleted!);
    await deleteSignature(deleted);
    const lonely = await addOriginal(await plain(81, 81, "#998877"), "lonely.png");
    const lonelyCut = await cutWhole(lonely.hash, 30);

    const unused = await listUnused();
    const cuts = unused.cuts.map(({ source }) => source);
    expect(cuts).toContain(free!.source);
    expect(cuts).toContain(lonelyCut.source);
    for (const used of [shown, inVersion, inDeleted]) expect(cuts).not.toContain(used!.source);
    expect(unused.originals.map(({ hash }) => hash)).toContain(lonely.hash);
    expect(unused.originals.map(({ hash }) => hash)).not.toContain(original.hash);

    await expect(removePictures({ cuts: [free!.source, shown!.source], originals: [] })).rejects.toThrow(
      "One of these pictures is in use again: nothing was removed.",
    );
    expect(await hosted(free!)).not.toBeNull();
    const removed = await removePictures({ cuts: [free!.source], originals: [lonely.hash] });
    expect(removed.cuts).toContain(lonelyCut.source);
    expect([await hosted(free!), await hosted(lonelyCut)]).toEqual([null, null]);
    await expect(findOriginal(lonely.hash)).rejects.toThrow("There is no such original any more.");
    await restorePictures(removed);
    expect(await hosted(lonelyCut)).not.toBeNull();

    await removePictures({ cuts: [free!.source], originals: [lonely.hash] });
    await purgeRemoved(Date.now() + 31 * 24 * 60 * 60_000);
    await expect(restorePictures(removed)).rejects.toThrow("There is no such removed picture any more.");
    expect([await hosted(free!), await hosted(lonelyCut)]).toEqual([null, null]);
    expect(await hosted(shown!)).not.toBeNull();
  });

  it("stand in the catalogue with where they are used", async () => {
    const original = await addOriginal(await plain(44, 44, "#123456"), "used.png");
    const cut = await cutWhole(original.hash, 20);
    await signatureWith("Uses it", cut);
    const { entries } = await pictureCatalogue();
    const entry = entries.find((candidate) => candidate.original.hash === original.hash)!;
    expect(entry.cuts).toMatchObject([{ source: cut.source, usedIn: ["Uses it"] }]);
    expect(await pictureEntries([original.hash, "0123456789abcdef0123"])).toEqual([entry]);
  });

  it("are found by their names and by those of their cuts, whatever the accents", async () => {
    const orchid = await addOriginal(await plain(45, 45, "#123456"), "Orchidée.png");
    const tray = await addOriginal(await plain(46, 46, "#123456"), "tray.png");
    const { fileName } = await cutWhole(tray.hash, 20);
    const found = async (look: string) => (await findPictures(look)).hashes;
    expect(await found("orchidee")).toEqual([orchid.hash]);
    expect(await found(fileName)).toEqual([tray.hash]);
    expect(await found("orchidee tray")).toEqual([]);
    const { hashes, all } = await findPictures();
    expect(hashes).toHaveLength(all.originals);
    await removePictures({ cuts: [], originals: [orchid.hash] });
    expect(await found("orchidee")).toEqual([]);
  });
});
