import { mkdtemp, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { mostAtOnce } from "@/contract";
import { emptyPerson } from "@/core/people";
import { build } from "@/core/signature";
import { addPerson, changePeople } from "../people/change-people";
import { findPerson } from "../people/people";
import { openSignature, openSignatures } from "../signatures/open-signature";
import { addSignature, deleteSignature, saveDocument, setAside } from "../signatures/signatures";
import { keepAnswer } from "../links/answers";
import { findOnShelf, shelfCards } from "./shelf";

let folder: string;

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
  await addPerson("zoe", { ...emptyPerson, name: "Zoë Ngata", title: "Keeper of rye" });
});
afterAll(() => rm(folder, { recursive: true, force: true }));

const written = (words: string) =>
  build
    .signature(
      {},
      build.table(
        build.row(build.cell({ width: [300] }, build.line(build.field("title"), build.text(` ${words}`)))),
      ),
    )
    .toJSON() as object;

const add = (name: string, words: string, personId: string | null = "zoe"): Promise<string> =>
  addSignature({ name, personId, document: written(words) });

describe("the Shelf", () => {
  it("is looked through by what is written in a signature for its person, and by names", async () => {
    const rye = await add("Harvest", "in the cold store");
    const other = await add("Winter", "for nobody", null);
    const found = async (look: string) => (await findOnShelf({ look, order: "name" })).ids;
    expect(await found("")).toEqual([rye, other]);
    expect(await found("keeper cold")).toEqual([rye]);
    expect(await found("zoe")).toEqual([rye]);
    expect(await found("winter")).toEqual([other]);
    expect(await found("orchid")).toEqual([]);
    expect((await findOnShelf({ look: "orchid", order: "name" })).all).toBe(2);
    await saveDocument(other, written("with an orchid"), 1);
    expect(await found("orchid")).toEqual([other]);
    await deleteSignature(other);
    expect(await found("orchid")).toEqual([]);
  });

  it("gives the cards of those that are on it, in the order that is asked for", async () => {
    const [one, two] = [await add("One", "a"), await add("Two", "b")];
    const gone = await add("Gone", "c");
    await deleteSignature(gone);
    const cards = await shelfCards([two, gone, "nothing", one]);
    expect(cards.map(({ name }) => name)).toEqual(["Two", "One"]);
    expect(cards[0]?.html).toContain("Keeper of rye b");
  });

  it("puts all of them in the order of their findings, however many", async () => {
    const address = "https://nothing.harrowfen.example/";
    const worst = await add("Broken", "seeds");
    const leading = JSON.parse(
      JSON.stringify(written("See it")).replace(
        '"text":" See it"',
        `"text":" See it","marks":[{"type":"link","attrs":{"href":${JSON.stringify(address)}}}]`,
      ),
    ) as object;
    await saveDocument(worst, leading, 1);
    await keepAnswer({ address, verdict: "not-found", message: "Gone.", redirects: [], better: null });
    for (let at = 0; at < mostAtOnce; at += 1) await add(`Even ${at}`, `${at}`);
    const { ids, all } = await findOnShelf({ look: "", order: "findings" });
    expect(ids).toHaveLength(all);
    expect(all).toBeGreaterThan(mostAtOnce);
    expect(ids[0]).toBe(worst);
    const [first, second] = await shelfCards(ids.slice(0, 2));
    expect(first?.breaking).toBeGreaterThan(second?.breaking ?? 0);
  });
});

describe("signatures that are opened together", () => {
  it("are as each is opened alone, and are made anew when anything around them changes", async () => {
    const id = await add("Around", "d");
    const together = async () => (await openSignatures([id]))[0];
    expect(await together()).toEqual(await openSignature(id));
    const before = await together();
    const title = (await findPerson("zoe"))?.person.title ?? "";
    await changePeople([{ id: "zoe", from: { title }, to: { title: "Keeper of oats" } }]);
    const after = await together();
    expect(after?.html).toBe(before?.html.replaceAll("rye", "oats"));
    const [finding] = after?.findings ?? [];
    if (finding) {
      await setAside(id, { code: finding.code, message: finding.message, reason: "It is meant" });
      expect((await together())?.findings[0]?.aside).toBe("It is meant");
    }
    await saveDocument(id, written("changed"), 1);
    expect((await together())?.html).toContain("Keeper of oats changed");
    expect(await openSignatures([])).toEqual([]);
  });
});
