import { mkdtemp, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { unzipSync } from "fflate";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { blankSignature, insertParts, parseSignature, picturesOf, schema } from "@/core/signature";
import { Transform } from "prosemirror-transform";
import { closeImaging } from "../imaging/imaging";
import { plain } from "../imaging/pictures-for-tests";
import { cutWhole } from "../pictures/placing";
import { addOriginal } from "../pictures/originals";
import { factsOf } from "../pictures/facts";
import { findCuts } from "../pictures/cuts";
import { addSignature, findSignature } from "../signatures/signatures";
import { shareCases, shareHost } from "../invented-sites/file-share";
import { emptyWebSpace, uploadToWebSpace, webSpaceBase } from "../invented-sites/web-space";
import { findForeignPictures, lookAtAddress } from "./foreign-pictures";
import { inspectAddress } from "./inspect-address";
import { checkPublicAddress, publicBase, setPublicBase } from "./public-address";
import { findPublished, hostHereAgain, publishPictures, zipPictures } from "./publish";

let folder: string;

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
});

afterAll(async () => {
  await closeImaging();
  await rm(folder, { recursive: true, force: true });
});

describe("an address elsewhere", () => {
  const expected: Readonly<Record<string, readonly [verdict: string, message: RegExp]>> = {
    "A direct picture": ["open", /^It is a picture, and open to all\.$/],
    "A page that shows a picture": [
      "page",
      /^This is a page that shows a picture, and not the picture itself/,
    ],
    "A restricted picture": ["restricted", /^It asks to sign in, so recipients see nothing/],
    "A picture that moved": ["moved", /has moved for good/],
    "A picture that is gone": ["gone", /^It answers 410: there is no picture here any more/],
    "A picture that is slow": ["too-slow", /^It did not answer within 10 seconds/],
    "A picture that forbids embedding": ["forbids-embedding", /forbids pages of others to show it/],
  };

  it.each(shareCases.filter(({ path: at }) => !at.startsWith("/slow")))(
    "on the invented share: $title",
    async ({ path: at, title }) => {
      const report = await inspectAddress(shareHost + at);
      expect(report.verdict).toBe(expected[title]![0]);
      expect(report.message).toMatch(expected[title]![1]);
    },
  );

  it("says what the picture is, where it led, and which address would be better", async () => {
    expect(await inspectAddress(`${shareHost}/2019/seed-jars.png`)).toMatchObject({
      redirects: [`${shareHost}/pictures/seed-jars.png`],
      better: `${shareHost}/pictures/seed-jars.png`,
      picture: { type: "png", width: 520, height: 240, frames: 1 },
    });
    expect((await inspectAddress(`${shareHost}/look/seed-jars`)).better).toBe(
      `${shareHost}/pictures/seed-jars.png`,
    );
  });

  it.each([
    ["http://127.0.0.1:1/x.png", "private-address"],
    ["https://nobody.example/x.png", "no-such-host"],
    ["C:\\Pictures\\logo.png", "not-an-address"],
  ])("%s is refused with what to do", async (address, verdict) => {
    const report = await inspectAddress(address);
    expect(report.verdict).toBe(verdict);
    expect(report.message).toMatch(/\.$/);
  });

  it("is remembered, and known to the findings", async () => {
    const good = await lookAtAddress(` ${shareHost}/pictures/seed-jars.png `);
    const bad = await lookAtAddress(`${shareHost}/gone/seed-jars.png`);
    expect((await findForeignPictures([good.address]))[0]).toMatchObject({ verdict: "open" });
    const facts = await factsOf([good.address, bad.address, "https://never.example/x.png"], []);
    expect(facts[good.address]).toMatchObject({ pixels: { width: 520, height: 240 }, trouble: null });
    expect(facts[bad.address]).toMatchObject({ pixels: null, trouble: { usable: false } });
    expect(Object.keys(facts)).toHaveLength(2);
  });
});

