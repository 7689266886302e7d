import { mkdtemp, readFile, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { afterAll, beforeAll, expect, it } from "vitest";
import { describeOrganisation, findOrganisation } from "./organisation";

let folder: string;

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
});

afterAll(() => rm(folder, { recursive: true, force: true }));

const brand = async (): Promise<Record<string, unknown>> =>
  JSON.parse(await readFile("demo/brand.json", "utf8")) as Record<string, unknown>;

it("there is no organisation until one is described, and then one only", async () => {
  expect(await findOrganisation()).toBeNull();
  await describeOrganisation({ ...(await brand()), name: "Before" });
  await describeOrganisation(await brand());
  expect(await findOrganisation()).toEqual(await brand());
});

it("what is no fact is refused, and changes nothing", async () => {
  await expect(describeOrganisation({ ...(await brand()), name: "" })).rejects.toThrow(
    "An organisation has a name.",
  );
  await expect(
    describeOrganisation({ ...(await brand()), colors: [{ name: "moss", hex: "green" }] }),
  ).rejects.toThrow(/must be a colour such as #3F5B2E, not "green"/);
  expect(await findOrganisation()).toEqual(await brand());
});
