/**
 * The demo in one command: installs and builds what is missing, fills a demo database the first time, starts the
 * application on loopback and prints its address. What is edited stays; `--reset` starts over.
 */
import { existsSync, rmSync } from "node:fs";
import path from "node:path";
import { parseArgs } from "node:util";
import { buildApplication, installPackages, root, run } from "./prepare.mjs";
import { isPort, productionEnvironment, serve } from "./serve.mjs";

const help = `npm run demo -- [--port PORT] [--host ADDRESS] [--reset]
  --port    where to listen (default 4310)
  --host    on which address to listen (default 127.0.0.1, this machine only)
  --reset   start over: throws away what was edited in the demo
STILL_LINE_DATA names the folder for database and pictures (default .still-line/demo).
STILL_LINE_PUBLIC_URL is the address under which recipients find the pictures.
STILL_LINE_HOSTS names the hosts under which it is opened besides this machine, with commas between.`;

function readOptions() {
  try {
    const { values } = parseArgs({
      options: {
        port: { type: "string", default: process.env.PORT || "4310" },
        host: { type: "string", default: "127.0.0.1" },
        reset: { type: "boolean", default: false },
        help: { type: "boolean", default: false },
      },
    });
    if (!isPort(values.port)) throw new Error(`--port must be a number from 1 to 65535, not ${values.port}`);
    return values;
  } catch (error) {
    process.stderr.write(`${error.message}\n${help}\n`);
    process.exit(2);
  }
}

async function main() {
  const { host, port, reset, help: asked } = readOptions();
  if (asked) return process.stdout.write(`${help}\n`);
  const data = path.resolve(process.env.STILL_LINE_DATA || path.join(root, ".still-line", "demo"));
  installPackages();
  await buildApplication();

  if (reset)
    for (const name of ["still-line.db", "still-line.db-wal", "still-line.db-shm", "pictures", "filled"])
      rmSync(path.join(data, name), { recursive: true, force: true });
  if (!existsSync(path.join(data, "filled"))) {
    process.stdout.write("Filling the demo…\n");
    if (run(process.execPath, ["dist/fill-demo.mjs"], { env: productionEnvironment(data, port) }) !== 0) {
      process.stderr.write(`The demo could not be filled in ${data}.\n`);
      process.exit(1);
    }
  }
  serve({ host, port, data, tryInstead: "npm run demo -- --port 4320" });
}

await main();
