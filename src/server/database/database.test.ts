import { mkdir, mkdtemp, readFile, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { createClient } from "@libsql/client";
import { sql } from "drizzle-orm";
import { afterAll, beforeAll, expect, it } from "vitest";
import { assets } from "../assets";
import { openDatabase } from "./database";
import { publications, publishedCopies, signatures } from "./schema";

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
