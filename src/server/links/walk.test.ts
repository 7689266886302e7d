import { describe, expect, it } from "vitest";
import type { LinkAnswer } from "@/core/links";
import { fetchBounded, type FetchRequest } from "../web/fetch-bounded";
import { withInventedSites } from "../invented-sites/sites";
import { network, type Transport } from "../web/transport";
import { walkLink, walkLinks } from "./walk";

const limits = { bytes: 4000, time: 400, redirects: 5, cutOff: true };
const nobody: Transport = () => Promise.reject(new Error("The network must not be asked"));
const standIns = (address: string, request?: FetchRequest) =>
  fetchBounded(address, withInventedSites(nobody), limits, request);

describe("a link that is walked", () => {
  it.each([
    ["https://harrowfen.example/visit", "answers", null],
    ["https://harrowfen.example/today", "answers", null],
    ["https://harrowfen.example/seed-list", "moved", "https://harrowfen.example/collections"],
    ["https://www.harrowfen.example/visit", "moved", "https://harrowfen.example/visit"],
    ["https://harrowfen.example/diary", "other-host", "https://sowcast.example/harrowfen"],
    ["https://harrowfen.example/rota", "sign-in", null],
    ["https://harrowfen.example/sign-in", "sign-in", null],
    ["https://harrowfen.example/minutes", "refused", null],
    ["https://harrowfen.example/nowhere", "not-found", null],
    ["https://harrowfen.example/catalogue", "server-trouble", null],
    ["https://harrowfen.example/workshops", "too-slow", null],
    ["https://shop.harrowfen.example/", "certificate", null],
    ["https://archive.harrowfen.example/", "no-connection", null],
    ["https://nobody.example/", "no-such-host", null],
    // A server that answers HEAD with 405.
    ["https://plotline.example/harrowfen", "answers", null],
    ["https://reedbasket.example/pictures/seed-jars.png", "answers", null],
  ])("%s: %s", async (address, verdict, better) => {
    expect(await walkLink(address, undefined, standIns)).toMatchObject({ address, verdict, better });
  });

  it.each(["http://127.0.0.1:22/", "http://[::1]/", "http://10.0.0.8/", "http://localhost/"])(
    "%s is never opened",
    async (address) => {
      const open = (asked: string, request?: FetchRequest) => fetchBounded(asked, network(), limits, request);
      expect((await walkLink(address, undefined, open)).verdict).toBe("private-address");
    },
  );
});

describe("a walk", () => {
  /** Answers after a moment, and counts how many it has open. */
  function counted(): { fetch: typeof standIns; most: () => number; asked: () => number } {
    let open = 0;
    let most = 0;
    let asked = 0;
    return {
      most: () => most,
      asked: () => asked,
      async fetch(address) {
        asked++;
        most = Math.max(most, ++open);
        await new Promise((resolve) => setTimeout(resolve, 10));
        open--;
        const headers = { "content-type": "image/png" };
        return {
          ok: true,
          fetched: { address, redirects: [], status: 200, headers, bytes: new Uint8Array() },
        };
      },
    };
  }
  const many = Array.from({ length: 12 }, (_, index) => `https://harrowfen.example/${index}`);

  it("opens four at once and each address once", async () => {
    const { fetch, most, asked } = counted();
    const answers: LinkAnswer[] = [];
    await walkLinks(
      [...many, ...many],
      (answer) => void answers.push(answer),
      new AbortController().signal,
      fetch,
    );
    expect(answers.map(({ address }) => address).sort()).toEqual([...many].sort());
    expect(most()).toBe(4);
    expect(asked()).toBe(12);
  });

  it("ends when it is stopped, without handing on what was on its way", async () => {
    const { fetch, asked } = counted();
    const stopped = new AbortController();
    const answers: LinkAnswer[] = [];
    await walkLinks(
      many,
      (answer) => {
        answers.push(answer);
        stopped.abort();
      },
      stopped.signal,
      fetch,
    );
    expect(answers).toHaveLength(1);
    expect(asked()).toBeLessThan(9);
  });
});
