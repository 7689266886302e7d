import { mkdtemp, readFile, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { unzipSync } from "fflate";
import sharp from "sharp";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { KitsMade } from "@/contract";
import { readPicturePath } from "@/core/addresses";
import { emptyPerson, writePictureDetail, type Person } from "@/core/people";
import { plainRecipe } from "@/core/pictures";
import { build, pictureKey, picturesToMake, type Substitute } from "@/core/signature";
import { compareInstall, listInstalls, recordInstall } from "../install/installs";
import { kitSource, kitSourceFor } from "../install/kit-source";
import { makeKits, prepareKits, takeKits } from "../install/kits-for-all";
import { closeImaging } from "../imaging/imaging";
import { findCut, makeCut } from "../pictures/cuts";
import { addOriginal } from "../pictures/originals";
import { replaceOriginal, takeBackReplacement } from "../pictures/replace-original";
import { listUnused } from "../pictures/unused";
import { addSignature, findSignature } from "../signatures/signatures";
import { openSignature } from "../signatures/open-signature";
import { pictureStore } from "../store/store";
import { addPerson, changePeople } from "./change-people";
import { allWithOwnPictures, withOwnPictures } from "./own-pictures";
import { countPortraits, picturesOfPeople, portraitsOf } from "./pictures-of-people";

let folder: string;
let photo: string;
let other: string;
/** A cut of the one photograph: 40 × 40 px in a circle. */
let placed: string;

/** A photograph in one colour with a dark post in it. */
const photograph = (color: string) =>
  sharp(
    Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="300" height="200"><rect width="300" height="200" fill="${color}"/><rect x="170" width="8" height="200" fill="#111"/></svg>`,
    ),
  )
    .png()
    .toBuffer();

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
  const [design, own] = await Promise.all([
    addOriginal(await photograph("#3F5B2E"), "design.png"),
    addOriginal(await photograph("#C08A2B"), "IMG_2034.png"),
  ]);
  [photo, other] = [design.hash, own.hash];
  const recipe = plainRecipe({ x: 50, y: 0, width: 200, height: 200 }, { width: 40, height: 40 });
  placed = (await makeCut(design, { ...recipe, frame: { shape: "circle", ring: null } })).source;
});
afterAll(async () => {
  await closeImaging();
  await rm(folder, { recursive: true, force: true });
});

const { cell, line, row, signature, table, text } = build;
const document = (without: Substitute = "initials", source = placed) =>
  signature(
    { linkColor: "#1F5B57" },
    table(
      row(
        cell(
          { width: [80] },
          build.picture({ source, width: 40, height: 40, alt: "x", field: "portrait", without }),
        ),
        cell({ width: [200] }, line(text("Ada"))),
      ),
    ),
  );

const detail = (x = 150): string => writePictureDetail({ original: other, focus: { x, y: 100, side: 120 } });
const ada = (): Person => ({ ...emptyPerson, name: "Ada Quill", portrait: detail() });

const pathOf = async (of: ReturnType<typeof document>, person: Person): Promise<string> => {
  const key = pictureKey(picturesToMake(of, person)[0]!);
  return (await withOwnPictures(of, person))?.pictures?.[key] ?? "";
};

async function middleOf(source: string): Promise<string> {
  const { hash, fileName } = readPicturePath(source)!;
  const { type } = await findCut(source);
  const bytes = await pictureStore().get({ kind: "cut", hash, fileName, type: type as "png" });
  const { data, info } = await sharp(bytes!).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  const at = (Math.floor(info.height / 2) * info.width + Math.floor(info.width / 4)) * 4;
  return `#${data
    .subarray(at, at + 3)
    .toString("hex")
    .toUpperCase()}`;
}

describe("the pictures of people", () => {
  it("are their photographs in the cut of the one placed, under a name that says whose they are", async () => {
    const source = await pathOf(document(), ada());
    const { recipe, pixels, fileName } = await findCut(source);
    expect(recipe).toMatchObject({
      ...{ frame: { shape: "circle", ring: null }, width: 40, height: 40 },
      crop: { x: 90, y: 40, width: 120, height: 120 },
    });
    expect([pixels, fileName]).toEqual([{ width: 80, height: 80 }, "ada-quill.png"]);
    expect(await middleOf(source)).toBe("#C08A2B");
  });

  it("are plainly cut where no picture is placed to be made like", async () => {
    const { recipe } = await findCut(await pathOf(document("initials", ""), ada()));
    expect(recipe).toMatchObject({ frame: { shape: "rectangle" }, width: 40, height: 40 });
  });

  it("are initials on the colour of links for who has none, and a figure where no face has the letters", async () => {
    for (const name of ["Tamsin Okafor", "陽"]) {
      const source = await pathOf(document(), { ...emptyPerson, name });
      const { originalHash, recipe } = await findCut(source);
      expect([originalHash, recipe?.frame.shape]).toEqual([null, "circle"]);
      expect(await middleOf(source)).toBe("#1F5B57");
    }
    expect(await pathOf(document(), { ...emptyPerson, name: "Tamsin Okafor" })).toContain("/initials-to.png");
  });

  it("are made once, however often and by however many they are asked for", async () => {
    const person = { ...emptyPerson, name: "Bo", portrait: detail(140) };
    const asked = await Promise.all([1, 2, 3].map(() => pathOf(document(), person)));
    expect(new Set(asked).size).toBe(1);
    expect(await pathOf(document(), person)).toBe(asked[0]);
  });

  it("leave an empty place where the photograph is gone, and others are not held up by it", async () => {
    const gone = { ...ada(), portrait: `${"f".repeat(20)} 10 10 10` };
    const [first, second] = await allWithOwnPictures([
      { document: document(), person: gone },
      { document: document(), person: ada() },
    ]);
    expect(first?.pictures).toEqual({});
    expect(Object.values(second?.pictures ?? {})).toHaveLength(1);
  });

  it("are nobody's for nobody, and the very same person comes back where nothing is their own", async () => {
    const same = signature({}, table(row(cell({ width: [80] }, line(text("Ada"))))));
    const person = ada();
    expect(await withOwnPictures(same, person)).toBe(person);
    expect(await withOwnPictures(document(), null)).toBeNull();
  });
});

describe("a signature with a place for them", () => {
  const stored = async (personId: string) =>
    addSignature({ name: "For everybody", personId, document: document().toJSON() as object });

  it("is opened, packed and installed with them; another part of the photograph puts installs out of date", async () => {
    await addPerson("ada", ada());
    const id = await stored("ada");
    const opened = await openSignature(id);
    const own = await pathOf(document(), ada());
    expect(opened.html).toContain(own);
    // What is placed is looked at as well, since it is what all are made like.
    expect(Object.keys(opened.pictures).sort()).toEqual([own, placed].sort());

    const found = await findSignature(id);
    const source = await kitSource(found, null);
    const forAda = await kitSourceFor(source, ada());
    expect([...forAda.pictures.keys()].sort()).toEqual([own, placed].sort());

    await recordInstall(id, {
      ...{ revision: found.revision, form: "full", kind: "webmail", account: "ada@harrowfen.example" },
      ...{ use: "new", by: "Ada", note: "" },
    });
    expect((await listInstalls())[0]?.changes).toBeNull();
    await changePeople([{ id: "ada", from: { portrait: detail() }, to: { portrait: detail(160) } }]);
    const [install] = await listInstalls();
    expect(install?.changes).toEqual(["Portrait shows another part of the photograph."]);
    const compared = await compareInstall(install?.id ?? "");
    expect([compared.before.includes(own), compared.after.includes(own)]).toEqual([true, false]);
    await changePeople([{ id: "ada", from: { portrait: detail(160) }, to: { portrait: "" } }]);
    expect((await listInstalls())[0]?.changes).toEqual(["Portrait is gone."]);
    await changePeople([{ id: "ada", from: { portrait: "" }, to: { portrait: detail() } }]);
    expect((await listInstalls())[0]?.changes).toBeNull();
  });

  it("keeps photographs and what was made of them from being unused", async () => {
    const { cuts, originals } = await listUnused();
    const own = await pathOf(document(), ada());
    expect(cuts.map(({ source }) => source)).not.toContain(own);
    expect(originals.map(({ hash }) => hash)).not.toContain(other);
    expect(originals.map(({ hash }) => hash)).not.toContain(photo);
    expect(await readFile(path.join(folder, "still-line.db"))).not.toHaveLength(0);
  });
});

describe("kits for everybody", () => {
  it("hold each person's own picture, and nobody else's", async () => {
    await addPerson("di", { ...emptyPerson, name: "Di Ash", portrait: detail(120), department: "Kits" });
    await addPerson("ed", { ...emptyPerson, name: "Ed Oak", department: "Kits" });
    await addPerson("flo", {
      ...{ ...emptyPerson, name: "Flo Elm", department: "Kits" },
      portrait: `${"e".repeat(20)} 10 10 10`,
    });
    const id = await addSignature({ name: "All", personId: null, document: document().toJSON() as object });
    const told: KitsMade[] = [];
    const prepared = await prepareKits(id, "desktop-open", {
      whom: { kind: "department", name: "Kits" },
      pictures: "carried",
    });
    await makeKits(prepared, (each) => told.push(each), new AbortController().signal);
    const last = told.at(-1);
    if (last?.kind !== "made") throw new Error("no kits were made");
    // Whose photograph is gone is told, and gets no kit with a hole in it.
    expect(last).toMatchObject({ made: 2, failed: [{ name: "Flo Elm" }] });
    const files = unzipSync(new Uint8Array(await (await takeKits(last.file)).arrayBuffer()));
    const pageOf = (name: string): string =>
      Object.entries(files)
        .filter(([file]) => file.startsWith(`${name}/`) && file.endsWith(".html"))
        .map(([, bytes]) => new TextDecoder().decode(bytes))
        .join("");
    const bytesIn = async (person: Person): Promise<string> => {
      const { hash, fileName } = readPicturePath(await pathOf(document(), person))!;
      return (await pictureStore().get({ kind: "cut", hash, fileName, type: "png" }))!.toString("base64");
    };
    const di = await bytesIn({ ...emptyPerson, name: "Di Ash", portrait: detail(120) });
    const ed = await bytesIn({ ...emptyPerson, name: "Ed Oak" });
    expect([pageOf("Di Ash").includes(di), pageOf("Di Ash").includes(ed)]).toEqual([true, false]);
    expect([pageOf("Ed Oak").includes(ed), pageOf("Ed Oak").includes(di)]).toEqual([true, false]);
  });
});

describe("a photograph that takes another's place", () => {
  it("takes it with people as well, who show the same part of it, and gives it back", async () => {
    const old = await addOriginal(await photograph("#556677"), "Bea.png");
    const own = writePictureDetail({ original: old.hash, focus: { x: 150, y: 100, side: 80 } });
    await addPerson("bea", { ...emptyPerson, name: "Bea", portrait: own, "picture:Badge": own });
    const larger = await sharp(await photograph("#665577"))
      .resize(600, 400)
      .png()
      .toBuffer();
    const { original: now } = await replaceOriginal(old.hash, larger, "Bea again.png");
    const after = writePictureDetail({ original: now.hash, focus: { x: 300, y: 200, side: 160 } });
    const [bea] = await portraitsOf(["bea"]);
    expect([bea?.person.portrait, bea?.person["picture:Badge"]]).toEqual([after, after]);
    expect(bea?.original).toMatchObject({ hash: now.hash, name: "Bea.png", width: 600 });
    await takeBackReplacement(old.hash);
    expect((await portraitsOf(["bea"]))[0]?.person.portrait).toBe(own);
  });
});

describe("the sheet of portraits", () => {
  it("has those who are asked for, in their order, with what the library knows of their photographs", async () => {
    await addPerson("cy", { ...emptyPerson, name: "Cy" });
    const listed = await portraitsOf(["cy", "nobody", "ada"]);
    expect(listed.map(({ id, original }) => [id, original?.hash ?? null])).toEqual([
      ["cy", null],
      ["ada", other],
    ]);
    const all = await countPortraits();
    await changePeople([{ id: "cy", from: { portrait: "" }, to: { portrait: detail() } }]);
    expect(await countPortraits()).toBe(all + 1);
    expect(await picturesOfPeople()).toContain(other);
  });
});
