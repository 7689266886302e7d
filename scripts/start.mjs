/** Starts what was built, from whatever folder it is asked to: nothing here needs a development package. */
import { existsSync } from "node:fs";
import path from "node:path";
import { parseArgs } from "node:util";
import { isPort, serve } from "./serve.mjs";
import { root } from "./prepare.mjs";

const help = `npm start -- [--port PORT] [--host ADDRESS]
  --port   where to listen (default 4310, or PORT)
  --host   on which address to listen (default 127.0.0.1, this machine only)
STILL_LINE_DATA names the folder for database and pictures (default .still-line in the folder it is started in).
STILL_LINE_PUBLIC_URL is the address under which recipients find the pictures.
STILL_LINE_HOSTS names the hosts under which it is opened besides this machine, with commas between.`;

function main() {
  let values;
  try {
    ({ values } = parseArgs({
      options: {
        port: { type: "string", default: process.env.PORT || "4310" },
        host: { type: "string", default: "127.0.0.1" },
        help: { type: "boolean", default: false },
      },
    }));
    if (!isPort(values.port)) throw new Error(`--port must be a number from 1 to 65535, not ${values.port}`);
  } catch (error) {
    process.stderr.write(`${error.message}\n${help}\n`);
    process.exit(2);
  }
  if (values.help) return process.stdout.write(`${help}\n`);
  if (!existsSync(path.join(root, "dist", "imaging-worker.mjs"))) {
    process.stderr.write("Nothing is built yet: run npm run build first.\n");
    process.exit(1);
  }
  // npm runs its scripts in the package's folder, and says where it was called.
  const here = process.env.INIT_CWD || process.cwd();
  serve({ ...values, data: path.resolve(here, process.env.STILL_LINE_DATA || ".still-line") });
}

main();
