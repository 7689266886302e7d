/** What is answered under which name, by the server that was built, and behind a proxy. */
import { createServer, request as ask, type IncomingMessage } from "node:http";
import type { AddressInfo } from "node:net";
import path from "node:path";
import { hostedPicture } from "./bench";
import { expect, test } from "./test";
import { fillDemo, serverPort, startServer } from "./server";

interface Answer {
  readonly status: number | undefined;
  readonly text: string;
}

const read = async (answer: IncomingMessage): Promise<Answer> => ({
  status: answer.statusCode,
  text: Buffer.concat(await answer.toArray()).toString(),
});

/** Asks a server under a name that nothing here resolves. */
const askUnder = (
  address: string,
  host: string,
  init: { method?: string; headers?: Record<string, string>; body?: string } = {},
): Promise<Answer> =>
  new Promise((resolve, reject) => {
    const { method = "GET", headers = {}, body } = init;
    ask(address, { method, headers: { ...headers, host } }, (answer) => {
      read(answer).then(resolve, reject);
    })
      .on("error", reject)
      .end(body);
  });

const blank = {
  method: "POST",
  headers: { "content-type": "application/json" },
  body: JSON.stringify({ kind: "blank", rows: 1, columns: 2 }),
};

test("under another name pages and requests are refused, and pictures answered", async ({ page, site }) => {
  const elsewhere = "elsewhere.example";
  for (const at of ["/", "/pictures", "/mailroom", "/start", "/api/people"]) {
    const { status, text } = await askUnder(`${site.address}${at}`, elsewhere);
    expect(status, at).toBe(421);
    expect(text, at).toContain("Still Line answers only to names of its own");
  }
  const shelf = async (): Promise<number | undefined> =>
    (await askUnder(`${site.address}/`, "localhost")).text.match(/href="\/signatures\//g)?.length;
  const before = await shelf();
  expect(before).toBeGreaterThan(0);
  expect(await askUnder(`${site.address}/api/signatures`, elsewhere, blank)).toMatchObject({ status: 421 });
  expect(await shelf()).toBe(before);
  const hosted = new URL(await hostedPicture(page), site.address).pathname;
  expect((await askUnder(`${site.address}${hosted}`, "pictures.harrowfen.example")).status).toBe(200);
});

test("hosted pictures are given out with their length and nothing of the framework, and a port of their own gives out nothing else", async ({
  page,
  site,
}) => {
  const hosted = new URL(await hostedPicture(page), site.address).pathname;
  const alone = await startServer(site.data, serverPort + 5, {}, "pictures alone");
  try {
    for (const address of [site.address, alone.address]) {
      const answer = await fetch(address + hosted);
      const bytes = await answer.arrayBuffer();
      expect(answer.status).toBe(200);
      const { headers } = answer;
      expect(headers.get("content-length")).toBe(String(bytes.byteLength));
      expect([headers.get("vary"), headers.get("access-control-allow-origin")]).toEqual([null, "*"]);
      const tag = headers.get("etag") ?? "";
      expect((await fetch(address + hosted, { headers: { "if-none-match": tag } })).status).toBe(304);
      const part = await fetch(address + hosted, { headers: { range: "bytes=1-3" } });
      expect([part.status, (await part.arrayBuffer()).byteLength]).toEqual([206, 3]);
      for (const odd of [
        "/h/",
        "/h/%ff",
        "/h/%00/a.png",
        `/h/${"a".repeat(5000)}`,
        `${hosted}/x`,
        "/h//..%2f",
      ])
        expect((await fetch(address + odd)).status, odd).toBe(404);
    }
    for (const at of ["/", "/pictures", "/api/people", "/fonts/arimo-latin-400-normal.woff2"])
      expect((await fetch(alone.address + at)).status, at).toBe(404);
  } finally {
    await alone.kill();
  }
});

test("behind a proxy that says what was asked, it works under the name that is listed and under no other", async () => {
  const data = path.resolve(".still-line/e2e-proxied");
  const port = serverPort + 3;
  await fillDemo(data, port);
  const server = await startServer(data, port, {
    STILL_LINE_HOSTS: "signatures.harrowfen.example",
    STILL_LINE_PAGES_HOST: "mine.harrowfen.example",
    STILL_LINE_BEHIND_PROXY: "1",
  });
  const proxy = createServer((asked, answer) => {
    const headers = { ...asked.headers, host: "inside:80", "x-forwarded-host": asked.headers.host };
    asked.pipe(
      ask(`${server.address}${asked.url}`, { method: asked.method, headers }, (inner) => {
        answer.writeHead(inner.statusCode ?? 502, inner.headers);
        inner.pipe(answer);
      }),
    );
  });
  try {
    await new Promise<void>((resolve) => proxy.listen(0, "127.0.0.1", resolve));
    const address = `http://127.0.0.1:${(proxy.address() as AddressInfo).port}`;
    const name = "signatures.harrowfen.example";
    expect((await askUnder(`${address}/`, name)).text).toContain("Short, for answers");
    const own = { ...blank, headers: { ...blank.headers, origin: `https://${name}` } };
    expect((await askUnder(`${address}/api/signatures`, name, own)).status).toBe(200);
    const foreign = { ...blank, headers: { ...blank.headers, origin: "https://elsewhere.example" } };
    expect((await askUnder(`${address}/api/signatures`, name, foreign)).status).toBe(403);
    expect((await askUnder(`${address}/`, "elsewhere.example")).status).toBe(421);
    expect((await askUnder(`${address}/`, name)).text.match(/New signature/g)?.length).toBeGreaterThan(0);

    // Under the name of people's own pages there is nothing else.
    const mine = "mine.harrowfen.example";
    const made = await askUnder(`${address}/api/people/ada-quill/page`, name, {
      method: "POST",
      headers: { origin: `https://${name}` },
    });
    const { secret } = JSON.parse(made.text) as { secret: string };
    const shown = await askUnder(`${address}/mine/${secret}`, mine);
    expect(shown.status).toBe(200);
    expect(shown.text).toContain("Ada Quill");
    expect(shown.text).not.toContain("Anjali");
    const opened = { method: "POST", headers: { origin: `https://${mine}` } };
    expect((await askUnder(`${address}/api/mine/${secret}/opened`, mine, opened)).status).toBe(204);
    for (const at of [
      "/",
      "/people",
      "/people/ada-quill",
      "/api/people",
      "/api/people/typed",
      "/mine",
      "/start",
    ])
      expect((await askUnder(`${address}${at}`, mine)).status, at).toBe(404);
  } finally {
    proxy.close();
    await server.kill();
  }
});
