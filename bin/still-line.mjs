#!/usr/bin/env node
/** The command line, as it was built. */
import { existsSync } from "node:fs";

const built = new URL("../dist/still-line.mjs", import.meta.url);
if (existsSync(built)) await import(built.href);
else {
  process.stderr.write("The command line is not built yet: run npm run build first.\n");
  process.exitCode = 1;
}
