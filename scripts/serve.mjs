/** The server of what was built, until it is told to end. */
import { spawn } from "node:child_process";
import path from "node:path";
import { root } from "./prepare.mjs";

export function isPort(text) {
  const port = Number(text);
  return Number.isInteger(port) && port > 0 && port < 65536;
}

/** Says in one sentence what is wrong with the names that it is told to answer to; null where nothing is. */
function faultOfHosts(names) {
  const wrong = names
    .split(",")
    .map((name) => name.trim())
    .filter(Boolean)
    .find((name) => !/^[\p{L}\p{N}.-]+$|^\[?[\da-f:.]+\]?$/iu.test(name));
  return wrong === undefined
    ? null
    : `STILL_LINE_HOSTS holds names of hosts with commas between, without ports or paths, not “${wrong}”.`;
}

/** What a process of the built application finds in its environment; `data` is a whole path. */
export const productionEnvironment = (data, port) => ({
  ...process.env,
  NODE_ENV: "production",
  NEXT_TELEMETRY_DISABLED: "1",
  STILL_LINE_ROOT: root,
  STILL_LINE_DATA: data,
  PORT: String(port),
});

/** Announces the address once it answers; `tryInstead` is a command for another port, said when it cannot start. */
export function serve({ host, port, data, tryInstead = "npm start -- --port 4320" }) {
  const fault = faultOfHosts(process.env.STILL_LINE_HOSTS ?? "");
  if (fault) {
    process.stderr.write(`${fault}\n`);
    process.exit(2);
  }
  const next = path.join(root, "node_modules", "next", "dist", "bin", "next");
  const server = spawn(process.execPath, [next, "start", "-H", host, "-p", port], {
    cwd: root,
    env: { ...productionEnvironment(data, port), STILL_LINE_HOST: host },
    stdio: ["ignore", "pipe", "inherit"],
  });
  let announced = false;
  server.stdout.on("data", (chunk) => {
    if (announced || !/Ready in/.test(String(chunk))) return;
    announced = true;
    process.stdout.write(`Still Line: http://${host}:${port}\nData: ${data}\n`);
  });
  for (const signal of ["SIGINT", "SIGTERM"]) process.on(signal, () => server.kill(signal));
  server.on("exit", (code) => {
    if (!announced && code)
      process.stderr.write(
        `Still Line could not start on ${host}:${port}. If something else listens there, choose another port: ${tryInstead}\n`,
      );
    process.exit(code ?? 0);
  });
}
