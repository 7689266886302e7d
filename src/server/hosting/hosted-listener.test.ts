import { createServer, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import { afterAll, beforeAll, expect, it } from "vitest";
import type { Hosted } from "./find-hosted";
import { hostedListener } from "./hosted-listener";

const bytes = Buffer.from("0123456789");
let read = 0;
const described = { size: 10, type: "image/png", disposition: "inline", tag: "a1" } as const;
const hosted: Readonly<Record<string, Hosted>> = {
  "/h/good": { ...described, read: async () => (read++, bytes) },
  "/h/lost": { ...described, read: async () => null },
  "/h/broken": { ...described, read: () => Promise.reject(new Error("EIO: i/o error, read")) },
};
const log: string[] = [];
let server: Server;
let base = "";

beforeAll(async () => {
  const find = async (path: string): Promise<Hosted | null> => hosted[path] ?? null;
  const answer = hostedListener(
    async () => find,
    (line) => log.push(line),
  );
  server = createServer((request, response) => void answer(request, response));
  await new Promise<void>((resolve) => server.listen(0, "127.0.0.1", resolve));
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});

afterAll(() => void server.close());

const ask = async (path: string, init: RequestInit = {}) => {
  const response = await fetch(base + path, init);
  return { status: response.status, headers: response.headers, text: await response.text() };
};

it("bytes are sent whole or in part, whatever follows a question mark", async () => {
  expect(await ask("/h/good?v=2")).toMatchObject({ status: 200, text: "0123456789" });
  const part = await ask("/h/good", { headers: { range: "bytes=2-4" } });
  expect([part.status, part.text, part.headers.get("content-length")]).toEqual([206, "234", "3"]);
});

it("bytes are not read for those who have them, or ask only about them", async () => {
  read = 0;
  expect((await ask("/h/good", { headers: { "if-none-match": '"a1"' } })).status).toBe(304);
  const head = await ask("/h/good", { method: "HEAD" });
  expect([head.status, head.headers.get("content-length"), read]).toEqual([200, "10", 0]);
});

it("what is not there, or was lost, is told with 404", async () => {
  expect(await ask("/h/none")).toMatchObject({ status: 404, text: "There is nothing at this address.\n" });
  expect((await ask("/h/lost")).status).toBe(404);
});

it("what changes something is refused, and pages of other sites may read", async () => {
  const posted = await ask("/h/good", { method: "POST", body: "x" });
  expect([posted.status, posted.headers.get("allow")]).toEqual([405, "GET, HEAD"]);
  const before = await ask("/h/good", { method: "OPTIONS" });
  expect([before.status, before.headers.get("access-control-allow-origin")]).toEqual([204, "*"]);
});

it("what cannot be read is no mishap of the program: 503, and one line in the log", async () => {
  log.length = 0;
  const answer = await ask("/h/broken");
  expect([answer.status, answer.headers.get("retry-after")]).toEqual([503, "10"]);
  expect(log).toEqual(["A hosted picture could not be read: EIO: i/o error, read"]);
});
