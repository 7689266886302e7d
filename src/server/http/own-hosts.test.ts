import os from "node:os";
import { describe, expect, it } from "vitest";
import { hostSettings, isOwnHost, whyNotOurs } from "./own-hosts";

const settings = (environment: Record<string, string> = {}) =>
  hostSettings({ NODE_ENV: "production", ...environment });

const asked = (headers: Record<string, string>, method = "POST"): Request =>
  new Request("http://127.0.0.1:4310/api/x", { method, headers });

describe("the names of its own", () => {
  it.each([
    "127.0.0.1:4310",
    "127.9.9.9",
    "localhost",
    "LOCALHOST:4310",
    "localhost.",
    "desk.localhost:4310",
    "[::1]:4310",
    // Numbers are read like a browser reads them.
    "0x7f.1",
    "2130706433",
  ])("are those of this machine for itself: %s", (host) => {
    expect(isOwnHost(host, settings())).toBe(true);
  });

  it.each([
    "elsewhere.example",
    "localhost.elsewhere.example",
    "notlocalhost",
    "127.0.0.1.elsewhere.example",
    "192.0.2.7",
    "[2001:db8::7]",
    "::1",
    "",
    " ",
    "127.0.0.1/",
    "elsewhere.example@127.0.0.1",
    "127.0.0.1@elsewhere.example",
    "127.0.0.1 elsewhere.example",
    "[::1",
    "constructor",
    "a:b:c",
  ])("are not: “%s”", (host) => {
    expect(isOwnHost(host, settings())).toBe(false);
  });

  it("are the one that it listens on, and those that are listed", () => {
    const own = settings({
      STILL_LINE_HOST: "192.0.2.7",
      STILL_LINE_HOSTS: " Signatures.Harrowfen.example , 2001:db8::7,bücher.example",
    });
    for (const host of [
      "192.0.2.7:4310",
      "signatures.harrowfen.example",
      "signatures.harrowfen.example.:443",
      "[2001:db8::7]:80",
      "xn--bcher-kva.example",
    ])
      expect(isOwnHost(host, own), host).toBe(true);
    for (const host of ["192.0.2.8", "harrowfen.example", "a.signatures.harrowfen.example"])
      expect(isOwnHost(host, own), host).toBe(false);
  });

  it.each(["0.0.0.0", "::"])("are all numbers and the machine’s name where it listens on %s", (all) => {
    const own = settings({ STILL_LINE_HOST: all });
    for (const host of ["192.0.2.7:4310", "[2001:db8::7]", os.hostname(), "127.0.0.1"])
      expect(isOwnHost(host, own), host).toBe(true);
    for (const host of ["elsewhere.example", "192.0.2.7.elsewhere.example"])
      expect(isOwnHost(host, own), host).toBe(false);
  });
});

describe("a request", () => {
  const own = settings({ STILL_LINE_HOSTS: "signatures.harrowfen.example" });
  const behindProxy = settings({
    STILL_LINE_HOSTS: "signatures.harrowfen.example",
    STILL_LINE_BEHIND_PROXY: "1",
  });

  it("under another name is not answered, whatever it asks for", () => {
    for (const method of ["GET", "HEAD", "POST", "DELETE"])
      expect(whyNotOurs(asked({ host: "elsewhere.example:4310" }, method), own)).toBe("other-host");
    // As after a rebinding: the page and what it asks agree with each other.
    expect(whyNotOurs(asked({ host: "elsewhere.example", origin: "http://elsewhere.example" }), own)).toBe(
      "other-host",
    );
  });

  it("that changes something is taken from pages of its own only", () => {
    const from = (origin: string, host = "127.0.0.1:4310", method = "POST") =>
      whyNotOurs(asked({ host, origin }, method), own);
    expect(from("http://127.0.0.1:4310")).toBe(null);
    expect(from("http://127.0.0.1:3000")).toBe("other-site");
    expect(from("http://localhost:4310")).toBe("other-site");
    expect(from("https://elsewhere.example")).toBe("other-site");
    expect(from("null")).toBe("other-site");
    expect(from("https://elsewhere.example", "127.0.0.1:4310", "GET")).toBe(null);
    // The proxy gave its own host on.
    expect(from("https://signatures.harrowfen.example")).toBe(null);
    expect(from("https://signatures.harrowfen.example", "signatures.harrowfen.example")).toBe(null);
  });

  it("is judged by what a proxy says only where one stands in front", () => {
    const forwarded = (host: string, header: string) => asked({ host, "x-forwarded-host": header });
    const ours = "signatures.harrowfen.example";
    expect(whyNotOurs(forwarded("elsewhere.example", ours), own)).toBe("other-host");
    expect(whyNotOurs(forwarded("127.0.0.1:4310", "elsewhere.example"), own)).toBe(null);
    expect(whyNotOurs(forwarded("app:4310", ours), behindProxy)).toBe(null);
    expect(whyNotOurs(forwarded("127.0.0.1:4310", "elsewhere.example"), behindProxy)).toBe("other-host");
    // What somebody sent to the proxy stands before what it says itself.
    expect(whyNotOurs(forwarded("app:4310", `${ours}, elsewhere.example`), behindProxy)).toBe("other-host");
    expect(whyNotOurs(asked({ host: ours }), behindProxy)).toBe(null);
    expect(
      whyNotOurs(
        asked({ host: "app:4310", "x-forwarded-host": ours, origin: `https://${ours}` }),
        behindProxy,
      ),
    ).toBe(null);
  });

  it("under the name of people's own pages is for those and for nothing else", () => {
    const pages = settings({ STILL_LINE_PAGES_HOST: "mine.harrowfen.example" });
    const why = (at: string, method = "GET") =>
      whyNotOurs(
        new Request(`http://mine.harrowfen.example${at}`, {
          method,
          headers: { host: "mine.harrowfen.example", origin: "http://mine.harrowfen.example" },
        }),
        pages,
      );
    expect([why("/mine/x"), why("/api/mine/x/opened", "POST")]).toEqual([null, null]);
    for (const at of [
      "/",
      "/people",
      "/mine",
      "/mine/",
      "/minefield",
      "/api/people",
      "/people/mine/x",
      "/api/../people",
    ])
      expect(why(at)).toBe("not-here");
    expect(whyNotOurs(asked({ host: "127.0.0.1:4310" }), pages)).toBe(null);
    expect(whyNotOurs(asked({ host: "mine.harrowfen.example" }), settings())).toBe("other-host");
  });
});
