import { mkdtemp, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { LettersWritten, PageLetter } from "@/contract";
import { emptyPerson } from "@/core/people";
import { starterPatterns } from "@/core/signature";
import { removeInstall } from "../install/installs";
import { letterOf, listLetters } from "../mailroom/letters";
import { addPerson, changePeople, takeBackChange } from "../people/change-people";
import { findPerson } from "../people/people";
import { giveSignature } from "../people/who-gets-what";
import { startSignature } from "../signatures/signatures";
import { database } from "../database/database";
import { pageLetters } from "../database/schema";
import { Refusal } from "../http/refusal";
import { mayHaveGone } from "../outgoing/outgoing";
import { askedBy, listCorrections, settleCorrections } from "./corrections";
import { countPages, peopleWithPages } from "./list-pages";
import { correctOwn, ownKit, ownPage, recordOwnInstall } from "./own-page";
import { makePage, ownerOf, restorePage, tellCopied, tellOpened, withdrawPage } from "./pages";
import { prepareLetters, writeLetters } from "./write-letters";

let folder: string;
let [full, others] = ["", ""];
beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
  for (const [id, department] of [
    ["ada", "Press"],
    ["bo", "Press"],
    ["cy", "Learning"],
  ] as const)
    await addPerson(id, {
      ...emptyPerson,
      ...{ name: `Person ${id}`, title: "Keeper", department },
      mail: id === "bo" ? "" : `${id}@harrowfen.example`,
    });
  const start = (name: string): Promise<string> =>
    startSignature(starterPatterns[0]?.document.toJSON(), name);
  full = await start("Full");
  others = await start("Others");
  const departments = (name: string) => ({ kind: "some" as const, departments: [name], people: [] });
  await giveSignature(full, { audience: departments("Press"), purpose: "full" });
  await giveSignature(others, { audience: departments("Learning"), purpose: "full" });
});
afterAll(() => rm(folder, { recursive: true, force: true }));

const letter: PageLetter = {
  subject: "For {Name}",
  text: "Hello {Name},\n\nit is here: {Page}\n",
  base: "https://mine.harrowfen.example/",
};

async function written(
  wanted: { letter?: PageLetter; department?: string | null } = {},
  signal = new AbortController().signal,
): Promise<readonly LettersWritten[]> {
  const request = { letter, way: "mailroom" as const, department: null, ...wanted };
  const told: LettersWritten[] = [];
  await writeLetters(request, await prepareLetters(request), (each) => told.push(each), signal);
  return told;
}

describe("a page of somebody's own", () => {
  it("is at an address that nobody guesses, the same until it is withdrawn and another from then on", async () => {
    const { secret } = await makePage("ada");
    expect(secret).toMatch(/^[\w-]{32}$/);
    expect(await makePage("ada")).toEqual({ secret });
    expect((await ownerOf(secret)).id).toBe("ada");
    await withdrawPage("ada");
    await expect(ownerOf(secret)).rejects.toThrow("There is no page at this address any more");
    await expect(ownPage(secret)).rejects.toThrow("There is no page");
    await expect(withdrawPage("ada")).rejects.toThrow("There is no such page");
    await restorePage("ada");
    expect((await ownerOf(secret)).id).toBe("ada");
    await expect(restorePage("ada")).rejects.toThrow("There is no such page");
    await withdrawPage("ada");
    const another = await makePage("ada");
    expect(another.secret).not.toBe(secret);
    await expect(ownerOf(secret)).rejects.toThrow("There is no page");
    await expect(ownerOf("")).rejects.toThrow("There is no page");
    await expect(makePage("nobody")).rejects.toThrow("There is no such person");
  });

  it("shows one person's signatures and details, and nothing of anybody else", async () => {
    const { secret } = await makePage("ada");
    const page = await ownPage(secret);
    expect(page.signatures.map(({ name }) => name)).toEqual(["Full"]);
    expect(page.signatures[0]?.full.html).toContain("Person ada");
    const said = JSON.stringify(page);
    for (const other of ["Person bo", "Person cy", "Others"]) expect(said).not.toContain(other);
    expect(page.details.find(({ field }) => field === "name")?.value).toBe("Person ada");
    // What no signature of theirs shows is not told.
    expect(page.details.every(({ field }) => field !== "department" || said.includes("Press"))).toBe(true);
    await expect(ownKit(secret, "webmail", { signature: others })).rejects.toThrow(
      "There is no such signature",
    );
    await expect(ownKit(secret, "fax", { signature: full })).rejects.toThrow("There is no such kit");
    const kit = await ownKit(secret, "desktop-open", { signature: full });
    expect(new TextDecoder().decode(kit.bytes)).toContain("Person ada");
  });

  it("is gone with who is taken out of the directory, and there again with them", async () => {
    const { secret } = await makePage("cy");
    const { change } = await changePeople([{ id: "cy", from: {}, to: null }]);
    await expect(ownerOf(secret)).rejects.toThrow("There is no page");
    await takeBackChange(change);
    expect((await ownerOf(secret)).id).toBe("cy");
  });

  it("says what is installed, once for each kind of client, and that it is out of date when a detail changes", async () => {
    const { secret } = await makePage("ada");
    const put = () =>
      recordOwnInstall(secret, { signature: full, revision: 1, kind: "webmail", form: "full" });
    await put();
    await put();
    expect((await ownPage(secret)).installs.map(({ kind, by, changes }) => [kind, by, changes])).toEqual([
      ["webmail", "Person ada", null],
    ]);
    await changePeople([{ id: "ada", from: { title: "Keeper" }, to: { title: "Head keeper" } }]);
    expect((await ownPage(secret)).installs[0]?.changes).toEqual([
      "Title is “Head keeper” now, no longer “Keeper”.",
    ]);
    expect((await peopleWithPages(["ada"]))[0]).toMatchObject({ installs: 1, late: 1 });
    await put();
    expect((await ownPage(secret)).installs[0]?.changes).toBeNull();
    await expect(
      recordOwnInstall(secret, { signature: others, revision: 1, kind: "webmail", form: "full" }),
    ).rejects.toThrow("There is no such signature");
  });
});

