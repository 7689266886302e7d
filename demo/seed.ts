/** Fills a database with the demo: people, pictures and signatures. What is there already stays as it is. */
import { readdir, readFile, writeFile } from "node:fs/promises";
import path from "node:path";
import { glyphWeight } from "@/core/icons";
import { readPerson } from "@/core/people";
import type { Recipe, Size } from "@/core/pictures";
import { assets } from "@/server/assets";
import { DataTrouble } from "@/server/database/data-trouble";
import { dataFolder } from "@/server/configuration";
import { listNetworks, saveNetwork } from "@/server/links/networks";
import { describeOrganisation } from "@/server/settings/organisation";
import { addPerson } from "@/server/people/change-people";
import { giveSignature } from "@/server/people/who-gets-what";
import { glyphSource } from "@/server/icons/icons";
import { closeImaging } from "@/server/imaging/imaging";
import { addCut } from "@/server/pictures/cuts";
import { addOriginal } from "@/server/pictures/originals";
import { addSignature, listSignatures } from "@/server/signatures/signatures";
import { demoSignatures } from "./documents";
import { networks } from "./networks";
import { iconLook, rowIcons } from "./pictures";

const at = assets.demo;

async function readJson<T>(...parts: string[]): Promise<T> {
  return JSON.parse(await readFile(at(...parts), "utf8")) as T;
}

async function seedPictures(): Promise<void> {
  const hashes = new Map<string, string>();
  for (const file of await readdir(at("pictures", "originals"))) {
    const original = await addOriginal(await readFile(at("pictures", "originals", file)), file);
    hashes.set(file, original.hash);
  }
  const cuts = await readJson<
    { hash: string; fileName: string; original: string; recipe: Recipe; pixels: Size }[]
  >("pictures", "cuts.json");
  for (const { hash, fileName, original, recipe, pixels } of cuts) {
    const bytes = await readFile(at("pictures", "cuts", hash, fileName));
    const type = fileName.endsWith(".jpg") ? "jpeg" : "png";
    await addCut({ hash, type, bytes, ...pixels }, fileName, hashes.get(original)!, recipe);
  }
  // The drawings of the row's icons are known as glyphs, so that the row can be drawn in another look.
  for (const { glyph } of rowIcons) await glyphSource(glyph, glyphWeight(iconLook));
}

async function main(): Promise<void> {
  for (const file of await readdir(at("people")))
    await addPerson(path.basename(file, ".json"), readPerson(await readJson("people", file)));
  await describeOrganisation(await readJson("brand.json"));
  await seedPictures();
  const known = new Set((await listNetworks()).map(({ id }) => id));
  for (const kind of networks) if (!known.has(kind.id)) await saveNetwork(kind);
  const empty = (await listSignatures()).length === 0;
  for (const { name, person, file, giving } of empty ? demoSignatures : []) {
    const id = await addSignature({ name, personId: person, document: await readJson("signatures", file) });
    if (giving) await giveSignature(id, giving);
  }
  // Only what was filled to the end counts as filled.
  await writeFile(path.join(dataFolder(), "filled"), "");
}

try {
  await main();
} catch (error) {
  // What is wrong with the folder was said when it was found.
  if (!(error instanceof DataTrouble)) throw error;
  process.exitCode = 1;
} finally {
  await closeImaging();
}
