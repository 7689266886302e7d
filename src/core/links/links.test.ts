import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  buildMail,
  buildMap,
  buildPhone,
  callingCodeOf,
  describeLink,
  detectLinks,
  judgeAnswer,
  mailtoLink,
  networkAddress,
  ownIconOf,
  parseMail,
  parseMap,
  parsePhone,
  readLink,
  readNetworkPage,
  sameDestination,
  splitNetworkAddress,
  telLink,
  webLink,
  type NetworkKind,
  type Response,
} from "./index";

describe("addresses that are built", () => {
  it.each([
    ["ada@harrowfen.example", "mailto:ada@harrowfen.example"],
    ["ada+seeds@harrowfen.example", "mailto:ada+seeds@harrowfen.example"],
    ["ada&co@harrowfen.example", "mailto:ada%26co@harrowfen.example"],
    ["zoë@harrowfen.example", "mailto:zo%C3%AB@harrowfen.example"],
    ["ada@harrowfen", null],
    ["ada harrowfen.example", null],
    ["ada@harrow@fen.example", null],
  ])("mail %s is %s", (address, expected) => expect(mailtoLink(address)).toBe(expected));

  it.each([
    ["+44 1632 960100", "tel:+441632960100"],
    ["+44 (0)1632 960-100", "tel:+441632960100"],
    ["01632 960100 ext. 12", "tel:01632960100;ext=12"],
    ["+44 1632 960100 x7", "tel:+441632960100;ext=7"],
    ["1234", null],
    ["+4416329601001234567", null],
    ["SEED-LINE", null],
  ])("phone %s is %s", (number, expected) => expect(telLink(number)).toBe(expected));

  it.each([
    ["harrowfen.example", "https://harrowfen.example"],
    ["http://harrowfen.example/a?b#c", "http://harrowfen.example/a?b#c"],
    ["bücher.example", "https://bücher.example"],
    ["harrowfen", null],
    ["-harrowfen.example", null],
    ["harrow fen.example", null],
  ])("web %s is %s", (address, expected) => expect(webLink(address)).toBe(expected));
});

const word = fc.string({ unit: "binary", maxLength: 40 });
const mailName = fc.stringMatching(/^[a-zA-Z0-9.+_ü-]{1,12}$/);
const host = fc.stringMatching(/^[a-z]{1,8}(\.[a-z]{2,5}){1,2}$/);
const mailAddress = fc.tuple(mailName, host).map(([name, at]) => `${name}@${at}`);
/** Text as a form gives it: whole characters, and lines parted by one sign. */
const written = word.map((text) => text.toWellFormed().replace(/\r\n?/g, "\n"));

const networks: readonly NetworkKind[] = [
  { id: "plotline", name: "Plotline", glyph: "photos", pattern: "https://plotline.example/" },
  { id: "hedgepost", name: "Hedgepost", glyph: "short-posts", pattern: "https://hedgepost.example/@" },
  { id: "slow-reel", name: "Slow Reel", glyph: "video", pattern: "https://slowreel.example/{handle}/reels" },
];
const network = (id: string | null): NetworkKind | null =>
  networks.find((candidate) => candidate.id === id) ?? null;

