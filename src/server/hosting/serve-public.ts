/**
 * A server of nothing but what is hosted, in a process of its own: only its port need be open to the world, and however much is
 * asked of it, the pages are not slower for it. It reads, and changes nothing.
 */
import { createServer } from "node:http";
import { sayFault } from "../log";
import { endWhenTold } from "./end-when-told";
import { sharedFinder } from "./shared-finder";
import { hostedListener } from "./hosted-listener";

const [host, port] = process.argv.slice(2);
const answer = hostedListener(sharedFinder(), sayFault);
const server = createServer((request, response) => void answer(request, response));
server.on("error", (error) => {
  process.stderr.write(`${error.message}\n`);
  process.exit(1);
});
server.listen(Number(port), host, () => process.send?.("ready"));
endWhenTold();
