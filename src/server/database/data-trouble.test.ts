import { mkdir, mkdtemp, readdir, rm, truncate, writeFile } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { sql } from "drizzle-orm";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { route } from "../http/route";
import { troublePage } from "../http/trouble-page";
import { addOriginal } from "../pictures/originals";
import { closeImaging } from "../imaging/imaging";
import { plain } from "../imaging/pictures-for-tests";
import { database, findTrouble, openDatabase, troubleSince } from "./database";
import { DataTrouble, troubleOf } from "./data-trouble";
import { people, signatures } from "./schema";

let folder: string;
let log: string[];
const holder = globalThis as { stillLineDatabase?: unknown; stillLineTrouble?: unknown };

/** As a process finds it that starts anew. */
function startAnew(): void {
  delete holder.stillLineDatabase;
  delete holder.stillLineTrouble;
}

const file = (): string => path.join(folder, "still-line.db");

beforeEach(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-trouble-"));
  process.env.STILL_LINE_DATA = folder;
  startAnew();
  log = [];
  vi.spyOn(process.stderr, "write").mockImplementation((line) => (log.push(String(line)), true));
});
afterEach(async () => {
  vi.restoreAllMocks();
  startAnew();
  await rm(folder, { recursive: true, force: true });
});

describe("what can be wrong with a data folder when it is opened", () => {
  const makes: readonly (readonly [string, () => Promise<unknown>])[] = [
    ["damaged", () => writeFile(file(), "no database at all. ".repeat(500))],
    [
      "damaged",
      async () => {
        const opened = await openDatabase(file());
        await opened.insert(people).values(
          Array.from({ length: 300 }, (_, at) => ({
            id: `p${at}`,
            name: "Ada Quill ".repeat(30),
            mail: "a@b.example",
          })),
        );
        await opened.run(sql`PRAGMA wal_checkpoint(TRUNCATE)`);
        opened.$client.close();
        await truncate(file(), 80_000);
      },
    ],
    [
      "empty",
      async () => {
        await mkdir(path.join(folder, "pictures", "cuts"), { recursive: true });
        await writeFile(path.join(folder, "pictures", "cuts", "0123456789abcdef0123"), "x");
        await writeFile(file(), "");
      },
    ],
    [
      "newer",
      async () => {
        const opened = await openDatabase(file());
        await opened.run(
          sql`INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('of tomorrow', ${Date.UTC(2090, 0, 1)})`,
        );
      },
    ],
    [
      "no-pictures",
      async () => {
        await addOriginal(await plain(8, 8, "#3F5B2E"), "ada.png");
        await closeImaging();
        await rm(path.join(folder, "pictures"), { recursive: true });
      },
    ],
    [
      "not-writable",
      async () => {
        await rm(folder, { recursive: true });
        await writeFile(folder, "a file in its place");
      },
    ],
  ];
  it.each(makes)(
    "%s: told by its name, with what to do, once in the log",
    async (code, make) => {
      await make();
      startAnew();
      await expect(database()).rejects.toMatchObject({ name: "DataTrouble", code });
      const trouble = await findTrouble();
      expect(trouble?.code).toBe(code);
      expect(log.filter((line) => line.startsWith(`${trouble?.title}: `))).toHaveLength(1);
      expect(log.every((line) => line.indexOf("\n") === line.length - 1)).toBe(true);
      expect(troublePage(trouble!)).toContain(`<h1>${trouble?.title}</h1>`);
    },
    60_000,
  );

  it("goes on by itself once it is in order", async () => {
    await writeFile(file(), "no database at all. ".repeat(500));
    expect((await findTrouble())?.code).toBe("damaged");
    await rm(file());
    expect(await findTrouble()).toBeNull();
    expect(log.at(-1)).toBe("The data folder is in order again.\n");
  });
});