describe("what is built is read back", () => {
  it("mail, with subject and body in any script", () => {
    fc.assert(
      fc.property(
        fc.record({
          to: fc.array(mailAddress, { minLength: 1, maxLength: 3 }),
          cc: fc.array(mailAddress, { maxLength: 2 }),
          subject: written,
          body: written,
        }),
        (parts) => {
          expect(parseMail(buildMail(parts)!)).toEqual(parts);
        },
      ),
    );
  });

  it("phone numbers and text messages", () => {
    const number = fc.stringMatching(/^\+?[0-9]{5,15}$/);
    const call = fc.record({
      kind: fc.constant("call" as const),
      number,
      extension: fc.stringMatching(/^[0-9]{0,8}$/),
      message: fc.constant(""),
    });
    const message = fc.record({
      kind: fc.constant("text-message" as const),
      number,
      extension: fc.constant(""),
      message: word.map((text) => text.toWellFormed()),
    });
    fc.assert(
      fc.property(fc.oneof(call, message), (parts) => {
        expect(parsePhone(buildPhone(parts)!)).toEqual(parts);
      }),
    );
  });

  it("places, by address and by coordinates", () => {
    const patterns = ["https://fenmap.example/?at={place}", "https://fenmap.example/to/{place}/near"];
    const address = fc
      .stringMatching(/^[A-Z][\p{L}0-9,&?=% ]{3,30}[a-z]$/u)
      .map((text) => text.replace(/\s+/g, " "));
    const hundredths = (most: number) => fc.integer({ min: 1, max: most * 100 }).map((many) => many / 100);
    const place = fc.oneof(
      address.map((text) => ({ kind: "address" as const, address: text })),
      fc.record({
        kind: fc.constant("coordinates" as const),
        latitude: hundredths(90),
        longitude: hundredths(180),
      }),
    );
    fc.assert(
      fc.property(fc.constantFrom(...patterns), place, (pattern, where) => {
        expect(parseMap(pattern, buildMap(pattern, where)!)).toEqual(where);
      }),
    );
  });

  it("pages of networks, by their handle", () => {
    const handle = fc.stringMatching(/^[a-zA-Z0-9_.-]{0,10}[a-zA-Z0-9]$/);
    fc.assert(
      fc.property(fc.constantFrom(...networks), handle, (kind, name) => {
        const href = networkAddress(kind, name)!;
        expect(splitNetworkAddress(networks, href)).toEqual({ kind, handle: name });
        expect(readLink(href)).toMatchObject({ href, changes: [] });
      }),
    );
  });
});

describe("a network's page", () => {
  const plotline = "https://plotline.example/harrowfen";
  const reels = "https://slowreel.example/harrowfen/reels";
  it.each([
    ["plotline", "harrowfen", "plotline", "harrowfen", plotline],
    ["plotline", "@harrowfen", "plotline", "harrowfen", plotline],
    ["plotline", "https://plotline.example/harrowfen/", "plotline", "harrowfen", plotline],
    ["plotline", "www.Plotline.example/harrowfen?utm_source=x", "plotline", "harrowfen", plotline],
    ["plotline", `https://plotline.example/${plotline}`, "plotline", "harrowfen", plotline],
    ["plotline", "hedgepost.example/@fen", "hedgepost", "fen", "https://hedgepost.example/@fen"],
    [null, "hedgepost.example/@fen", "hedgepost", "fen", "https://hedgepost.example/@fen"],
    ["hedgepost", "@fen", "hedgepost", "fen", "https://hedgepost.example/@fen"],
    ["slow-reel", "harrowfen", "slow-reel", "harrowfen", reels],
    ["slow-reel", "slowreel.example/harrowfen/reels", "slow-reel", "harrowfen", reels],
  ])("of %s typed as %s is %s's %s", (id, typed, kind, handle, href) =>
    expect(readNetworkPage(networks, network(id), typed)).toMatchObject({ kind: { id: kind }, handle, href }),
  );

  it.each([
    [null, "harrowfen"],
    ["plotline", ""],
    ["plotline", "harrow fen"],
    ["plotline", "javascript:alert(1)"],
    [null, "https://plotline.example/"],
  ])("of %s is not made of %j", (id, typed) =>
    expect(readNetworkPage(networks, network(id), typed)).toBeNull(),
  );
});

describe("the calling code of a number", () => {
  it.each([
    ["+44 1632 960118", "44"],
    ["+33 1 99 00 12 34", "33"],
    ["01632 960118", null],
    ["", null],
  ])("%j is %s", (number, code) => expect(callingCodeOf(number)).toBe(code));
});

describe("what stands for a network", () => {
  it.each([
    ["photos", null],
    ["own:0123456789abcdef0123", "0123456789abcdef0123"],
    ["own:../x", null],
  ])("%s: the icon %s", (glyph, hash) => expect(ownIconOf({ glyph })).toBe(hash));
});

