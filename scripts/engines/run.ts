/**
 * `npm run engines`: holds what the application is built on against engines that can really be run. It says which Debian
 * packages are missing, runs what is there, and writes docs/engines.md.
 */
import { writeFile } from "node:fs/promises";
import { format, resolveConfig } from "prettier";
import { isPlain } from "../../tests/e2e/random-documents";
import { engines, missingFor } from "./browsers";
import { cases, compiled, type Case } from "./cases";
import { apart, within } from "./compare";
import { documentEngine, printed, printedApart, wordsOf } from "./document-engine";
import type { Measured } from "./measure-page";
import { doctypes, servePages, type PageMode } from "./pages";
import { report, type BrowserRow, type PrintRow } from "./report";

const port = 4386;
const modes = Object.keys(doctypes) as readonly PageMode[];

const say = (text: string): void => void process.stdout.write(`${text}\n`);

async function browserRows(
  all: readonly Case[],
  base: string,
): Promise<{
  readonly rows: readonly BrowserRow[];
  readonly drawn: readonly Measured[];
}> {
  const rows: BrowserRow[] = [];
  let design: readonly Measured[] = [];
  for (const engine of engines) {
    const missing = missingFor(engine);
    if (missing.length > 0) {
      say(`${engine.name}: apt-get install ${missing.join(" ")}`);
      rows.push({ engine: engine.name, mode: null, cases: 0, apart: [] });
      continue;
    }
    const measured = await engine.measure(modes.map((mode) => `${base}/${mode}`));
    for (const [index, mode] of modes.entries()) {
      const own = measured[index] ?? [];
      if (design.length === 0) design = own;
      // In quirks mode lines of mixed type of random documents are lower on purpose (WHATWG Quirks Mode, 3.3), and nothing mends it.
      const held = all.map(
        ({ name, document }) => mode === "standards" || !name.startsWith("random") || isPlain(document),
      );
      const found = all.flatMap(({ name }, at) => {
        const [one, other] = [design[at], own[at]];
        if (!one || !other || !held[at]) return [];
        const difference = apart(one, other, engine.wholeLetters);
        return difference.most > within || difference.wraps ? [{ name, ...difference }] : [];
      });
      const drawn = held.filter(Boolean).length;
      say(`${engine.name}, ${mode}: ${drawn} held, ${found.length} apart by more than ${within} px`);
      rows.push({ engine: engine.name, mode, cases: drawn, apart: found });
    }
  }
  return { rows, drawn: design };
}

async function printRows(
  all: readonly Case[],
  drawn: readonly Measured[],
  base: string,
): Promise<readonly PrintRow[]> {
  const missing = missingFor(documentEngine);
  if (missing.length > 0) {
    say(`${documentEngine.name}: apt-get install ${missing.join(" ")}`);
    return [];
  }
  const prints = await printed(all, base);
  return all.map(({ name }, index) => {
    const own = drawn[index];
    return { name, ...printedApart(own ? wordsOf(own) : [], prints[index] ?? []) };
  });
}

const all = await cases();
const pages = await servePages(port);
try {
  pages.show(compiled(all, pages.base));
  const { rows, drawn } = await browserRows(all, pages.base);
  const named = all.filter(({ name }) => !name.startsWith("random"));
  const prints = await printRows(named, drawn, pages.base);
  const file = "docs/engines.md";
  const style = await resolveConfig(file);
  await writeFile(file, await format(report(all.length, rows, prints), { ...style, filepath: file }));
  say("docs/engines.md is written");
} finally {
  pages.close();
}