describe("what can be wrong while it is in use", () => {
  const context = { params: Promise.resolve({}) };
  const ask = new Request("http://127.0.0.1:4310/api/x", {
    method: "POST",
    headers: { host: "127.0.0.1:4310" },
  });
  const document = JSON.stringify({ secret: "What Ada wrote to her sister".repeat(20_000) });
  const saving = route(async () => {
    const row = { id: "a", name: "A", personId: null, document, createdAt: 1, updatedAt: 1 };
    await (await database()).insert(signatures).values(row);
  });

  it("a full disk is answered with 507 and what to do, and what is saved afterwards is saved", async () => {
    const opened = await database();
    const [pages] = await opened.all<{ page_count: number }>(sql`PRAGMA page_count`);
    await opened.run(sql.raw(`PRAGMA max_page_count = ${pages!.page_count}`));
    const refused = await saving(ask, context);
    expect(refused.status).toBe(507);
    expect(await refused.json()).toMatchObject({
      error: { code: "data-full", message: expect.stringContaining("Make room on its disk") as string },
    });
    expect(log.join("")).toContain("The disk is full");
    await opened.run(sql.raw("PRAGMA max_page_count = 1000000"));
    expect((await saving(ask, context)).status).toBe(204);
  });

  it("the log never holds what people wrote", async () => {
    await saving(ask, context);
    // The same id again: a fault that nobody foresaw.
    expect((await saving(ask, context)).status).toBe(500);
    const said = log.join("");
    expect(said).toContain("a query failed: insert into");
    expect(said).not.toContain("sister");
  });

  it("pictures are not put into a folder that was taken away, so that it is missed", async () => {
    await addOriginal(await plain(8, 8, "#3F5B2E"), "ada.png");
    await rm(path.join(folder, "pictures"), { recursive: true });
    await expect(addOriginal(await plain(9, 9, "#C08A2B"), "zoe.png")).rejects.toMatchObject({
      code: "no-pictures",
    });
    expect((await troubleSince())?.code).toBe("no-pictures");
    await mkdir(path.join(folder, "pictures"));
    expect(await findTrouble()).toBeNull();
    await closeImaging();
  });

  it("a database whose file was taken away is told before anything is said to be saved", async () => {
    await database();
    expect(await troubleSince()).toBeNull();
    await rm(file());
    expect((await troubleSince())?.code).toBe("gone");
  });

  it("what was half-written when a process ended is swept when the next one starts, and nothing else", async () => {
    await addOriginal(await plain(8, 8, "#3F5B2E"), "ada.png");
    await closeImaging();
    const originals = path.join(folder, "pictures", "originals");
    const [kept] = await readdir(originals);
    const uuid = "0a1b2c3d-0000-4000-8000-0123456789ab";
    for (const name of [`${kept}.${uuid}`, `${kept}.999999999-${uuid}`, `${kept}.${process.pid}-${uuid}`])
      await writeFile(path.join(originals, name), "half");
    // Process 1 runs: what it writes is not ours to take away.
    await writeFile(path.join(originals, `${kept}.1-${uuid}`), "half");
    startAnew();
    await database();
    expect((await readdir(originals)).sort()).toEqual([kept, `${kept}.1-${uuid}`]);
  });
});

it.each([
  ["ENOSPC", "full"],
  ["EDQUOT", "full"],
  ["EROFS", "not-writable"],
  ["EACCES", "not-writable"],
  ["SQLITE_BUSY", "busy"],
  ["SQLITE_IOERR_CORRUPTFS", null],
  ["ENOENT", null],
])("%s, however deep, is told as %s", (code, told) => {
  const inner = Object.assign(new Error("inner"), { code });
  const outer = new Error("outer", { cause: new Error("between", { cause: inner }) });
  expect(troubleOf(outer, "/data")?.code ?? null).toBe(told);
});

it("a trouble stays the one that it is", () => {
  const trouble = new DataTrouble("newer", "/data/still-line.db");
  expect(troubleOf(new Error("outer", { cause: trouble }), "/elsewhere")).toBe(trouble);
  expect(troubleOf("nothing", "/data")).toBeNull();
});
