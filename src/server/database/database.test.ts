import { mkdir, mkdtemp, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { createClient } from "@libsql/client";
import { afterAll, beforeAll, expect, it } from "vitest";
import { openDatabase } from "./database";

let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-database-"));
});
afterAll(() => rm(folder, { recursive: true, force: true }));

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
