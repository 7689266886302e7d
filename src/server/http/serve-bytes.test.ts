import { describe, expect, it } from "vitest";
import { serveBytes } from "./serve-bytes";

const bytes = new TextEncoder().encode("0123456789");

async function ask(headers: Record<string, string> = {}, method = "GET") {
  const request = new Request("http://127.0.0.1:4310/h/a/b.png", { method, headers });
  const response = serveBytes(request, { bytes, type: "image/png", disposition: "inline", tag: "a1" });
  return { status: response.status, headers: response.headers, text: await response.text() };
}

describe("bytes that never change", () => {
  it("are given whole, with their length, their tag, and leave to be used and kept by anybody", async () => {
    const { status, headers, text } = await ask();
    expect([status, text]).toEqual([200, "0123456789"]);
    expect(Object.fromEntries(headers)).toEqual({
      "accept-ranges": "bytes",
      "access-control-allow-origin": "*",
      "cache-control": "public, max-age=31536000, immutable",
      "content-disposition": "inline",
      "content-length": "10",
      "content-type": "image/png",
      "cross-origin-resource-policy": "cross-origin",
      etag: '"a1"',
      "x-content-type-options": "nosniff",
    });
  });

  it("are described without being sent where only that is asked", async () => {
    const { status, headers, text } = await ask({ range: "bytes=0-1" }, "HEAD");
    expect([status, headers.get("content-length"), text]).toEqual([200, "10", ""]);
  });

  it.each(['"a1"', 'W/"a1"', '"b2", "a1"', "*"])("are not sent again to those who have %s", async (known) => {
    const { status, headers, text } = await ask({ "if-none-match": known, range: "bytes=0-1" });
    expect([status, headers.get("etag"), headers.get("content-length"), text]).toEqual([
      304,
      '"a1"',
      null,
      "",
    ]);
  });

  it.each(['"b2"', "a1", '"a1', ""])("are sent to those who have something else: %s", async (known) => {
    expect(await ask({ "if-none-match": known })).toMatchObject({ status: 200, text: "0123456789" });
  });

  it.each([
    ["bytes=0-0", "0", "bytes 0-0/10"],
    ["bytes=2-4", "234", "bytes 2-4/10"],
    ["bytes=7-", "789", "bytes 7-9/10"],
    ["bytes=7-99", "789", "bytes 7-9/10"],
    ["bytes=-3", "789", "bytes 7-9/10"],
    ["bytes=-99", "0123456789", "bytes 0-9/10"],
  ])("are given in part: %s", async (range, text, said) => {
    const answer = await ask({ range });
    expect([answer.status, answer.text, answer.headers.get("content-range")]).toEqual([206, text, said]);
    expect(answer.headers.get("content-length")).toBe(String(text.length));
    expect(answer.headers.get("cache-control")).toContain("no-transform");
  });

  it.each(["bytes=10-", "bytes=99-100", "bytes=-0"])("have nothing outside of them: %s", async (range) => {
    const answer = await ask({ range });
    expect([answer.status, answer.text, answer.headers.get("content-range")]).toEqual([
      416,
      "",
      "bytes */10",
    ]);
  });

  it.each(["bytes=0-1,3-4", "bytes=4-2", "bytes=-", "lines=0-1", "nonsense", ""])(
    "are given whole where the range is none, or several: “%s”",
    async (range) => {
      expect(await ask({ range })).toMatchObject({ status: 200, text: "0123456789" });
    },
  );

  it("are given in part only to those who have the rest of the same", async () => {
    expect(await ask({ range: "bytes=0-1", "if-range": '"a1"' })).toMatchObject({ status: 206, text: "01" });
    expect(await ask({ range: "bytes=0-1", "if-range": '"b2"' })).toMatchObject({ status: 200 });
  });
});