describe("a correction", () => {
  it("waits until it is accepted, and is a change of the directory then that is taken back", async () => {
    const { secret } = await makePage("ada");
    await correctOwn(secret, { name: " Ada Quill ", title: "Head keeper" });
    // What is so already is not asked for, and the last word on a field counts.
    await correctOwn(secret, { name: "Ada Quill-Reed" });
    expect(await askedBy("ada")).toEqual([{ field: "name", after: "Ada Quill-Reed" }]);
    expect((await findPerson("ada"))?.person.name).toBe("Person ada");
    const [open] = await listCorrections();
    expect(open).toMatchObject({ personName: "Person ada", before: "Person ada", after: "Ada Quill-Reed" });
    const changed = await settleCorrections([open?.id ?? ""], true);
    expect((await findPerson("ada"))?.person.name).toBe("Ada Quill-Reed");
    expect(await listCorrections()).toEqual([]);
    expect(await settleCorrections([open?.id ?? ""], true)).toBeNull();
    await takeBackChange(changed?.change ?? "");
    expect((await findPerson("ada"))?.person.name).toBe("Person ada");
  });

  it("that is declined changes nothing, and all are accepted as one change", async () => {
    const [ada, cy] = [(await makePage("ada")).secret, (await makePage("cy")).secret];
    await correctOwn(ada, { name: "Ada A", title: "Chief" });
    await correctOwn(cy, { name: "Cy C" });
    const open = await listCorrections();
    expect(
      await settleCorrections([open.find(({ field }) => field === "title")?.id ?? ""], false),
    ).toBeNull();
    expect((await findPerson("ada"))?.person.title).toBe("Head keeper");
    const changed = await settleCorrections(
      (await listCorrections()).map(({ id }) => id),
      true,
    );
    expect(changed?.ids.toSorted()).toEqual(["ada", "cy"]);
    await takeBackChange(changed?.change ?? "");
    expect((await findPerson("cy"))?.person.name).toBe("Person cy");
  });

  it("is refused of what no signature shows, of an empty name and of what is too long", async () => {
    const { secret } = await makePage("ada");
    await expect(correctOwn(secret, { "text:Salary": "more" })).rejects.toThrow(
      "Salary stands in none of your signatures.",
    );
    await expect(correctOwn(secret, { name: "  " })).rejects.toThrow("A person needs a name.");
    await expect(correctOwn(secret, { name: "x".repeat(301) })).rejects.toThrow("at most 300 characters");
    expect(await listCorrections()).toEqual([]);
  });
});

