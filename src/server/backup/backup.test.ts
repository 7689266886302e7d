import { createWriteStream } from "node:fs";
import { mkdir, mkdtemp, open, readdir, readFile, rm, stat, writeFile } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { pipeline } from "node:stream/promises";
import { sql } from "drizzle-orm";
import { afterEach, beforeEach, describe, expect, it } from "vitest";
import { ZipFile } from "yazl";
import { databaseIn, openDatabase, openReader, type OpenedDatabase } from "../database/database";
import { originals, people, sightings } from "../database/schema";
import { contentHash } from "../imaging/content-hash";
import { folderStore } from "../store/folder-store";
import type { PictureStore, StoreKey } from "../store/picture-store";
import { listEntry } from "./archive-entries";
import { backUp, type BackupOptions } from "./back-up";
import { openArchive } from "./read-archive";
import { restore } from "./restore";

let around: string;
let folder: string;
let database: OpenedDatabase;
let store: PictureStore;

const archiveFile = (): string => path.join(around, "kept.zip");
const back = (): string => path.join(around, "back");
const backedUp = (more: Partial<BackupOptions> = {}) => backUp(archiveFile(), { folder, store, ...more });

const bytesOf = (word: string): Buffer => Buffer.from(word.repeat(40));

async function addPicture(word: string): Promise<string> {
  const bytes = bytesOf(word);
  const hash = contentHash(bytes);
  await store.put({ kind: "original", hash }, bytes);
  const picture = {
    hash,
    name: `${word}.png`,
    type: "png",
    width: 1,
    height: 1,
    bytes: bytes.length,
  } as const;
  await database.insert(originals).values({ ...picture, transparent: false, createdAt: 1 });
  return hash;
}

const addPerson = (id: string) => database.insert(people).values({ id, name: `Person ${id}` });

async function peopleIn(of: string): Promise<string[]> {
  const reader = await openReader(databaseIn(of));
  try {
    return (await reader.select({ id: people.id }).from(people)).map(({ id }) => id);
  } finally {
    reader.$client.close();
  }
}

/** Every file under a folder with what it holds, but for the database. */
async function filesUnder(of: string): Promise<Record<string, string>> {
  const found = await readdir(of, { recursive: true, withFileTypes: true });
  const files = found
    .filter((each) => each.isFile() && !each.name.startsWith("still-line.db"))
    .map((each) => path.join(each.parentPath, each.name));
  const read = await Promise.all(
    files
      .sort()
      .map(async (file) => [path.relative(of, file), (await readFile(file)).toString("hex")] as const),
  );
  return Object.fromEntries(read);
}

beforeEach(async () => {
  around = await mkdtemp(path.join(os.tmpdir(), "still-line-backup-"));
  folder = path.join(around, "data");
  await mkdir(path.join(folder, "pictures"), { recursive: true });
  database = await openDatabase(databaseIn(folder));
  store = folderStore(path.join(folder, "pictures"));
});
afterEach(async () => {
  database.$client.close();
  await rm(around, { recursive: true, force: true });
});

describe("a data folder", () => {
  it("is put into one archive and comes back from it, byte for byte", async () => {
    await addPerson("ada");
    for (const word of ["jar", "leaf", "seed"]) await addPicture(word);
    await writeFile(path.join(folder, "secret.key"), "0123456789abcdef");
    expect(await backedUp()).toMatchObject({ pictures: 3, missing: [] });
    expect((await stat(archiveFile())).mode & 0o777).toBe(0o600);
    expect(await restore(archiveFile(), { folder: back(), bucket: null })).toMatchObject({
      pictures: 3,
      missing: [],
    });
    expect(await filesUnder(back())).toEqual(await filesUnder(folder));
    expect(await peopleIn(back())).toEqual(["ada"]);
    expect((await stat(path.join(back(), "secret.key"))).mode & 0o777).toBe(0o600);
  });

  it("is taken as it is at one moment, while it is written to", async () => {
    let going = true;
    const writing = (async () => {
      // A person and a picture belong together: a backup holds both or neither.
      for (let at = 0; going; at += 1) {
        const word = `at${String(at).padStart(5, "0")}`;
        const hash = await addPicture(word);
        await addPerson(hash);
      }
    })();
    while ((await peopleIn(folder)).length < 5) await addPerson(`early${String(Math.random())}`);
    const made = await backedUp();
    going = false;
    await writing;
    await restore(archiveFile(), { folder: back(), bucket: null });
    const restored = (await peopleIn(back())).filter((id) => !id.startsWith("early"));
    expect(made.missing).toEqual([]);
    expect(Object.keys(await filesUnder(back())).length).toBe(made.pictures);
    expect(made.pictures - restored.length).toBeLessThanOrEqual(1);
    for (const hash of restored)
      expect(await folderStore(path.join(back(), "pictures")).get({ kind: "original", hash })).not.toBeNull();
  });

  it("says which pictures its database names and the store has lost, or holds damaged", async () => {
    const [lost, damaged] = [await addPicture("lost"), await addPicture("spoilt")];
    await addPicture("whole");
    await store.remove({ kind: "original", hash: lost });
    await writeFile(path.join(folder, "pictures", "originals", damaged), "something else");
    const made = await backedUp();
    expect(made.pictures).toBe(1);
    expect(made.missing.toSorted()).toEqual(
      [lost, damaged].map((hash) => `pictures/originals/${hash}`).sort(),
    );
    expect((await restore(archiveFile(), { folder: back(), bucket: null })).missing).toHaveLength(2);
  });

  it("keeps screenshots of what was received as well, though their install is removed", async () => {
    const bytes = bytesOf("sight");
    const hash = contentHash(bytes);
    await store.put({ kind: "sighting", hash }, bytes);
    await database.run(sql`PRAGMA foreign_keys = OFF`);
    await database.insert(sightings).values({
      id: "s",
      installId: "i",
      hash,
      name: "s.png",
      width: 1,
      height: 1,
      createdAt: 1,
      removedAt: 2,
    });
    expect(await backedUp()).toMatchObject({ pictures: 1, missing: [] });
  });

  it("is brought back into a bucket where pictures are kept in one", async () => {
    const hash = await addPicture("jar");
    await backedUp();
    const put: [StoreKey, string][] = [];
    const bucket: PictureStore = {
      put: (key, bytes) => Promise.resolve(void put.push([key, Buffer.from(bytes).toString()])),
      get: () => Promise.resolve(null),
      remove: () => Promise.resolve(),
    };
    await restore(archiveFile(), { folder: back(), bucket });
    expect(put).toEqual([[{ kind: "original", hash }, bytesOf("jar").toString()]]);
    expect(await filesUnder(back())).toEqual({});
  });
});

