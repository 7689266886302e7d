/**
 * The demo in one command: installs and builds what is missing, fills a demo database the first time, starts the
 * application on loopback and prints its address. What is edited stays; `--reset` starts over.
 */
import { existsSync, rmSync } from "node:fs";
import path from "node:path";
import { buildApplication, installPackages, root, run } from "./prepare.mjs";
import { productionEnvironment, readOptions, serve, settingsHelp, sharedHelp } from "./serve.mjs";

const help = `npm run demo -- [OPTIONS]
${sharedHelp}
  --reset        start over: throws away what was edited in the demo
STILL_LINE_DATA names the folder for database and pictures (default .still-line/demo).
${settingsHelp}`;

async function main() {
  const { reset, ...options } = readOptions(help, { reset: { type: "boolean", default: false } });
  const data = path.resolve(process.env.STILL_LINE_DATA || path.join(root, ".still-line", "demo"));
  installPackages();
  await buildApplication();

  if (reset)
    for (const name of ["still-line.db", "still-line.db-wal", "still-line.db-shm", "pictures", "filled"])
      rmSync(path.join(data, name), { recursive: true, force: true });
  if (!existsSync(path.join(data, "filled"))) {
    process.stdout.write("Filling the demo…\n");
    if (
      run(process.execPath, ["dist/fill-demo.mjs"], { env: productionEnvironment(data, options.port) }) !== 0
    ) {
      process.stderr.write(`The demo could not be filled in ${data}.\n`);
      process.exit(1);
    }
  }
  await serve({ ...options, data, command: "npm run demo" });
}

await main();
