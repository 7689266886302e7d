/**
 * The demo in one command: installs and builds what is missing, fills a demo database the first time, starts the
 * application on loopback and prints its address. What is edited stays; `--reset` starts over.
 */
import { spawn } from "node:child_process";
import { existsSync, rmSync } from "node:fs";
import path from "node:path";
import { parseArgs } from "node:util";
import { buildApplication, installPackages, root, run } from "./prepare.mjs";

const help = `npm run demo -- [--port PORT] [--host ADDRESS] [--reset]
  --port    where to listen (default 4310)
  --host    on which address to listen (default 127.0.0.1, this machine only)
  --reset   start over: throws away what was edited in the demo
STILL_LINE_DATA names the folder for database and pictures (default .still-line/demo).
STILL_LINE_PUBLIC_URL is the address under which recipients find the pictures.`;

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
    const port = Number(values.port);
    if (!Number.isInteger(port) || port < 1 || port > 65535)
      throw new Error(`--port must be a number from 1 to 65535, not ${values.port}`);
    return values;
  } catch (error) {
    process.stderr.write(`${error.message}\n${help}\n`);
    process.exit(2);
  }
}

function main() {
  const options = readOptions();
  if (options.help) return process.stdout.write(`${help}\n`);
  const data = path.resolve(process.env.STILL_LINE_DATA || path.join(root, ".still-line", "demo"));
  installPackages();
  buildApplication();

  const env = {
    ...process.env,
    NODE_ENV: "production",
    NEXT_TELEMETRY_DISABLED: "1",
    STILL_LINE_DATA: data,
    PORT: options.port,
  };
  if (options.reset)
    for (const name of ["still-line.db", "still-line.db-wal", "still-line.db-shm", "pictures", "filled"])
      rmSync(path.join(data, name), { recursive: true, force: true });
  if (!existsSync(path.join(data, "filled"))) {
    process.stdout.write("Filling the demo…\n");
    if (run(process.execPath, ["--import", "tsx", "demo/seed.ts"], { env }) !== 0) {
      process.stderr.write(`The demo could not be filled in ${data}.\n`);
      process.exit(1);
    }
  }

  const next = path.join(root, "node_modules", "next", "dist", "bin", "next");
  const server = spawn(process.execPath, [next, "start", "-H", options.host, "-p", options.port], {
    cwd: root,
    env,
    stdio: ["ignore", "pipe", "inherit"],
  });
  let announced = false;
  server.stdout.on("data", (chunk) => {
    if (announced || !/Ready in/.test(String(chunk))) return;
    announced = true;
    process.stdout.write(`Still Line: http://${options.host}:${options.port}\nData: ${data}\n`);
  });
  for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => server.kill(signal));
  server.on("exit", (code) => {
    if (!announced && code)
      process.stderr.write(
        `Still Line could not start on ${options.host}:${options.port}. If something else listens there, choose another port: npm run demo -- --port 4320\n`,
      );
    process.exit(code ?? 0);
  });
}

main();
