import { mkdtemp, readdir, readFile, rm, writeFile } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { run } from "./commands";

let folder: string;
const file = (name: string): string => path.join(folder, name);

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
});
afterAll(() => rm(folder, { recursive: true, force: true }));

describe("kit, for the people of a list", () => {
  it("writes a folder for each person of a list, and tells which lines could not be read", async () => {
    const [out, list] = [file("kits"), file("people.csv")];
    await writeFile(
      list,
      "Name;Mail\nAda Quill;ada@harrowfen.example\nBo\nזואי ברזל;zoe@harrowfen.example\n",
    );
    const written = await run([
      ...["kit", "demo/signatures/full.json", "--for", "desktop-document", "--out", out],
      ...["--people", list, "--data", file("nowhere")],
    ]);
    expect(written.split("\n")).toEqual([
      `2 kits in ${out}`,
      `${list}, line 3: It has 1 cell, and the table has 2 columns.`,
    ]);
    expect((await readdir(out)).sort()).toEqual(["Ada Quill", "זואי ברזל"]);
    expect(await readFile(`${out}/Ada Quill/full.htm`, "utf8")).toContain("ada@harrowfen.example");
    await writeFile(list, "");
    await expect(
      run(["kit", "demo/signatures/full.json", "--for", "webmail", "--out", out, "--people", list]),
    ).rejects.toThrow("has nobody in it that can be read");
  });
});

describe("fit", () => {
  const list = async (): Promise<string> => {
    const at = file("fit.csv");
    await writeFile(
      at,
      "Name,Title,Department,Phone,Mail\nAda Quill,Archivist,Collections,+44 1632 960100,ada@harrowfen.example\n" +
        "Max Holm,Deputy Head of Long-Term Cold Storage and of Provenance,Cold Store,,max@harrowfen.example\nBroken\n",
    );
    return at;
  };

  it("says who does not fit and why, worst first, and what cannot be read", async () => {
    const people = await list();
    const told = await run(["fit", "demo/signatures/full.json", "--people", people]);
    expect(await run(["fit", "demo/signatures/press-desk.json", "--people", people])).toContain(
      "Max Holm: has no mobile",
    );
    expect(told.split("\n")).toEqual([
      "1 of 2 fit",
      "Most come out 212 px high",
      expect.stringMatching(/^Max Holm: “Deputy Head of Long-Term .*”, 2 lines: \d+\.\d px in 289 px$/),
      "Max Holm: 18 px higher",
      // Neither of the two helps alone.
      expect.stringMatching(/^“Deputy Head .*”: Type 3 px smaller, and two lines, parted at “·”: fits, /),
      expect.stringMatching(/^“Deputy Head .*”: Type 3 px smaller, and the column 40 px wider: fits, /),
      `${people}, line 4: It has 1 cell, and the table has 5 columns.`,
    ]);
  });

  it("says what would make a line fit", async () => {
    const at = file("long-mail.csv");
    await writeFile(
      at,
      "Name,Phone,Mail\nBo Ray,+44 1632 960100,bo-ray-of-the-cold-store@harrowfen.example\n",
    );
    expect((await run(["fit", "demo/signatures/full.json", "--people", at])).split("\n")).toContain(
      "“+44 1632 960100 | bo-ray-of-the-cold-store@harrowfen.example”: Two lines, parted at “|”: fits",
    );
  });

  it("gives everything as JSON", async () => {
    const told = JSON.parse(
      await run(["fit", "demo/signatures/full.json", "--people", await list(), "--json"]),
    ) as {
      people: { name: string; tight: unknown[]; size: { height: number } }[];
      lines: { people: string[] }[];
      unread: unknown[];
    };
    expect(told.people.map(({ name, tight, size }) => [name, tight.length, size.height])).toEqual([
      ["Max Holm", 1, 230],
      ["Ada Quill", 0, 212],
    ]);
    expect(told.lines.map(({ people }) => people)).toEqual([["Max Holm"]]);
    expect(told.unread).toHaveLength(1);
    await expect(run(["fit", "demo/signatures/full.json"])).rejects.toThrow("--people is missing");
  });
});
