import { describe, expect, it, vi } from "vitest";
import { notFound, Refusal } from "./refusal";
import { route } from "./route";

const context = { params: Promise.resolve({}) };
const ask = (init: RequestInit & { headers?: Record<string, string> } = {}): Request =>
  new Request("http://127.0.0.1:4310/api/x", {
    method: "POST",
    ...init,
    headers: { host: "127.0.0.1:4310", ...init.headers },
  });

const answer = async (response: Response) => ({
  status: response.status,
  body: (await response.json()) as unknown,
});

describe("a route", () => {
  it("answers with JSON, with nothing, or with a response of its own", async () => {
    expect(await answer(await route(async () => ({ a: 1 }))(ask(), context))).toEqual({
      status: 200,
      body: { a: 1 },
    });
    expect((await route(async () => undefined)(ask(), context)).status).toBe(204);
    expect((await route(async () => new Response("x", { status: 201 }))(ask(), context)).status).toBe(201);
  });

  it("gives its handler the parameters", async () => {
    const handler = route<{ id: string }>(async (_request, { id }) => ({ id }));
    expect((await answer(await handler(ask(), { params: Promise.resolve({ id: "a" }) }))).body).toEqual({
      id: "a",
    });
  });

  it("turns away changes asked for by another site, and lets pages of its own and other programs through", async () => {
    const handler = route(async () => ({}));
    expect((await handler(ask({ headers: { origin: "https://elsewhere.example" } }), context)).status).toBe(
      403,
    );
    expect((await handler(ask({ headers: { origin: "null" } }), context)).status).toBe(403);
    expect((await handler(ask({ headers: { origin: "http://127.0.0.1:4310" } }), context)).status).toBe(200);
    expect((await handler(ask(), context)).status).toBe(200);
    expect(
      (await handler(ask({ method: "GET", headers: { origin: "https://elsewhere.example" } }), context))
        .status,
    ).toBe(200);
  });

  it("answers a refusal with its status, its sentence and its details", async () => {
    const refusing = route(async () => {
      throw new Refusal(409, "stale-save", "It was changed elsewhere.", { revision: 4 });
    });
    expect(await answer(await refusing(ask(), context))).toEqual({
      status: 409,
      body: { error: { code: "stale-save", message: "It was changed elsewhere.", revision: 4 } },
    });
    expect(notFound("picture")).toMatchObject({ status: 404, message: "There is no such picture any more." });
  });

  it("says nothing of its inside when something unforeseen happens", async () => {
    const log = vi.spyOn(process.stderr, "write").mockReturnValue(true);
    const broken = route(async () => {
      throw new Error("/secret/path is missing");
    });
    const { status, body } = await answer(await broken(ask(), context));
    expect(status).toBe(500);
    expect(JSON.stringify(body)).not.toContain("secret");
    expect(log.mock.calls.join()).toContain("/secret/path is missing");
    log.mockRestore();
  });
});