describe("a link in the words of people", () => {
  it.each([
    ["mailto:desk@harrowfen.example?subject=Seeds", "mail", "desk@harrowfen.example", "“Seeds”"],
    ["tel:+441632960100;ext=12", "phone", "+44 1632 960100", "ext. 12"],
    ["sms:+447700900123?body=Hello", "text message", "+44 7700 900123", "“Hello”"],
    ["https://harrowfen.example/", "page", "harrowfen.example", ""],
    ["/h/0123456789abcdef0123/open-store-weekend.ics", "calendar file", "open-store-weekend.ics", ""],
    ["https://harrowfen.example/a?b", "page", "harrowfen.example/a?b", ""],
    ["geo:52,0", "other", "geo:52,0", ""],
  ])("%s is a %s: %s", (href, kind, shown, detail) =>
    expect(describeLink(href)).toEqual({ kind, shown, detail }),
  );

  it("leads to the same place in another spelling", () => {
    expect(sameDestination("https://Harrowfen.example/", "http://www.harrowfen.example")).toBe(true);
    expect(sameDestination("https://harrowfen.example/a", "https://harrowfen.example/A")).toBe(false);
    expect(sameDestination("mailto:Desk@harrowfen.example", "mailto:desk@harrowfen.example")).toBe(true);
  });
});

describe("what answered", () => {
  const asked = "https://harrowfen.example/a";
  const at = (given: Partial<Response>): string =>
    judgeAnswer(asked, { status: 200, address: asked, redirects: [], asksToSignIn: false, ...given }).verdict;
  const led = (to: string, permanent: boolean): Partial<Response> => ({
    address: to,
    redirects: [{ to, permanent }],
  });

  it.each<[verdict: string, given: Partial<Response>]>([
    ["answers", {}],
    ["answers", led("https://harrowfen.example/en/a", false)],
    ["moved", led("https://harrowfen.example/b", true)],
    ["moved", led("https://www.harrowfen.example/a", true)],
    ["other-host", led("https://sedgeweb.example/a", true)],
    ["sign-in", { asksToSignIn: true }],
    ["sign-in", { status: 401 }],
    ["refused", { status: 403 }],
    ["not-found", { status: 404 }],
    ["not-found", { status: 410 }],
    ["server-trouble", { status: 503 }],
  ])("is judged as %s", (verdict, given) => expect(at(given)).toBe(verdict));
});

describe("what a client would link by itself", () => {
  const found = (text: string): string[] =>
    detectLinks(text).map(({ kind, start, end, href }) => `${kind} ${text.slice(start, end)} ${href ?? "-"}`);

  it.each([
    ["Ring +44 1632 960 100.", ["phone +44 1632 960 100 tel:+441632960100"]],
    [
      "01632 960100 or a@b.example",
      ["phone 01632 960100 tel:01632960100", "mail a@b.example mailto:a@b.example"],
    ],
    ["(https://a.example/x)", ["web https://a.example/x https://a.example/x"]],
    [
      "https://a.example/x, www.b.example.",
      ["web https://a.example/x https://a.example/x", "web www.b.example https://www.b.example"],
    ],
    [
      "12 June 2027 and June 3rd, 2027-06-12",
      ["date 12 June 2027 -", "date June 3rd -", "date 2027-06-12 -"],
    ],
    ["12 and 13 June, 10 to 4", ["date 12 and 13 June -"]],
    ["The Old Malthouse, 3 Sluice Lane, Harrow Fen", ["address 3 Sluice Lane -"]],
    ["Room 12, 3 trays, version 4.2 of 100 seeds in May", []],
    ["ISBN 0-306-40615-2, VAT no. 0123456789, Company number 01234567890", []],
    ["ISBN 0-306-40615-2. Ring 01632 960100", ["phone 01632 960100 tel:01632960100"]],
    ["A 24 hour drive, 2 days walk and 12 small close ones", []],
    ["", []],
  ])("in %j", (text, expected) => expect(found(text)).toEqual(expected));

  it("never overlaps, and never throws", () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.constantFrom("+44", "1632", "960100", "3", "Sluice", "Lane", "12", "June", "a@b.example", "x,"),
        ),
        (words) => {
          const text = words.join(" ");
          let last = 0;
          for (const { start, end } of detectLinks(text)) {
            expect(start).toBeGreaterThanOrEqual(last);
            expect(end).toBeGreaterThan(start);
            last = end;
          }
          expect(last).toBeLessThanOrEqual(text.length);
        },
      ),
    );
  });
});
