/**
 * Imports spoilt inputs, 20,000 of them or as many as are asked for: `npm run fuzz -- 500 7` begins at the seventh. Stops at
 * the first that fails, and prints which it was. The tests run the first 500.
 */
import { soundImport, spoiltInput } from "../tests/corpus/sound";

const [count = 20_000, from = 1] = process.argv.slice(2).map(Number);
for (let seed = from; seed < from + count; seed++) {
  const trouble = soundImport(spoiltInput(seed));
  if (trouble !== null) {
    process.stderr.write(`Input ${seed}: ${trouble}\n`);
    process.exit(1);
  }
  if (seed % 1000 === 0) process.stdout.write(`${seed}\n`);
}
process.stdout.write(
  `${count} inputs, nothing lost, nothing that runs, each the same when it is imported again\n`,
);
