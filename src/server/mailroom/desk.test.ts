import { mkdtemp, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { grafted, readHost } from "@/core/graft";
import { emptyPerson } from "@/core/people";
import { addPerson } from "../people/change-people";
import { keepDesk, openDesk, usualClient } from "./desk";
import { changeHeld, deskFile, placeFiles, runDesk } from "./desk-files";

let folder: string;

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
  await addPerson("ada", { ...emptyPerson, name: "Ada Quill", mail: "ada@harrowfen.example" });
});

afterAll(() => rm(folder, { recursive: true, force: true }));

const choice = {
  address: "ada@harrowfen.example",
  underNew: null,
  underAnswers: null,
  place: "above",
  delimiter: false,
} as const;

const signature = (html: string, id = "one", name = "Full") => ({ id, name, html });
const asBase64 = (text: string): string => Buffer.from(text).toString("base64");

describe("settings that hold text", () => {
  it("keep what was pasted as this kind of client cleans it", async () => {
    expect((await openDesk("ada", "malthouse")).held).toEqual([]);
    const { held } = await keepDesk("ada", "malthouse", {
      signatures: [signature('<script>x</script><p class="a" style="color:#333333">Ada</p>')],
      choices: [{ ...choice, underNew: "one", underAnswers: "gone" }],
    });
    expect(held).toMatchObject([{ id: "one", name: "Full", html: '<p style="color:#333333">Ada</p>' }]);
    // A signature that is not there is chosen nowhere.
    expect((await openDesk("ada", "malthouse")).choices).toEqual([{ ...choice, underNew: "one" }]);
    expect(await usualClient("ada")).toBe("malthouse");
  });

  it("refuse more than 10,000 characters, and two of one name, and keep what was there", async () => {
    const before = await openDesk("ada", "malthouse");
    await expect(
      keepDesk("ada", "malthouse", { signatures: [signature("word ".repeat(2001))], choices: [] }),
    ).rejects.toThrow(
      "“Full” has 10,005 characters and 10,000 is the most. Nothing was changed: take 5 out and keep it again.",
    );
    await expect(
      keepDesk("ada", "malthouse", { signatures: [signature("a"), signature("b", "two")], choices: [] }),
    ).rejects.toThrow("There are two signatures named “Full”.");
    expect(await openDesk("ada", "malthouse")).toEqual(before);
  });
});

describe("a folder of signature files", () => {
  const page = '<html><head><meta charset="utf-8"></head><body><p>Ada</p></body></html>';

  it("holds what lies in it, under the names of its files", async () => {
    const { held } = await placeFiles("ada", "granary", [
      { path: "./Full.htm", base64: asBase64(page) },
      { path: "Full.txt", base64: asBase64("Ada") },
    ]);
    expect(held).toMatchObject([{ id: "Full.htm", name: "Full", html: "<p>Ada</p>", complaints: [] }]);
    await keepDesk("ada", "granary", { signatures: [], choices: [{ ...choice, underNew: "Full.htm" }] });
  });

  it("renames all files of a signature, and what is chosen with them", async () => {
    const { held, choices } = await changeHeld("ada", "granary", {
      kind: "rename",
      id: "Full.htm",
      name: "Press: desk",
    });
    expect(held.map(({ id }) => id)).toEqual(["Press  desk.htm"]);
    expect(choices[0]?.underNew).toBe("Press  desk.htm");
    await expect(deskFile("ada", "granary", "Press  desk.txt")).resolves.toEqual(Buffer.from("Ada"));
    const copied = await changeHeld("ada", "granary", { kind: "duplicate", id: "Press  desk.htm" });
    expect(copied.held.map(({ name }) => name)).toEqual(["Press  desk", "Press  desk 2"]);
    await expect(
      changeHeld("ada", "granary", { kind: "rename", id: "Press  desk.htm", name: "Press  desk 2" }),
    ).rejects.toThrow("There is a file called “Press  desk 2” already.");
    const left = await changeHeld("ada", "granary", { kind: "take-out", id: "Press  desk.htm" });
    expect(left.held.map(({ name }) => name)).toEqual(["Press  desk 2"]);
    expect(left.choices[0]?.underNew).toBeNull();
  });

  it.each(["../x.htm", "a//b.htm", "", "a/../b"])("refuses the path %j, and places nothing", async (bad) => {
    const before = await openDesk("ada", "granary");
    await expect(
      placeFiles("ada", "granary", [
        { path: "Good.htm", base64: asBase64(page) },
        { path: bad, base64: asBase64(page) },
      ]),
    ).rejects.toThrow("is no path of a file in a folder. Nothing was placed.");
    expect(await openDesk("ada", "granary")).toEqual(before);
  });
});

describe("a program that keeps archives", () => {
  const put = async (id: string, words: string): Promise<void> => {
    const host = readHost(await deskFile("ada", "sluice", id));
    const bytes = grafted(host, { kind: "body" }, `<p>${words}</p>`);
    await placeFiles("ada", "sluice", [{ path: id, base64: Buffer.from(bytes).toString("base64") }]);
  };

  it("writes over what was put there while it was open, and reads what is put there while it is shut", async () => {
    const made = await changeHeld("ada", "sluice", { kind: "make", name: "Full" });
    const id = made.held[0]?.id ?? "";
    expect(id).toMatch(/^[0-9A-F]{4}-[0-9A-F]{4}-[0-9A-F]{4}\.webarchive$/);
    expect(made.running).toBe(true);

    await put(id, "too early");
    const shut = await runDesk("ada", "sluice", false);
    expect([shut.running, shut.lost]).toEqual([false, ["Full"]]);
    expect((await runDesk("ada", "sluice", true)).held[0]?.html).not.toContain("too early");

    expect((await runDesk("ada", "sluice", false)).lost).toEqual([]);
    await put(id, "Ada Quill");
    expect((await runDesk("ada", "sluice", true)).held[0]?.html).toContain("<p>Ada Quill</p>");
    expect((await runDesk("ada", "sluice", false)).lost).toEqual([]);
    await expect(changeHeld("ada", "sluice", { kind: "make", name: "More" })).rejects.toThrow(
      "Sluice is closed. Open it first.",
    );
  });

  it("has no use for a file that is not called as one of its own", async () => {
    await expect(
      placeFiles("ada", "sluice", [{ path: "Full.webarchive", base64: asBase64("x") }]),
    ).rejects.toThrow("Sluice has no signature whose file is called “Full.webarchive”");
  });
});