describe("the letter that carries the addresses", () => {
  it("goes to everybody with a signature once, filled in, and says who could not be written to", async () => {
    const last = (await written()).at(-1);
    expect(last).toEqual({
      kind: "written",
      written: 2,
      before: 0,
      failed: [{ name: "Person bo", reason: "They have no mail address." }],
    });
    const { letters } = await listLetters("ada", { box: "in", search: "", most: 10 });
    expect(letters.map(({ subject }) => subject)).toEqual(["For Person ada"]);
    const { secret } = await makePage("ada");
    const { text, html } = await letterOf("ada", letters[0]?.id ?? "");
    expect(text).toContain(`Hello Person ada,\n\nit is here: https://mine.harrowfen.example/mine/${secret}`);
    expect(html).toContain(`href="https://mine.harrowfen.example/mine/${secret}"`);
    expect((await written()).at(-1)).toMatchObject({ written: 0, before: 2 });
    expect((await listLetters("ada", { box: "in", search: "", most: 10 })).letters).toHaveLength(1);
  });

  it("that was going when the process ended is not sent again, and one that failed is", async () => {
    const db = await database();
    await db.update(pageLetters).set({ state: "going" });
    expect((await written()).at(-1)).toMatchObject({ written: 0, before: 2 });
    await db.update(pageLetters).set({ state: "failed", trouble: "The line broke." });
    expect((await written({ department: "Learning" })).at(-1)).toMatchObject({ written: 1, before: 0 });
  });

  it("tells what a mail server says, tries again what did not go, and never what may have gone", async () => {
    const trouble = (says: string, code: string) => ({
      from: () => "office@harrowfen.example",
      send: async (_from: string, to: string) => {
        if (to.startsWith("ada")) throw new Refusal(422, code, says);
      },
    });
    const request = { letter, way: "server" as const, department: null };
    const told = async (says: string, code = "mail-server"): Promise<LettersWritten | undefined> => {
      const all: LettersWritten[] = [];
      await writeLetters(
        request,
        trouble(says, code),
        (each) => all.push(each),
        new AbortController().signal,
      );
      return all.at(-1);
    };
    const failed = (reason: string) => ({
      failed: [
        { name: "Person ada", reason },
        { name: "Person bo", reason: "They have no mail address." },
      ],
    });
    expect(await told("It refused.")).toMatchObject({ written: 1, before: 0, ...failed("It refused.") });
    expect((await peopleWithPages(["ada"]))[0]?.page?.letters.server).toMatchObject({
      state: "failed",
      trouble: "It refused.",
    });
    const open = "The line broke.";
    expect(await told(open, mayHaveGone)).toMatchObject({ written: 0, before: 1, ...failed(open) });
    expect(await told("Once more?")).toMatchObject({ written: 0, before: 2 });
  });

  it("stops between two letters, and not to those whose page is withdrawn", async () => {
    await withdrawPage("cy");
    expect((await written({ department: "Learning" })).at(-1)).toMatchObject({
      written: 0,
      failed: [{ name: "Person cy", reason: "Their page was withdrawn." }],
    });
    const stopped = new AbortController();
    stopped.abort();
    await expect(written({}, stopped.signal)).rejects.toThrow("aborted");
  });

  it.each([
    [{ ...letter, text: "No place" }, "The letter lacks {Page}"],
    [{ ...letter, subject: "{Colour}" }, "There is no field {Colour}: nothing was sent."],
    [{ ...letter, base: "mine.harrowfen.example" }, "begins with http:// or https://"],
  ])("is refused as a whole: %j", async (wrong, says) => {
    await expect(written({ letter: wrong })).rejects.toThrow(says);
  });

  it("is not sent for real while no mail server is set up", async () => {
    await expect(prepareLetters({ letter, way: "server", department: null })).rejects.toThrow(
      "Set up a mail server first",
    );
  });
});

describe("the list of pages", () => {
  it("says who opened theirs, copied from it and installed", async () => {
    const { secret } = await makePage("ada");
    await tellOpened(secret);
    await tellCopied(secret);
    await expect(tellOpened("none")).rejects.toThrow("There is no page");
    const [ada, bo] = await peopleWithPages(["ada", "nobody", "bo"]);
    expect(ada?.page?.openedAt).toBeTypeOf("number");
    expect(ada?.page?.copiedAt).toBeTypeOf("number");
    expect(ada?.page?.letters.mailroom?.state).toBe("failed");
    expect(bo?.page).toMatchObject({ openedAt: null, copiedAt: null, withdrawn: false });
    const counts = { withSignature: 3, pages: 2, opened: 1, copied: 1 };
    expect(await countPages()).toEqual({ ...counts, installed: 1 });
    // What is forgotten counts in neither.
    const [install] = (await ownPage(secret)).installs;
    await removeInstall(install?.id ?? "");
    expect(await countPages()).toEqual({ ...counts, installed: 0 });
    expect((await peopleWithPages(["ada"]))[0]?.installs).toBe(0);
  });
});