describe("the public address", () => {
  it("is set, refused when it is none, and set back", async () => {
    expect((await setPublicBase(" https://pictures.harrowfen.example/mail/ ")).base).toBe(
      "https://pictures.harrowfen.example/mail",
    );
    expect(await publicBase()).toBe("https://pictures.harrowfen.example/mail");
    for (const wrong of [
      "pictures.harrowfen",
      "ftp://a.example",
      "https://a.example/?x=1",
      "https://n:w@a.example",
    ])
      await expect(setPublicBase(wrong)).rejects.toThrow(/is no base address: write it as/);
    expect(await publicBase()).toBe("https://pictures.harrowfen.example/mail");
    expect((await setPublicBase(null)).set).toBe(false);
  });

  it("is checked by fetching a test picture, and the reason is said when it does not come", async () => {
    await setPublicBase("https://nobody.example");
    expect(await checkPublicAddress()).toMatchObject({
      verdict: "failed",
      message: /no server of that name/ as never,
    });
    await setPublicBase("https://reedbasket.example");
    expect(await checkPublicAddress()).toMatchObject({ verdict: "failed" });
    await setPublicBase("http://10.0.0.1");
    expect((await checkPublicAddress()).message).toMatch(/private network/);
    await setPublicBase(null);
  });
});

describe("publishing elsewhere", () => {
  /** A signature with two pictures of one file name, and one of another. */
  async function makeSignature(): Promise<string> {
    const transform = new Transform(blankSignature(1, 1));
    for (const [color, name] of [
      ["#3F5B2E", "logo.png"],
      ["#C08A2B", "logo.png"],
      ["#F3EFE4", "banner.png"],
    ] as const) {
      const original = await addOriginal(await plain(40, 20, color), name);
      const { source, width, height } = await cutWhole(original.hash, 20);
      let at = 0;
      transform.doc.descendants((node, position) => {
        if (node.type.name === "cell") at = position + 1;
      });
      insertParts(transform, at, [schema.nodes.picture.create({ source, width, height, alt: name })]);
    }
    return addSignature({ name: "Published", personId: null, document: transform.doc.toJSON() });
  }

  const sourcesOf = async (id: string): Promise<readonly string[]> =>
    picturesOf(parseSignature((await findSignature(id)).document)).map(({ node }) =>
      String(node.attrs.source),
    );

  it("checks each picture byte for byte, and rewrites the addresses only when all are there", async () => {
    await emptyWebSpace();
    const id = await makeSignature();
    const before = await sourcesOf(id);
    const zip = await zipPictures(id);
    expect(Object.keys(unzipSync(zip)).sort()).toEqual(["banner.png", "logo-2.png", "logo.png"]);

    const nothing = await publishPictures(id, `${webSpaceBase}/`);
    expect(nothing).toMatchObject({ rewritten: false });
    expect(nothing.pictures.map(({ ok }) => ok)).toEqual([false, false, false]);
    await uploadToWebSpace(zip, "pictures.zip");
    await uploadToWebSpace(await plain(9, 9, "#000000"), "logo-2.png");
    const partly = await publishPictures(id, webSpaceBase);
    expect(partly.pictures.filter(({ ok }) => !ok)).toMatchObject([
      { name: "logo-2.png", message: "Another file is there: upload this one in its place." },
    ]);
    expect(await sourcesOf(id)).toEqual(before);

    await uploadToWebSpace(zip, "pictures.zip");
    expect(await publishPictures(id, webSpaceBase)).toMatchObject({ rewritten: true });
    const published = await sourcesOf(id);
    expect([...published].sort()).toEqual(
      ["banner.png", "logo-2.png", "logo.png"].map((name) => `${webSpaceBase}/${name}`),
    );
    // They are still known as the cuts that they are copies of.
    expect((await findCuts(published)).map(({ width }) => width)).toEqual([20, 20, 20]);
    await hostHereAgain(id);
    expect(await sourcesOf(id)).toEqual(before);
    expect(await findPublished(id)).toEqual([]);
  });

  it("is taken back for what was published, and not for a copy that somebody placed by its address", async () => {
    await emptyWebSpace();
    const id = await makeSignature();
    await uploadToWebSpace(await zipPictures(id), "pictures.zip");
    await publishPictures(id, webSpaceBase);
    const other = await addSignature({
      name: "By its address",
      personId: null,
      document: parseSignature((await findSignature(id)).document).toJSON(),
    });
    const placed = await sourcesOf(other);
    await hostHereAgain(other);
    expect(await sourcesOf(other)).toEqual(placed);
    expect((await findPublished(id)).map(({ address }) => address).sort()).toEqual([...placed].sort());
  });

  it("refuses what is no folder's address, and signatures without pictures", async () => {
    const id = await makeSignature();
    await expect(publishPictures(id, "my space")).rejects.toThrow(/is no base address/);
    const empty = await addSignature({
      name: "Empty",
      personId: null,
      document: blankSignature(1, 1).toJSON(),
    });
    await expect(zipPictures(empty)).rejects.toThrow("This signature has no picture that is hosted here.");
  });
});
