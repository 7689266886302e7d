/** The server of what was built, until it is told to end; and beside it, where asked for, one of pictures alone. */
import { fork } from "node:child_process";
import path from "node:path";
import { parseArgs } from "node:util";
import { root } from "./prepare.mjs";

const shared = {
  port: { type: "string", default: process.env.PORT || "4310" },
  host: { type: "string", default: "127.0.0.1" },
  "public-port": { type: "string" },
  "public-host": { type: "string" },
  help: { type: "boolean", default: false },
};

export const sharedHelp = `  --port         where to listen (default 4310, or PORT)
  --host         on which address to listen (default 127.0.0.1, this machine only)
  --public-port  a port that serves hosted pictures and files and nothing else: the one to open to the world
  --public-host  on which address that one listens (default: that of --host)`;

export const settingsHelp = `STILL_LINE_PUBLIC_URL is the address under which recipients find the pictures.
STILL_LINE_HOSTS names the hosts under which it is opened besides this machine, with commas between.`;

function isPort(text) {
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

/** Says in one sentence what is wrong with the public address of the environment; null where nothing is. */
function faultOfAddress(address) {
  const url = URL.canParse(address) ? new URL(address) : null;
  const good = url && /^https?:$/.test(url.protocol) && !url.search && !url.hash && !url.username;
  return address === "" || good
    ? null
    : `STILL_LINE_PUBLIC_URL is a web address with nothing after its path, such as https://pictures.harrowfen.example, not “${address}”.`;
}

const faultOfPort = (name, port) =>
  port === undefined || isPort(port) ? null : `--${name} must be a number from 1 to 65535, not ${port}`;

function faultOf(values) {
  const publicPort = values["public-port"];
  return (
    faultOfPort("port", values.port) ??
    faultOfPort("public-port", publicPort) ??
    (publicPort === values.port ? "--public-port must be another one than --port" : null) ??
    (values["public-host"] !== undefined && publicPort === undefined
      ? "--public-host is of no use without --public-port"
      : null) ??
    faultOfHosts(process.env.STILL_LINE_HOSTS ?? "") ??
    faultOfAddress(process.env.STILL_LINE_PUBLIC_URL ?? "")
  );
}

/** Reads the command line of what serves; ends with 2 and the help where it is wrong, with the help where it is asked for. */
export function readOptions(help, more = {}) {
  let fault;
  try {
    const { values } = parseArgs({ options: { ...shared, ...more } });
    if (values.help) {
      process.stdout.write(`${help}\n`);
      process.exit(0);
    }
    fault = faultOf(values);
    if (!fault) return values;
  } catch (error) {
    fault = error.message;
  }
  process.stderr.write(`${fault}\n${help}\n`);
  process.exit(2);
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

/** Starts a server of its own; answers its process once it listens. Where it cannot, says so and ends everything. */
function start(file, { host, port, env, tryInstead }) {
  const server = fork(path.join(root, "dist", file), [host, String(port)], {
    cwd: root,
    env,
    // What the framework says of itself is of no use to anybody here; faults go to standard error.
    stdio: ["ignore", "ignore", "inherit", "ipc"],
  });
  let listens = false;
  let toldToEnd = false;
  for (const signal of ["SIGINT", "SIGTERM"])
    process.on(signal, () => {
      toldToEnd = true;
      server.kill(signal);
    });
  return new Promise((resolve) => {
    server.once("message", () => {
      listens = true;
      resolve(server);
    });
    server.on("exit", (code) => {
      if (!listens && code)
        process.stderr.write(
          `Still Line could not start on ${host}:${port}. If something else listens there, choose another port: ${tryInstead}\n`,
        );
      // The one without the other would look as if it worked.
      process.exit(toldToEnd ? 0 : (code ?? 1));
    });
    process.on("exit", () => server.kill());
  });
}

/** Announces its addresses once they answer; `command` is what is run again with another port when it cannot start. */
export async function serve({ data, command = "npm start", ...options }) {
  const { port, host, "public-port": publicPort, "public-host": publicHost = host } = options;
  const env = {
    ...productionEnvironment(data, port),
    STILL_LINE_HOST: host,
    ...(publicPort && { STILL_LINE_PUBLIC_PORT: publicPort }),
  };
  await start("serve-application.mjs", { host, port, env, tryInstead: `${command} -- --port 4320` });
  if (publicPort)
    await start("serve-public.mjs", {
      host: publicHost,
      port: publicPort,
      env,
      tryInstead: `${command} -- --public-port 4321`,
    });
  const pictures = publicPort ? `Pictures alone: http://${publicHost}:${publicPort}\n` : "";
  process.stdout.write(`Still Line: http://${host}:${port}\n${pictures}Data: ${data}\n`);
}
