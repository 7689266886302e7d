/**
 * The application on Node's own server: what is hosted is answered before the framework sees it, since that would take away its
 * length and add headers by which caches keep it apart; everything else is the framework's.
 */
import { createServer } from "node:http";
import next from "next";
import { firstFrame } from "@/contract";
import { describeFault, sayFault } from "../log";
import { hostedListener } from "./hosted-listener";
import { endWhenTold } from "./end-when-told";
import { sharedFinder } from "./shared-finder";

const [host = "127.0.0.1", port = "4310"] = process.argv.slice(2);

/** The first frame of a loop is drawn, by the framework's own route. */
const isDrawn = (url: string): boolean => url.split("?")[1] === firstFrame;

const isHosted = (url: string): boolean => url.startsWith("/h/") && !isDrawn(url);

/** The framework logs what a page threw with all that it carries, such as the values of a failed query: whole documents. */
function keepContentOutOfTheLog(): void {
  const { console } = globalThis;
  const write = console.error;
  console.error = (...told: unknown[]) =>
    write(...told.map((one) => (one instanceof Error ? describeFault(one) : one)));
}

async function main(): Promise<void> {
  keepContentOutOfTheLog();
  const hosted = hostedListener(sharedFinder(), sayFault);
  const application = next({
    dev: false,
    dir: process.env.STILL_LINE_ROOT || process.cwd(),
    hostname: host,
    port: Number(port),
  });
  const pages = application.getRequestHandler();
  const server = createServer((request, response) => {
    if (isHosted(request.url ?? "/")) void hosted(request, response);
    else void pages(request, response);
  });
  server.on("error", (error) => {
    process.stderr.write(`${error.message}\n`);
    process.exit(1);
  });
  await application.prepare();
  server.listen(Number(port), host, () => process.send?.("ready"));
  endWhenTold();
}

await main();
