/** How long importing takes beside a bare parse of the same HTML, over the corpus and over inputs that grow to 5 MB. */
import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import { parse } from "parse5";
import { importHtml } from "@/core/importing";

const root = path.resolve(import.meta.dirname, "..");
const folder = path.join(root, "tests/corpus");
const corpus = readdirSync(folder)
  .filter((name) => name.endsWith(".html"))
  .map((name) => readFileSync(path.join(folder, name), "utf8"));

function best(rounds: number, work: () => unknown): number {
  let least = Infinity;
  for (let round = 0; round < rounds; round++) {
    const before = performance.now();
    work();
    least = Math.min(least, performance.now() - before);
  }
  return least;
}

function compare(name: string, inputs: readonly string[], rounds: number): void {
  const size = inputs.reduce((sum, html) => sum + html.length, 0);
  const parsing = best(rounds, () => inputs.forEach((html) => parse(html)));
  const importing = best(rounds, () => inputs.forEach((html) => importHtml(html)));
  process.stdout.write(
    `${name.padEnd(28)} ${(size / 1024).toFixed(0).padStart(6)} KB  import ${importing.toFixed(1).padStart(8)} ms  parse ${parsing.toFixed(1).padStart(7)} ms  ${(importing / parsing).toFixed(1)} ×\n`,
  );
}

compare(`corpus, ${corpus.length} files`, corpus, 15);
const many = corpus.join("\n");
for (const megabytes of [0.5, 1, 2.5, 5]) {
  const times = Math.ceil((megabytes * 1024 * 1024) / many.length);
  compare(`corpus ${times} times over`, [many.repeat(times)], 3);
}
