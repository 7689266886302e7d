import { describe, expect, it } from "vitest";
import { post } from "@/contract/endpoint";
import { object, text } from "@/core/values";
import { handle } from "./handle";

const small = handle(
  post("/api/x")
    .body(object({ said: text(5_000_000) }), 1024 * 1024)
    .json<{ length: number }>(),
  async ({ body }) => ({ length: body.said.length }),
);

const ask = (body: BodyInit, headers: Record<string, string> = {}): Promise<Response> =>
  small(
    new Request("http://127.0.0.1:4310/api/x", {
      method: "POST",
      body,
      headers: { host: "127.0.0.1:4310", ...headers },
      duplex: "half",
    } as RequestInit),
    { params: Promise.resolve({}) },
  );

const saying = (length: number): string => JSON.stringify({ said: "x".repeat(length) });

describe("the JSON of a request", () => {
  it("is read, in whatever pieces it comes", async () => {
    expect(await (await ask(saying(5))).json()).toEqual({ length: 5 });
    const letters = new TextEncoder().encode('{"said":"é"}');
    const stream = new ReadableStream<Uint8Array>({
      start(controller) {
        for (const byte of letters) controller.enqueue(Uint8Array.of(byte));
        controller.close();
      },
    });
    expect(await (await ask(stream)).json()).toEqual({ length: 1 });
  });

  it("is refused with a sentence where it says that it is too large, or is none", async () => {
    const answer = await ask(saying(5), { "content-length": String(2 ** 21) });
    expect([answer.status, await answer.json()]).toEqual([
      413,
      {
        error: { code: "too-many-bytes", message: "What was sent is larger than 1 MB. Nothing was changed." },
      },
    ]);
    expect((await ask("{")).status).toBe(400);
    expect((await ask(new Uint8Array())).status).toBe(400);
  });

  it("is given up as soon as there is more of it than there may be", async () => {
    let sent = 0;
    const endless = new ReadableStream<Uint8Array>({
      pull(controller) {
        sent += 1;
        controller.enqueue(new Uint8Array(64 * 1024));
      },
    });
    expect((await ask(endless)).status).toBe(413);
    expect(sent).toBeLessThan(30);
  });
});
