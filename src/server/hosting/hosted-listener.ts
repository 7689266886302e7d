/** Answers requests for what is hosted on Node's own server: with its length, and nothing that a framework would add. */
import type { IncomingMessage, ServerResponse } from "node:http";
import { planAnswer } from "../http/serve-bytes";
import type { FindHosted } from "./find-hosted";

type Listener = (request: IncomingMessage, response: ServerResponse) => Promise<void>;

const plain = { "content-type": "text/plain; charset=utf-8", "x-content-type-options": "nosniff" };

function say(response: ServerResponse, status: number, sentence: string, headers = {}): void {
  const text = `${sentence}\n`;
  response.writeHead(status, { ...plain, ...headers, "content-length": Buffer.byteLength(text) });
  response.end(text);
}

const first = (value: string | readonly string[] | undefined): string | undefined =>
  typeof value === "object" ? value.join(",") : value;

/** The path of a request as it was sent, without what follows a question mark; nothing in it is decoded. */
const pathOf = (url: string): string => url.split(/[?#]/, 1)[0] ?? "";

/**
 * A listener that never throws and answers every request: 404 where nothing is hosted, 405 for what changes something, and 503
 * with one line for the log where database or store cannot be read.
 */
export function hostedListener(find: () => Promise<FindHosted>, log: (line: string) => void): Listener {
  return async (request, response) => {
    const { method = "GET", url = "/", headers } = request;
    try {
      if (method === "OPTIONS")
        return void response
          .writeHead(204, { "access-control-allow-origin": "*", "access-control-allow-methods": "GET, HEAD" })
          .end();
      if (method !== "GET" && method !== "HEAD")
        return say(response, 405, "What is hosted here can be read only.", { allow: "GET, HEAD" });
      const hosted = await (await find())(pathOf(url));
      const nothing = (): void => say(response, 404, "There is nothing at this address.");
      if (!hosted) return nothing();
      const plan = planAnswer({ method, header: (name) => first(headers[name]) }, hosted);
      const { span } = plan;
      const bytes = span && (await hosted.read());
      if (span && !bytes) return nothing();
      response.writeHead(plan.status, plan.headers);
      response.end(span && bytes ? bytes.subarray(span.from, span.to) : undefined);
    } catch (error) {
      log(`A hosted picture could not be read: ${(error as Error).message}`);
      if (response.headersSent) response.destroy();
      else say(response, 503, "This cannot be read just now.", { "retry-after": "10" });
    }
  };
}
