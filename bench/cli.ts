/** How long the command line takes to start, beside a program that does nothing. */
import { spawnSync } from "node:child_process";
import path from "node:path";

const root = path.resolve(import.meta.dirname, "..");
const signature = path.join(root, "demo/signatures/full.json");
const rounds = 15;

function fastest(...args: readonly string[]): number {
  let best = Infinity;
  for (let round = 0; round < rounds; round++) {
    const before = performance.now();
    const { status, stderr } = spawnSync(process.execPath, args, { encoding: "utf8" });
    if (status !== 0) throw new Error(stderr);
    best = Math.min(best, performance.now() - before);
  }
  return best;
}

const nothing = fastest("-e", "0");
const bin = path.join(root, "bin/still-line.mjs");
for (const [name, ...args] of [
  ["--help", bin, "--help"],
  ["compile", bin, "compile", signature, "--for", "plain-text"],
  ["check", bin, "check", signature],
] as const) {
  const time = fastest(...args);
  process.stdout.write(
    `${name.padEnd(8)} ${time.toFixed(0)} ms, ${(time - nothing).toFixed(0)} ms over node -e 0 (${nothing.toFixed(0)} ms), ${(time / nothing).toFixed(1)} times\n`,
  );
}
