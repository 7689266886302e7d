/** What people see when something is wrong with the data folder, and how they come back from it. */
import { spawnSync } from "node:child_process";
import { copyFile, rename, rm, truncate, writeFile } from "node:fs/promises";
import path from "node:path";
import AxeBuilder from "@axe-core/playwright";
import { expect, test } from "./test";
import { cell, startBlank, waitUntilSaved } from "./bench";
import { fillDemo, serverPort, startServer } from "./server";

const root = path.resolve(import.meta.dirname, "../..");
const port = serverPort + 6;

const stillLine = (...args: readonly string[]) =>
  spawnSync(process.execPath, [path.join(root, "bin/still-line.mjs"), ...args], { encoding: "utf8" });

test("a damaged database is told on a page of its own, which goes on by itself once a backup is restored", async ({
  page,
}) => {
  test.slow();
  const data = path.resolve(".still-line/e2e-damaged");
  const [archive, back] = [`${data}.zip`, `${data}-back`];
  for (const left of [archive, back]) await rm(left, { recursive: true, force: true });
  await fillDemo(data, port);
  let server = await startServer(data, port);
  try {
    await startBlank(page, 1, 2, server.address);
    await cell(page, 1, 2).click();
    await page.keyboard.insertText("Kept by a backup.");
    await waitUntilSaved(page, 1);
    const address = page.url();
    const made = stillLine("backup", archive, "--data", data);
    expect(made.stdout + made.stderr).toContain("read back and whole");

    await server.kill();
    for (const beside of ["-wal", "-shm"])
      await rm(path.join(data, `still-line.db${beside}`), { force: true });
    await truncate(path.join(data, "still-line.db"), 20_000);
    server = await startServer(data, port);
    const answer = await page.goto(address);
    expect(answer?.status()).toBe(500);
    await expect(page.getByRole("heading", { name: "The database is damaged" })).toBeVisible();
    await expect(page.getByText("still-line restore FILE --data FOLDER")).toBeVisible();
    const { violations } = await new AxeBuilder({ page }).disableRules("meta-refresh").analyze();
    expect(violations.map(({ id }) => id)).toEqual([]);
    expect(server.said()).toContain("The database is damaged: ");
    expect(server.said()).not.toContain("Kept by a backup");

    const restored = stillLine("restore", archive, "--data", back);
    expect(restored.stdout + restored.stderr).toContain("as they were at");
    await copyFile(path.join(back, "still-line.db"), path.join(data, "still-line.db"));
    await expect(page.locator(".signature-editor")).toContainText("Kept by a backup.", { timeout: 30_000 });
    expect(server.said()).toContain("The data folder is in order again.");
  } finally {
    await server.kill();
  }
});

test("while the folder of pictures is away, nothing is said to be saved, and nothing that is typed is lost", async ({
  page,
}) => {
  const data = path.resolve(".still-line/e2e-no-pictures");
  await fillDemo(data, port);
  const server = await startServer(data, port);
  try {
    await startBlank(page, 1, 2, server.address);
    await cell(page, 1, 2).click();
    await page.keyboard.insertText("Before.");
    await waitUntilSaved(page, 1);
    await rename(path.join(data, "pictures"), path.join(data, "elsewhere"));
    await page.keyboard.insertText(" Meanwhile.");
    await expect(
      page.getByRole("status").filter({ hasText: "Not saved yet: the folder of pictures is missing." }),
    ).toBeVisible();
    await expect(page.getByText("is not there, though the database names pictures in it")).toBeVisible();
    await rename(path.join(data, "elsewhere"), path.join(data, "pictures"));
    await waitUntilSaved(page, 2);
    await page.reload();
    await expect(page.locator(".signature-editor")).toContainText("Before. Meanwhile.");
  } finally {
    await server.kill();
  }
});

test("a database that is empty beside its pictures is not written over", async ({ page }) => {
  const data = path.resolve(".still-line/e2e-emptied");
  await fillDemo(data, port);
  for (const beside of ["-wal", "-shm"]) await rm(path.join(data, `still-line.db${beside}`), { force: true });
  await writeFile(path.join(data, "still-line.db"), "");
  const server = await startServer(data, port);
  try {
    await page.goto(server.address);
    await expect(page.getByRole("heading", { name: "The database is empty" })).toBeVisible();
    await expect(page.getByText("To begin anew, move the whole folder away.")).toBeVisible();
  } finally {
    await server.kill();
  }
});
