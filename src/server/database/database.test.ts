import { mkdir, mkdtemp, readFile, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { createClient } from "@libsql/client";
import { sql } from "drizzle-orm";
import { afterAll, beforeAll, expect, it } from "vitest";
import { assets } from "../assets";
import { openDatabase } from "./database";
import { desks, people, publications, publishedCopies, signatures } from "./schema";

let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-database-"));
});
afterAll(() => rm(folder, { recursive: true, force: true }));

it("signatures that were published before that was written down are known as published", async () => {
  const database = await openDatabase(path.join(folder, "published", "still-line.db"));
  const address = "https://sedgeweb.example/logo.png";
  const row = { personId: null, createdAt: 1, updatedAt: 1 };
  await database.insert(signatures).values([
    { ...row, id: "with", name: "With", document: JSON.stringify({ source: address }) },
    { ...row, id: "without", name: "Without", document: JSON.stringify({ source: `${address}?x` }) },
  ]);
  await database.insert(publishedCopies).values({ address, hash: "h", fileName: "logo.png", createdAt: 1 });
  const migration = await readFile(path.join(assets.migrations(), "0001_publications.sql"), "utf8");
  await database.run(sql.raw(migration.split("--> statement-breakpoint")[1] ?? ""));
  expect(await database.select().from(publications)).toEqual([{ signatureId: "with", address }]);
});

it("a signature that was kept in the webmail before it held several is in its preferences", async () => {
  const database = await openDatabase(path.join(folder, "kept", "still-line.db"));
  await database.insert(people).values([
    { id: "ada", name: "Ada Quill", mail: "Ada@harrowfen.example" },
    { id: "zoe", name: "Zoë Ngata", mail: "zoe@harrowfen.example" },
  ]);
  await database.run(
    sql.raw("CREATE TABLE mailroom_signatures (person_id text, html text, updated_at integer)"),
  );
  await database.run(
    sql.raw(`INSERT INTO mailroom_signatures VALUES ('ada', '<p title="x">Ada</p>', 7), ('zoe', '', 8)`),
  );
  const migration = await readFile(path.join(assets.migrations(), "0007_mailroom_desks.sql"), "utf8");
  const moving = migration
    .split("--> statement-breakpoint")
    .find((each) => each.includes("INSERT INTO `desks`"));
  await database.run(sql.raw(moving ?? ""));
  const [row, ...others] = await database.select().from(desks);
  expect(others).toEqual([]);
  expect(row).toMatchObject({ personId: "ada", client: "malthouse", updatedAt: 7 });
  expect(JSON.parse(row?.settings ?? "")).toEqual({
    signatures: [{ id: "first", name: "Signature", html: '<p title="x">Ada</p>' }],
    choices: [
      {
        address: "ada@harrowfen.example",
        underNew: "first",
        underAnswers: "first",
        place: "above",
        delimiter: false,
      },
    ],
  });
});

it("a data folder of another release is refused in one sentence that names it", async () => {
  const file = path.join(folder, "old", "still-line.db");
  await openDatabase(path.join(folder, "new", "still-line.db"));
  await openDatabase(path.join(folder, "new", "still-line.db"));
  await mkdir(path.dirname(file));
  const client = createClient({ url: `file:${file}` });
  await client.execute("CREATE TABLE signatures (id TEXT)");
  client.close();
  await expect(openDatabase(file)).rejects.toThrow(
    `The database in ${path.dirname(file)} was not made by this release`,
  );
});
