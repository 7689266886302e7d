/**
 * Proves that what was built needs nothing else: a copy without development packages, started from another folder,
 * fills the demo, serves pages, pictures, fonts and invented sites, draws a picture, and compiles a signature.
 */
import { spawn, spawnSync } from "node:child_process";
import { cpSync, existsSync, mkdtempSync, readFileSync, rmSync } from "node:fs";
import os from "node:os";
import path from "node:path";
import { productionEnvironment } from "./serve.mjs";
import { root, run } from "./prepare.mjs";

const port = Number(process.env.STILL_LINE_E2E_PORT || 4391) + 5;
const elsewhere = mkdtempSync(path.join(os.tmpdir(), "still-line-built-"));
const copy = path.join(elsewhere, "application");
const data = path.join(elsewhere, "data");
const base = `http://127.0.0.1:${port}`;

function expect(name, good, found = "") {
  process.stdout.write(`${good ? "  good" : "  WRONG"}: ${name}${good ? "" : ` ${found}`}\n`);
  if (!good) throw new Error(`${name} ${found}`);
}

function copyApplication() {
  const { stdout } = spawnSync("git", ["ls-files", "-z"], { cwd: root, encoding: "utf8" });
  const tracked = stdout.split("\0").filter(Boolean);
  for (const name of [...tracked.filter((file) => existsSync(path.join(root, file))), ".next", "dist"])
    cpSync(path.join(root, name), path.join(copy, name), {
      recursive: true,
      filter: (source) => !/[\\/]\.next[\\/](cache|dev)/.test(source),
    });
  cpSync(path.join(root, "node_modules"), path.join(copy, "node_modules"), {
    recursive: true,
    verbatimSymlinks: true,
  });
  if (run("npm", ["prune", "--omit=dev", "--no-audit", "--no-fund", "--ignore-scripts"], { cwd: copy }) !== 0)
    throw new Error("The development packages could not be taken away.");
}

const runCopy = (file, ...args) =>
  spawnSync(process.execPath, [path.join(copy, file), ...args], {
    cwd: elsewhere,
    env: { ...productionEnvironment(data, port), STILL_LINE_ROOT: copy, STILL_LINE_PUBLIC_URL: "" },
    encoding: "utf8",
  });

async function started(server) {
  let output = "";
  await new Promise((resolve, reject) => {
    server.stdout.on("data", (chunk) => {
      output += String(chunk);
      if (output.includes("Still Line: ")) resolve();
    });
    server.once("exit", (code) => reject(new Error(`The server ended with ${code}: ${output}`)));
  });
}

async function look() {
  const shelf = await fetch(base);
  const page = await shelf.text();
  expect("the Shelf is served", shelf.status === 200 && page.includes("Tamsin Okafor"), shelf.status);
  for (const [name, address] of [
    ["a font", "/fonts/arimo-latin-400-normal.woff2"],
    ["a picture of an invented site", "/invented-sites/reedbasket.example/pictures/seed-jars.png"],
  ])
    expect(`${name} is served`, (await fetch(base + address)).status === 200);
  const form = new FormData();
  const bytes = readFileSync(path.join(copy, "src/server/invented-sites/seed-jars.png"));
  form.set("file", new File([bytes], "seed-jars.png", { type: "image/png" }));
  const upload = await fetch(`${base}/api/pictures`, { method: "POST", body: form });
  const { originals } = await upload.json();
  const cut = await fetch(`${base}/api/cuts`, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify({ kind: "whole", original: originals[0].hash, widest: 60 }),
  });
  const made = await cut.json();
  expect("a picture is drawn", cut.status === 200 && made.cut.width === 60, JSON.stringify(made));
}

/** Backed up while the server runs, and brought back into another folder. */
function lookAtBackup() {
  const archive = path.join(elsewhere, "kept.zip");
  const made = runCopy("bin/still-line.mjs", "backup", archive);
  expect("a backup is made", made.status === 0 && made.stdout.includes("read back and whole"), made.stderr);
  const back = path.join(elsewhere, "back");
  const restored = runCopy("bin/still-line.mjs", "restore", archive, "--data", back);
  expect(
    "it is restored",
    restored.status === 0 && existsSync(path.join(back, "still-line.db")),
    restored.stderr,
  );
}

async function main() {
  copyApplication();
  const filled = runCopy("dist/fill-demo.mjs");
  expect("the demo is filled", filled.status === 0, filled.stderr);
  const compiled = runCopy(
    "bin/still-line.mjs",
    "compile",
    path.join(copy, "demo/signatures/short.json"),
    "--for",
    "plain-text",
  );
  expect("the command line compiles", compiled.stdout.startsWith("Harrow Fen"), compiled.stderr);
  const server = spawn(process.execPath, [path.join(copy, "scripts/start.mjs"), "--port", String(port)], {
    cwd: elsewhere,
    env: {
      ...process.env,
      STILL_LINE_ROOT: "",
      STILL_LINE_DATA: data,
      STILL_LINE_PUBLIC_URL: "",
      INIT_CWD: "",
    },
    stdio: ["ignore", "pipe", "inherit"],
  });
  try {
    await started(server);
    await look();
    lookAtBackup();
  } finally {
    server.kill("SIGTERM");
  }
}

try {
  await main();
} catch (error) {
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 1;
} finally {
  rmSync(elsewhere, { recursive: true, force: true });
}
