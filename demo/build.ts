/**
 * Draws the demo's pictures, makes the cuts and writes the signatures that use them. Everything it writes is
 * committed; run it again after changing what the demo draws: `npm run demo:pictures`.
 */
import { mkdir, readFile, rm, writeFile } from "node:fs/promises";
import path from "node:path";
import sharp from "sharp";
import { hostedPath } from "@/core/addresses";
import { type Recipe, type Size } from "@/core/pictures";
import { writePictureDetail } from "@/core/people";
import { contentHash } from "@/server/imaging/content-hash";
import { findFocus } from "@/server/imaging/find-focus";
import { renderCut } from "@/server/imaging/render-cut";
import { demoSignatures, type PlacedCut } from "./documents";
import { portraitPlans } from "./portrait-plans";
import { cutFileName, cutPlans, originalPlans } from "./pictures";

const folder = path.join(import.meta.dirname, "pictures");

export interface CommittedCut {
  readonly hash: string;
  readonly fileName: string;
  readonly original: string;
  readonly recipe: Recipe;
  /** Of the file, px. */
  readonly pixels: Size;
}

async function main(): Promise<void> {
  for (const name of ["originals", "cuts"]) {
    await rm(path.join(folder, name), { recursive: true, force: true });
    await mkdir(path.join(folder, name), { recursive: true });
  }
  const originals = new Map<string, Buffer>();
  for (const plan of originalPlans) {
    const bytes = await plan.draw();
    originals.set(plan.file, bytes);
    await writeFile(path.join(folder, "originals", plan.file), bytes);
  }

  const placed = new Map<string, PlacedCut>();
  const committed: CommittedCut[] = [];
  for (const plan of cutPlans) {
    const { recipe } = plan;
    const cut = await renderCut(originals.get(plan.original)!, recipe);
    const fileName = cutFileName(plan, cut.type);
    await mkdir(path.join(folder, "cuts", cut.hash), { recursive: true });
    await writeFile(path.join(folder, "cuts", cut.hash, fileName), cut.bytes);
    const { hash, width, height } = cut;
    committed.push({
      hash,
      fileName,
      original: plan.original,
      recipe,
      pixels: { width, height },
    });
    placed.set(plan.key, {
      source: hostedPath({ hash: cut.hash, fileName }),
      width: recipe.width,
      height: recipe.height,
    });
  }
  for (const { person } of portraitPlans) {
    const bytes = originals.get(`${person}.jpg`)!;
    const portrait = writePictureDetail({ original: contentHash(bytes), focus: await findFocus(bytes) });
    const file = path.join(import.meta.dirname, "people", `${person}.json`);
    const details = JSON.parse(await readFile(file, "utf8")) as Record<string, string>;
    await writeFile(file, `${JSON.stringify({ ...details, portrait }, null, 2)}\n`);
  }

  await writeFile(path.join(folder, "cuts.json"), `${JSON.stringify(committed, null, 2)}\n`);

  // What the invented file share shares: the jars of the banner.
  const banner = originals.get("open-store-weekend.png")!;
  await sharp(banner)
    .extract({ left: 0, top: 0, width: 520, height: 240 })
    .png({ palette: true })
    .toFile("src/server/invented-sites/seed-jars.png");

  for (const plan of demoSignatures) {
    const document = plan.build((key) => placed.get(key)!);
    document.check();
    const file = path.join(import.meta.dirname, "signatures", plan.file);
    await writeFile(file, `${JSON.stringify(document.toJSON(), null, 2)}\n`);
  }
  process.stdout.write(
    `${originals.size} originals, ${committed.length} cuts, ${demoSignatures.length} signatures\n`,
  );
}

await main();