describe("what cannot be done", () => {
  const left = async (): Promise<string[]> => (await readdir(around)).sort();

  it("is refused with what is wrong, and leaves nothing behind", async () => {
    await addPicture("jar");
    await expect(backedUp({ folder: path.join(around, "nowhere") })).rejects.toThrow(
      "nowhere holds no database of Still Line",
    );
    await backedUp();
    await expect(backedUp()).rejects.toThrow("is there already: name another file");
    await expect(restore(archiveFile(), { folder, bucket: null })).rejects.toThrow("is not empty");
    await expect(restore(archiveFile(), { folder: databaseIn(folder), bucket: null })).rejects.toThrow(
      "is no folder",
    );
    expect(await left()).toEqual(["data", "kept.zip"]);
  });

  it("is stopped at once when that is asked, whether it writes or reads back", async () => {
    await addPicture("jar");
    for (const when of ["written", "read back"] as const) {
      const stop = new AbortController();
      const onStep = (step: string): void => {
        if (step === when) stop.abort();
      };
      await addPicture(when);
      await expect(backedUp({ signal: stop.signal, onStep })).rejects.toThrow("aborted");
    }
    expect(await left()).toEqual(["data"]);
  });

  it("is told of an archive in which one byte of a picture is another, and of one that ends early", async () => {
    const word = "an unmistakable word";
    await addPicture(word);
    await backedUp();
    const whole = await readFile(archiveFile());
    const file = await open(archiveFile(), "r+");
    await file.write("X", whole.indexOf(word) + 2);
    await file.close();
    await expect(restore(archiveFile(), { folder: back(), bucket: null })).rejects.toThrow(
      /^is damaged: pictures\/originals\/[\da-f]+ (?:cannot be read|is not what was written)$/,
    );
    await writeFile(archiveFile(), whole.subarray(0, whole.length - 40));
    await expect(restore(archiveFile(), { folder: back(), bucket: null })).rejects.toThrow(
      "is no archive of Still Line, or not a whole one",
    );
    expect(await left()).toEqual(["data", "kept.zip"]);
  });

  it("is told of archives that another hand made: none of their names leads out of the folder", async () => {
    const make = async (entries: Record<string, string>): Promise<void> => {
      const zip = new ZipFile();
      for (const [name, text] of Object.entries(entries)) zip.addBuffer(Buffer.from(text), name);
      zip.end();
      await pipeline(zip.outputStream, createWriteStream(archiveFile()));
    };
    const listing = (name: string): string =>
      JSON.stringify({ form: 1, madeAt: "now", entries: [{ name, bytes: 1, sha256: "0".repeat(64) }] });
    const tried: readonly (readonly [Record<string, string>, string])[] = [
      [{ "a.txt": "x" }, "holds no list of its contents"],
      [{ [listEntry]: "nonsense" }, "in a way that this Still Line does not know"],
      [{ [listEntry]: listing("pictures/cuts/../../x") }, "in a way that this Still Line does not know"],
      [{ [listEntry]: listing("pictures/cuts/0123456789abcdef0123") }, "holds no database"],
      [{ [listEntry]: listing("still-line.db") }, "lists still-line.db and does not hold it"],
      [{ [listEntry]: listing("still-line.db"), "still-line.db": "x" }, "is damaged: still-line.db"],
    ];
    for (const [entries, complaint] of tried) {
      await make(entries);
      await expect(restore(archiveFile(), { folder: back(), bucket: null })).rejects.toThrow(complaint);
    }
    await expect(openArchive(path.join(around, "nothing.zip"))).rejects.toThrow("ENOENT");
  });
});
