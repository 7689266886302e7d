/**
 * How many hosted pictures are given out in a second, and how long the slowest of a hundred waits, at 50 connections: by the
 * application, by the server of pictures alone, and by a bare static file server of Node. All in one run, to be compared in it.
 */
import { spawn } from "node:child_process";
import { copyFile, mkdir, mkdtemp, rm, writeFile } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import autocannon from "autocannon";
import { readPicturePath } from "@/core/addresses";
import { fillDemo, serverPort, startServer } from "../tests/e2e/server";

const seconds = 8;
const connections = 50;

const bareServer = `
import { createServer } from "node:http";
import { readFile } from "node:fs/promises";
createServer(async (request, response) => {
  const bytes = await readFile("." + request.url);
  response.writeHead(200, { "content-type": "image/png", "content-length": bytes.length });
  response.end(bytes);
}).listen(Number(process.argv[2]), "127.0.0.1", () => process.send("ready"));
`;

async function startBare(folder: string, pictures: readonly string[], data: string, port: number) {
  for (const picture of pictures) {
    const file = path.join(folder, picture);
    await mkdir(path.dirname(file), { recursive: true });
    await copyFile(path.join(data, "pictures", "cuts", readPicturePath(picture)?.hash ?? ""), file);
  }
  await writeFile(path.join(folder, "bare.mjs"), bareServer);
  const child = spawn(process.execPath, ["bare.mjs", String(port)], {
    cwd: folder,
    stdio: ["ignore", "inherit", "inherit", "ipc"],
  });
  await new Promise((resolve) => child.once("message", resolve));
  return { address: `http://127.0.0.1:${port}`, kill: () => void child.kill("SIGKILL") };
}

const folder = await mkdtemp(path.join(os.tmpdir(), "still-line-bench-"));
const data = path.join(folder, "data");
const ends: (() => unknown)[] = [];
try {
  await fillDemo(data, serverPort);
  const application = await startServer(data, serverPort);
  ends.push(application.kill);
  const alone = await startServer(data, serverPort + 1, {}, "pictures alone");
  ends.push(alone.kill);
  const shelf = await (await fetch(application.address)).text();
  const pictures = [...new Set(shelf.match(/\/h\/[0-9a-f]{20}\/[a-z0-9-]+\.png/g))];
  const bare = await startBare(path.join(folder, "bare"), pictures, data, serverPort + 2);
  ends.push(bare.kill);

  process.stdout.write(
    `${pictures.length} pictures in turn, ${connections} connections, ${seconds} s each\n`,
  );
  const rows = [
    ["a bare static file server", bare, false],
    ["pictures alone", alone, false],
    ["pictures alone, to those who have them", alone, true],
    ["the application", application, false],
  ] as const;
  let most = 0;
  for (const [name, { address }, had] of rows) {
    const requests = pictures.map((picture) => ({
      method: "GET" as const,
      path: picture,
      headers: had ? { "if-none-match": `"${picture.split("/")[2]}"` } : {},
    }));
    const run = (duration: number) => autocannon({ url: address, requests, connections, duration });
    await run(2);
    const { requests: answered, latency, errors, statusCodeStats } = await run(seconds);
    const good = (statusCodeStats as Record<string, { count: number }>)[had ? "304" : "200"]?.count ?? 0;
    const others = errors + answered.total - good;
    most ||= answered.average;
    process.stdout.write(
      `${name}: ${answered.average.toFixed(0)} a second (${(answered.average / most).toFixed(2)} ×), p50 ${latency.p50} ms, p99 ${latency.p99} ms${others > 0 ? `, ${others} not answered` : ""}\n`,
    );
  }
} finally {
  for (const end of ends) await end();
  await rm(folder, { recursive: true, force: true });
}
process.exit(0);
