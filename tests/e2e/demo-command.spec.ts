import { spawn, type ChildProcess } from "node:child_process";
import { existsSync } from "node:fs";
import { rm } from "node:fs/promises";
import path from "node:path";
import type { APIRequestContext } from "@playwright/test";
import { expect, test } from "./test";
import { serverPort } from "./server";

const data = path.resolve(".still-line/e2e-demo");
const port = String(serverPort + 4);

/** Runs the demo command until it prints its address; answers that address and the way to end it. */
async function demo(...args: string[]): Promise<{ address: string; end: () => Promise<void> }> {
  const child: ChildProcess = spawn(process.execPath, ["scripts/demo.mjs", "--port", port, ...args], {
    env: { ...process.env, STILL_LINE_DATA: data, STILL_LINE_PUBLIC_URL: "" },
    stdio: ["ignore", "pipe", "inherit"],
  });
  const address = await new Promise<string>((resolve, reject) => {
    let output = "";
    child.stdout!.on("data", (chunk: Buffer) => {
      output += chunk.toString();
      const found = /Still Line: (\S+)/.exec(output);
      if (found) resolve(found[1]!);
    });
    child.once("exit", (code) => reject(new Error(`The demo ended with ${code}: ${output}`)));
  });
  const end = (): Promise<void> =>
    new Promise((resolve) => {
      child.once("exit", () => resolve());
      child.kill("SIGTERM");
    });
  return { address, end };
}

async function names(request: APIRequestContext, address: string): Promise<string> {
  return (await request.get(address)).text();
}

test("the demo command fills its folder, keeps what was edited, and starts over when told to", async ({
  request,
}) => {
  await rm(data, { recursive: true, force: true });
  const first = await demo();
  expect(first.address).toBe(`http://127.0.0.1:${port}`);
  expect(existsSync(path.join(data, "still-line.db"))).toBe(true);
  expect(await names(request, first.address)).toContain("Short, for answers");
  await request.post(`${first.address}/api/signatures`, { data: { kind: "blank", rows: 1, columns: 2 } });
  await first.end();

  const again = await demo();
  expect(await names(request, again.address)).toContain("New signature");
  await again.end();

  const anew = await demo("--reset");
  const page = await names(request, anew.address);
  expect(page).toContain("Short, for answers");
  expect(page).not.toContain("New signature");
  await anew.end();
});

test("the demo command says what is wrong with its options", async () => {
  const child = spawn(process.execPath, ["scripts/demo.mjs", "--port", "seven"], {
    stdio: ["ignore", "pipe", "pipe"],
  });
  let said = "";
  child.stderr.on("data", (chunk: Buffer) => (said += chunk.toString()));
  const code = await new Promise((resolve) => child.once("exit", resolve));
  expect(code).toBe(2);
  expect(said).toMatch(/^--port must be a number from 1 to 65535, not seven\n/);
});
