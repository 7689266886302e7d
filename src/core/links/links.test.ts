import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { detectLinks, mailtoLink, readLink, telLink, webLink } from "./index";

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

describe("an address that is typed", () => {
  it.each([
    ["harrowfen.example/visit", "https://harrowfen.example/visit"],
    ["  ada@harrowfen.example ", "mailto:ada@harrowfen.example"],
    ["+44 1632 960100", "tel:+441632960100"],
    ["mailto:ada@harrowfen.example?subject=Seeds", "mailto:ada@harrowfen.example?subject=Seeds"],
    ["http://localhost:4310/x", "http://localhost:4310/x"],
  ])("%s means %s", (typed, href) => expect(readLink(typed)).toEqual({ ok: true, href, mended: null }));

  it("has a doubled beginning mended, and says so", () => {
    expect(readLink("https://https://harrowfen.example")).toEqual({
      ok: true,
      href: "https://harrowfen.example",
      mended: "The beginning stood there twice.",
    });
    expect(readLink("http://https://harrowfen.example")).toMatchObject({ href: "https://harrowfen.example" });
  });

  it.each([
    ["", "Type where the link leads."],
    ["seeds", "“seeds” is neither a web address, a mail address nor a phone number."],
    ["https://", "“https://” is no web address: something like harrowfen.example is."],
    ["javascript:alert(1)", "A link can lead to a page, a mail address or a phone number only."],
    ["mailto:ada quill@a.example", "An address has no spaces in it."],
  ])("%j is refused with a sentence", (typed, message) =>
    expect(readLink(typed)).toEqual({ ok: false, message }),
  );

  it("is always an address without spaces, or refused", () => {
    fc.assert(
      fc.property(fc.string(), (typed) => {
        const reading = readLink(typed);
        expect(reading.ok ? /^(https?|mailto|tel):\S+$/i.test(reading.href) : reading.message !== "").toBe(
          true,
        );
      }),
    );
  });
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
