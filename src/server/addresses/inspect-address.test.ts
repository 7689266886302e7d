import sharp from "sharp";
import { afterAll, describe, expect, it } from "vitest";
import { closeImaging } from "../imaging/imaging";
import { animation, plain } from "../imaging/pictures-for-tests";
import type { Fetched } from "../web/fetch-bounded";
import type { FetchRequest } from "../web/fetch-bounded";
import { inspectAddress } from "./inspect-address";

afterAll(closeImaging);

const address = "https://pictures.example.org/logo.png";

/** A web on which every address answers the same. */
const answering = (patch: Partial<Fetched>) => async (asked: string) => ({
  ok: true as const,
  fetched: { address: asked, redirects: [], status: 200, headers: {}, bytes: new Uint8Array(), ...patch },
});

const page = (content: string): Uint8Array => Buffer.from(`<!doctype html><html>${content}</html>`);

describe("what is at an address", () => {
  it("is judged by its bytes, whatever it is called and said to be", async () => {
    const bytes = await plain(30, 20, "#3F5B2E");
    const report = await inspectAddress(
      "https://pictures.example.org/a%zz.html",
      answering({ bytes, headers: { "content-type": "text/html" } }),
    );
    expect(report).toMatchObject({
      verdict: "open",
      picture: { type: "png", width: 30, height: 20, bytes: bytes.length, frames: 1 },
    });
  });

  it.each([
    [401, "restricted"],
    [403, "restricted"],
    [404, "gone"],
    [410, "gone"],
    [500, "server-trouble"],
    [429, "server-trouble"],
  ])("is refused with %d as %s, also when a page says so", async (status, verdict) => {
    for (const bytes of [Buffer.from("no"), page("<p>No.</p>")]) {
      const report = await inspectAddress(address, answering({ status, bytes }));
      expect(report.verdict).toBe(verdict);
      expect(report.picture).toBeNull();
      expect(report.message).toMatch(/\.$/);
    }
  });

  it("that asks for a password is restricted, whatever pictures its page shows", async () => {
    const bytes = page('<img src="/a.png"><form><input type="password"></form>');
    expect((await inspectAddress(address, answering({ bytes }))).verdict).toBe("restricted");
  });

  it.each([
    [
      '<meta property="og:image" content="/big.jpg"><img src="1.png"><img src="2.png">',
      "https://pictures.example.org/big.jpg",
    ],
    ['<img src="../only.png">', "https://pictures.example.org/only.png"],
    ['<img src="1.png"><img src="2.png">', null],
    ['<img src="http://[">', null],
    ["", null],
  ])("as a page %j leads to %s", async (content, better) => {
    const report = await inspectAddress(address, answering({ bytes: page(content) }));
    expect(report).toMatchObject({ verdict: "page", better });
  });

  it("that many mail clients do not draw is said to be so, with what it is", async () => {
    const webp = await sharp(await plain(20, 20, "#ff0000"))
      .webp()
      .toBuffer();
    expect(await inspectAddress(address, answering({ bytes: webp }))).toMatchObject({
      verdict: "not-mail-safe",
      picture: { type: "webp" },
    });
    const svg = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="4" height="4"/>');
    expect((await inspectAddress(address, answering({ bytes: svg }))).verdict).toBe("not-mail-safe");
  });

  it("that is cut short or no picture at all is refused in the words of an upload", async () => {
    const whole = await plain(300, 300, "#ff0000", "jpeg");
    for (const bytes of [whole.subarray(0, 400), Buffer.from("hello"), Buffer.from("%PDF-1.7")]) {
      const report = await inspectAddress(address, answering({ bytes }));
      expect(report.verdict).toBe("not-a-picture");
      expect(report.message).toMatch(/^“logo\.png” is /);
    }
  });

  it("that moves is open, with its frames", async () => {
    const bytes = await animation(["#ff0000", "#00ff00"]);
    expect(await inspectAddress(address, answering({ bytes }))).toMatchObject({
      verdict: "open",
      picture: { type: "gif", frames: 2 },
    });
  });

  it("has moved only if every step says that it is for good", async () => {
    const bytes = await plain(20, 20, "#ff0000");
    const [first, second] = ["https://a.example.org/x.png", "https://b.example.org/x.png"];
    const led = (...permanent: readonly boolean[]) =>
      answering({
        bytes,
        address: second,
        redirects: [first, second].map((to, index) => ({ to, permanent: permanent[index]! })),
      });
    expect(await inspectAddress(address, led(true, true))).toMatchObject({
      verdict: "moved",
      better: second,
      redirects: [first, second],
    });
    expect(await inspectAddress(address, led(true, false))).toMatchObject({ verdict: "open", better: null });
  });

  it("forbids embedding by its policy, or by what it answers to another site", async () => {
    const bytes = await plain(20, 20, "#ff0000");
    for (const policy of ["same-origin", "same-site"])
      expect(
        (
          await inspectAddress(
            address,
            answering({ bytes, headers: { "cross-origin-resource-policy": policy } }),
          )
        ).verdict,
      ).toBe("forbids-embedding");
    const picky = async (asked: string, { headers = {} }: FetchRequest = {}) =>
      answering({ bytes, status: headers.referer ? 403 : 200 })(asked);
    expect((await inspectAddress(address, picky)).verdict).toBe("forbids-embedding");
  });

  it("that cannot be fetched keeps the way that it led", async () => {
    const report = await inspectAddress(` ${address} `, async () => ({
      ok: false,
      failure: "private-address",
      redirects: [{ to: "http://10.0.0.1/", permanent: false }],
    }));
    expect(report).toMatchObject({
      address,
      verdict: "private-address",
      redirects: ["http://10.0.0.1/"],
      picture: null,
    });
  });
});
