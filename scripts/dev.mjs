/** The development server, on the demo's data. */
import { existsSync } from "node:fs";
import path from "node:path";
import { installPackages, root, run } from "./prepare.mjs";

installPackages();
const data = path.resolve(process.env.STILL_LINE_DATA || path.join(root, ".still-line", "demo"));
const port = process.env.PORT || "4310";
const env = { STILL_LINE_DATA: data, PORT: port };
if (!existsSync(path.join(data, "filled")))
  run(process.execPath, ["--import", "tsx", "demo/seed.ts"], { env });
const next = path.join(root, "node_modules", "next", "dist", "bin", "next");
process.exitCode = run(process.execPath, [next, "dev", "-H", "127.0.0.1", "-p", port], { env });
