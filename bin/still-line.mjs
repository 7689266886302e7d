#!/usr/bin/env node
/** The command line, as it was built. */
import { existsSync } from "node:fs";
import { fileURLToPath } from "node:url";

const built = new URL("../dist/still-line.mjs", import.meta.url);
// Migrations lie beside the code, wherever this is run.
process.env.STILL_LINE_ROOT ||= fileURLToPath(new URL("..", import.meta.url));
if (existsSync(built)) await import(built.href);
else {
  process.stderr.write("The command line is not built yet: run npm run build first.\n");
  process.exitCode = 1;
}
