/** A production server of the application for tests, on a folder of its own, that can be killed outright. */
import { fork, spawnSync, type ChildProcess } from "node:child_process";
import { rm } from "node:fs/promises";
import path from "node:path";

/** The port of the server that most tests share. */
export const serverPort = Number(process.env.STILL_LINE_E2E_PORT || 4391);

const root = path.resolve(import.meta.dirname, "../..");

export interface TestServer {
  readonly address: string;
  /** Its folder for database and pictures. */
  readonly data: string;
  /** What it has written to its log until now. */
  readonly said: () => string;
  /** Ends the process at once, as a crash would: SIGKILL. */
  readonly kill: () => Promise<void>;
}

const environment = (data: string, port: number): NodeJS.ProcessEnv => ({
  ...process.env,
  NODE_ENV: "production",
  NEXT_TELEMETRY_DISABLED: "1",
  STILL_LINE_ROOT: root,
  STILL_LINE_DATA: data,
  STILL_LINE_PUBLIC_URL: "",
  PORT: String(port),
});

/** Fills a folder anew with the demo. */
export async function fillDemo(data: string, port: number): Promise<void> {
  await rm(data, { recursive: true, force: true });
  const { status, stderr } = spawnSync(process.execPath, ["dist/fill-demo.mjs"], {
    cwd: root,
    env: environment(data, port),
    encoding: "utf8",
  });
  if (status !== 0) throw new Error(`The demo could not be filled: ${stderr}`);
}

const ended = (child: ChildProcess): Promise<void> =>
  new Promise((resolve) =>
    child.exitCode !== null || child.signalCode !== null ? resolve() : child.once("exit", () => resolve()),
  );

const files = { application: "serve-application.mjs", "pictures alone": "serve-public.mjs" } as const;

/** Starts a server that was built on loopback, with more settings where some are given; resolves once it answers. */
export async function startServer(
  data: string,
  port: number,
  settings: Readonly<Record<string, string>> = {},
  what: keyof typeof files = "application",
): Promise<TestServer> {
  const child = fork(path.join(root, "dist", files[what]), ["127.0.0.1", String(port)], {
    cwd: root,
    env: { ...environment(data, port), ...settings },
    execArgv: [],
    stdio: ["ignore", "ignore", "pipe", "ipc"],
  });
  let said = "";
  child.stderr?.on("data", (chunk: Buffer) => {
    said += chunk.toString();
  });
  await new Promise<void>((resolve, reject) => {
    child.once("message", () => resolve());
    child.once("exit", (code) => reject(new Error(`The server ended with ${code}: ${said}`)));
  });
  return {
    address: `http://127.0.0.1:${port}`,
    data,
    said: () => said,
    kill: async () => {
      child.kill("SIGKILL");
      await ended(child);
    },
  };
}
