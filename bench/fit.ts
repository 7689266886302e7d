/**
 * How long it takes to try everybody's details in a signature: 1,000 and 10,000 people in one run, beside writing their signatures alone.
 * With `--compare COUNT`, so many random documents are held against what Chromium draws of them, and what differs is listed.
 */
import { readFileSync } from "node:fs";
import { chromium } from "playwright-core";
import { compile } from "@/core/compile";
import { designSizes, fitOf, stillFor } from "@/core/fit";
import { emptyPerson, type Person } from "@/core/people";
import { parseSignature } from "@/core/signature";
import { compareGeometry, measurable } from "../tests/compare-geometry";
import { chromiumLaunch } from "../tests/e2e/browser";
import { demoPeople, samplePage, sampleRules, randomSamples } from "../tests/geometry-samples";

const say = (line: string): void => void process.stdout.write(`${line}\n`);

async function compare(count: number, seed: number): Promise<void> {
  const browser = await chromium.launch(chromiumLaunch);
  const samples = measurable(randomSamples(count, seed), samplePage);
  const { boxes, apart, wraps } = await compareGeometry(
    await browser.newPage(),
    samples,
    samplePage,
    sampleRules,
  );
  await browser.close();
  for (const line of [...wraps, ...apart]) say(`  ${line}`);
  const within = (100 * (boxes - apart.length)) / boxes;
  say(
    `${samples.length} documents, ${boxes} boxes: ${within.toFixed(3)} % within 1 px, ${wraps.length} texts in other lines`,
  );
}

/** As various as a directory is: every one of them is somebody else. */
const crowd = (count: number): readonly Person[] =>
  Array.from({ length: count }, (_unused, at) => {
    const name = demoPeople[at % demoPeople.length] ?? emptyPerson;
    const title = demoPeople[Math.floor(at / demoPeople.length) % demoPeople.length] ?? emptyPerson;
    return { ...name, title: title.title, name: `${name.name} ${at}`, mail: `p${at}@harrowfen.example` };
  });

function took(work: () => unknown): number {
  const begun = performance.now();
  work();
  return performance.now() - begun;
}

function timeFit(): void {
  const document = parseSignature(JSON.parse(readFileSync("demo/signatures/full.json", "utf8")));
  const few = crowd(200);
  const warm = (): void => {
    const sizes = designSizes(document);
    for (const person of few) sizes(person, fitOf(document, person));
  };
  warm();
  for (const count of [1_000, 10_000]) {
    const people = crowd(count);
    const sizes = designSizes(document);
    const fits = took(() => {
      for (const person of people) sizes(person, fitOf(document, person));
    });
    const compiled = took(() => {
      for (const person of people)
        compile(document, { destination: "webmail-paste", person, base: "https://pictures.example" });
    });
    say(
      `${count.toLocaleString("en").padStart(7)} people: fit and size ${(fits / 1000).toFixed(2)} s, ${((1000 * fits) / count).toFixed(0)} µs each; ` +
        `written alone ${(compiled / 1000).toFixed(2)} s, ${((1000 * compiled) / count).toFixed(0)} µs each; ratio ${(fits / compiled).toFixed(2)}`,
    );
  }
  const proofs = took(() => {
    for (const person of demoPeople) stillFor(document, person, "https://pictures.example");
  });
  say(`all 28 proofs of somebody ${(proofs / demoPeople.length).toFixed(0)} ms`);
}

const [told, count = "2000", seed = "1"] = process.argv.slice(2);
if (told === "--compare") await compare(Number(count), Number(seed));
else timeFit();
