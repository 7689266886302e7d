import { mkdtemp, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { zipSync } from "fflate";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { contentBox, type IconLook } from "@/core/icons";
import { closeImaging } from "../imaging/imaging";
import { mark, pixelsOf } from "../imaging/pictures-for-tests";
import { readHosted } from "../pictures/cuts";
import { listOriginals } from "../pictures/originals";
import { addIcons, deleteIcon, describeIcon, drawIcons, listMayBeIcons, listOwnIcons } from "./icons";

let folder: string;

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-icons-"));
  process.env.STILL_LINE_DATA = folder;
});

afterAll(async () => {
  await closeImaging();
  await rm(folder, { recursive: true, force: true });
});

const svg = Buffer.from(
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 40 40"><circle cx="24" cy="16" r="12" fill="#3F5B2E"/></svg>',
);

async function cutPixels(source: string) {
  const [, , hash, fileName] = source.split("/");
  return pixelsOf((await readHosted(hash!, fileName!))!.bytes);
}

const plain: IconLook = { style: "line", color: null, plate: "#E2ECE8" };

describe("icons of one's own", () => {
  it("come out of a zip as the best file of each, with what cannot be used said by name", async () => {
    const files = {
      "pack/fen-16.png": await mark(16, [1, 1, 1, 1], "#3F5B2E"),
      "pack/fen-64.png": await mark(64, [20, 4, 4, 20], "#3F5B2E"),
      "pack/fen-512.png": await mark(512, [200, 10, 10, 200], "#3F5B2E"),
      "pack/jar_24px.png": await mark(24, [2, 6, 6, 2], "#C08A2B"),
      "pack/jar.svg": svg,
      "pack/sluice@2x.png": await mark(48, [0, 0, 16, 16], "#A3262A"),
      "pack/readme.txt": Buffer.from("hello"),
    };
    const added = await addIcons(
      { bytes: zipSync(files), name: "icons.zip" },
      { pack: "Fen", note: "Drawn by Ada" },
    );
    expect(added.icons.map(({ name, type, width }) => `${name} ${type} ${width}`)).toEqual([
      "Fen png 512",
      "Jar svg 40",
      "Sluice png 48",
    ]);
    expect(added.leftOut).toBe(3);
    expect(added.refused.map(({ name }) => name)).toEqual(["readme.txt"]);
    expect(added.icons[0]!.note).toBe("Drawn by Ada");
    // What was left out is not in the library of pictures either.
    expect(await listOriginals()).toHaveLength(3);
  });

  it("give way to a better file of the same name, and stay before a worse one", async () => {
    const put = async (name: string, size: number) =>
      addIcons({ bytes: await mark(size, [1, 1, 1, 1], "#111111"), name }, { pack: "Single", note: "" });
    await put("gate-24.png", 24);
    await put("gate-96.png", 96);
    await put("gate-48.png", 48);
    expect((await listOwnIcons()).filter(({ pack }) => pack === "Single").map(({ width }) => width)).toEqual([
      96,
    ]);
  });

  it("are renamed, said where they came from, and taken out", async () => {
    const [icon] = (await listOwnIcons()).filter(({ pack }) => pack === "Single");
    await describeIcon(icon!.hash, { name: "Field gate", note: "From the signs at the gate" });
    expect((await listOwnIcons()).find(({ hash }) => hash === icon!.hash)).toMatchObject({
      name: "Field gate",
      note: "From the signs at the gate",
    });
    await deleteIcon(icon!.hash);
    expect((await listOwnIcons()).some(({ hash }) => hash === icon!.hash)).toBe(false);
    // Out of its pack, it is a picture that may be an icon.
    const others = await listMayBeIcons();
    expect(others).toContainEqual(expect.objectContaining({ hash: icon!.hash, name: "Gate", pack: "" }));
    const kept = (await listOwnIcons()).map(({ hash }) => hash);
    expect(others.some(({ hash }) => kept.includes(hash))).toBe(false);
    await expect(describeIcon(icon!.hash, { name: "x", note: "" })).rejects.toMatchObject({ status: 404 });
  });

  it("that are no pictures are refused with a sentence", async () => {
    await expect(
      addIcons({ bytes: Buffer.from("hello"), name: "note.png" }, { pack: "Fen", note: "" }),
    ).rejects.toMatchObject({
      status: 422,
    });
  });
});

describe("a row of icons", () => {
  it("from mixed files is drawn in equal boxes, filled equally whatever their margins", async () => {
    const own = await listOwnIcons();
    const drawn = await drawIcons(
      [
        ...own.map(({ hash }) => ({ kind: "own", hash }) as const),
        { kind: "glyph", glyph: "mail" },
        { kind: "glyph", glyph: "phone" },
        { kind: "glyph", glyph: "map" },
      ],
      plain,
      24,
    );
    expect(drawn).toHaveLength(6);
    for (const { cut } of drawn) {
      expect([cut!.width, cut!.height, cut!.pixels.width]).toEqual([24, 24, cut!.pixels.height]);
      const pixels = await cutPixels(cut!.source);
      const box = contentBox(pixels);
      // CSS px of the longer side of what is drawn.
      expect(Math.max(box.width, box.height) / (pixels.width / 24)).toBeGreaterThan(23);
    }
  });

  it.each(["circle", "rounded", "square", "outline"] as const)(
    "in the style %s fills its square with the plate, and keeps the icon in its middle",
    async (style) => {
      const look: IconLook = { style, color: "#FFFFFF", plate: "#3F5B2E" };
      const [drawn] = await drawIcons([{ kind: "glyph", glyph: "web" }], look, 32);
      const pixels = await cutPixels(drawn!.cut!.source);
      expect([pixels.width, pixels.height]).toEqual([64, 64]);
      const at = (x: number, y: number): number[] => [
        ...pixels.data.subarray((y * 64 + x) * 4, (y * 64 + x) * 4 + 4),
      ];
      expect(at(0, 0)[3]).toBe(style === "square" ? 255 : 0);
      // Between the edge and the icon: the plate, or nothing inside an outline.
      expect(at(32, 8)[3]).toBe(style === "outline" ? 0 : 255);
      expect(at(32, 1)).toEqual([63, 91, 46, 255]);
    },
  );

  it("is drawn anew from what stands in it: a glyph as a line or solid, in another colour and size", async () => {
    const [line] = await drawIcons([{ kind: "glyph", glyph: "mail" }], plain, 24);
    const [solid, foreign] = await drawIcons(
      [
        { kind: "placed", source: line!.cut!.source },
        { kind: "placed", source: "https://reedbasket.example/pictures/seed-jars.png" },
      ],
      { style: "solid", color: "#A3262A", plate: "#FFFFFF" },
      32,
    );
    expect(foreign!.cut).toBeNull();
    expect(solid!.cut).toMatchObject({ width: 32, originalName: "mail.svg", fileName: "mail.png" });
    expect(solid!.cut!.originalHash).not.toBe(line!.cut!.originalHash);
    const { data } = await cutPixels(solid!.cut!.source);
    const opaque = Array.from({ length: data.length / 4 }, (_, pixel) =>
      data.subarray(pixel * 4, pixel * 4 + 4),
    ).filter((pixel) => pixel[3] === 255);
    expect(opaque.length).toBeGreaterThan(500);
    for (const pixel of opaque) expect([...pixel.subarray(0, 3)]).toEqual([0xa3, 0x26, 0x2a]);
  });

  it("refuses a glyph that is not there", async () => {
    await expect(drawIcons([{ kind: "glyph", glyph: "nothing" }], plain, 24)).rejects.toMatchObject({
      status: 422,
    });
  });
});
