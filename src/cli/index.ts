import { run } from "./commands";
import { BadInput, usage, WrongUsage } from "./usage";

async function main(): Promise<number> {
  const args = process.argv.slice(2);
  if (args.length === 0 || args[0] === "--help") {
    process.stdout.write(`${usage}\n`);
    return args.length === 0 ? 2 : 0;
  }
  try {
    const output = await run(args);
    process.stdout.write(output.endsWith("\n") ? output : `${output}\n`);
    return 0;
  } catch (error) {
    if (error instanceof BadInput) {
      process.stderr.write(`${error.message}\n`);
      return 1;
    }
    if (error instanceof WrongUsage) {
      process.stderr.write(`${error.message}\n`);
      return 2;
    }
    throw error;
  }
}

process.exitCode = await main();
