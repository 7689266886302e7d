/** What every script needs done first: packages installed, and a production build that is up to date. */
import { spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import path from "node:path";

export const root = path.resolve(import.meta.dirname, "..");

/** Runs a command to its end, its output shown; answers its exit code. */
export function run(command, args, options = {}) {
  const { status } = spawnSync(command, args, {
    cwd: root,
    stdio: "inherit",
    ...options,
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1", ...options.env },
  });
  return status ?? 1;
}

/** Runs a command as {@link run} does, and answers what it said as well, none of it in colour. */
export function runHeard(command, args) {
  const { status, stdout, stderr, error } = spawnSync(command, args, {
    cwd: root,
    encoding: "utf8",
    maxBuffer: 64 * 2 ** 20,
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: "1", NO_COLOR: "1" },
  });
  const said = `${stdout ?? ""}${stderr ?? ""}${error?.message ?? ""}`;
  process.stdout.write(said);
  return { code: status ?? 1, said };
}

const hashOf = (...texts) =>
  texts.reduce((hash, text) => hash.update(text), createHash("sha256")).digest("hex");

/** Installs the packages when they are missing or the lock file has changed since. */
export function installPackages() {
  const marker = path.join(root, "node_modules", ".still-line-lock");
  const wanted = hashOf(readFileSync(path.join(root, "package-lock.json")));
  if (existsSync(marker) && readFileSync(marker, "utf8") === wanted) return;
  process.stdout.write("Installing packages…\n");
  // Development packages too, whatever NODE_ENV says: the build is made with them.
  if (run("npm", ["ci", "--include=dev", "--no-fund", "--no-audit"]) !== 0)
    throw new Error("The packages could not be installed (npm ci).");
  writeFileSync(marker, wanted);
}

function* filesUnder(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true }).sort((a, b) =>
    a.name < b.name ? -1 : 1,
  )) {
    const file = path.join(folder, entry.name);
    if (entry.isDirectory()) yield* filesUnder(file);
    else if (!entry.name.includes(".test.")) yield file;
  }
}

function sourceHash() {
  const files = ["src", "demo", "scripts"].flatMap((folder) => [...filesUnder(path.join(root, folder))]);
  for (const name of ["package-lock.json", "next.config.mjs", "postcss.config.mjs", "tsconfig.json"])
    files.push(path.join(root, name));
  return hashOf(...files.flatMap((file) => [path.relative(root, file), readFileSync(file)]));
}

/** Builds for production when the sources have changed since the last build. */
export async function buildApplication({ always = false, skipTypes = false } = {}) {
  const marker = path.join(root, ".next", "still-line-sources");
  const wanted = sourceHash();
  const built = [".next/BUILD_ID", "dist/still-line.mjs"].every((file) => existsSync(path.join(root, file)));
  if (!always && built && existsSync(marker) && readFileSync(marker, "utf8") === wanted) return;
  process.stdout.write("Building…\n");
  const next = path.join(root, "node_modules", "next", "dist", "bin", "next");
  const env = skipTypes ? { STILL_LINE_TYPES_CHECKED: "1" } : {};
  if (run(process.execPath, [next, "build"], { env }) !== 0) throw new Error("The build failed.");
  // Imported here, since what only starts the application has no bundler.
  const { bundle } = await import("./bundle.mjs");
  await bundle();
  if (run(process.execPath, [path.join(root, "scripts", "notices.mjs")]) !== 0)
    throw new Error("The notices of third parties could not be written.");
  writeFileSync(marker, wanted);
}
