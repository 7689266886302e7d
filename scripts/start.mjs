/** Starts what was built, from whatever folder it is asked to: nothing here needs a development package. */
import { existsSync } from "node:fs";
import path from "node:path";
import { readOptions, serve, settingsHelp, sharedHelp } from "./serve.mjs";
import { root } from "./prepare.mjs";

const options = readOptions(`npm start -- [OPTIONS]
${sharedHelp}
STILL_LINE_DATA names the folder for database and pictures (default .still-line in the folder it is started in).
${settingsHelp}`);

if (!existsSync(path.join(root, "dist", "serve-application.mjs"))) {
  process.stderr.write("Nothing is built yet: run npm run build first.\n");
  process.exit(1);
}
// npm runs its scripts in the package's folder, and says where it was called.
const here = process.env.INIT_CWD || process.cwd();
await serve({ ...options, data: path.resolve(here, process.env.STILL_LINE_DATA || ".still-line") });
