/**
 * How long it takes to try everybody's details in a signature: 1,000 and 10,000 people in one run, beside writing their signatures alone.
 * With `--compare COUNT`, so many random documents are held against what Chromium draws of them, and what differs is listed.
 */
import { chromium } from "playwright-core";
import { compareGeometry, measurable } from "../tests/compare-geometry";
import { chromiumLaunch } from "../tests/e2e/browser";
import { designPage, designRules, randomSamples } from "../tests/geometry-samples";

const say = (line: string): void => void process.stdout.write(`${line}\n`);

async function compare(count: number, seed: number): Promise<void> {
  const browser = await chromium.launch(chromiumLaunch);
  const samples = measurable(randomSamples(count, seed), designPage);
  const { boxes, apart, wraps } = await compareGeometry(
    await browser.newPage(),
    samples,
    designPage,
    designRules,
  );
  await browser.close();
  for (const line of [...wraps, ...apart]) say(`  ${line}`);
  const within = (100 * (boxes - apart.length)) / boxes;
  say(
    `${samples.length} documents, ${boxes} boxes: ${within.toFixed(3)} % within 1 px, ${wraps.length} texts in other lines`,
  );
}

const [told, count = "2000", seed = "1"] = process.argv.slice(2);
if (told === "--compare") await compare(Number(count), Number(seed));
