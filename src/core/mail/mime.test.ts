import fc from "fast-check";
import PostalMime from "postal-mime";
import { describe, expect, it } from "vitest";
import {
  base64,
  bytesOfBase64,
  bytesOfQuotedPrintable,
  quotedPrintableBytes,
  bytesEntity,
  headerValue,
  multipart,
  quotedPrintable,
  textEntity,
  writeEntity,
} from "./index";

describe("MIME", () => {
  it("gives any text back as it was, in lines of ASCII that are no longer than 76", async () => {
    await fc.assert(
      fc.asyncProperty(fc.string({ unit: "grapheme", maxLength: 200 }), async (typed) => {
        const text = typed.replace(/\r\n?|\n/g, "\n");
        const written = writeEntity(textEntity("plain", text));
        for (const line of written.split("\r\n")) expect(line).toMatch(/^[\x00-\x7f]{0,76}$/);
        const read = await PostalMime.parse(written);
        expect((read.text ?? "").replace(/\n$/, "")).toBe(text.replace(/\n$/, ""));
      }),
      { numRuns: 100 },
    );
  });

  it("encodes header values that are not ASCII, and lets no line end into one", async () => {
    expect(headerValue("Plain words")).toBe("Plain words");
    expect(headerValue("One\r\nBcc: two")).toBe("One Bcc: two");
    const subject =
      "Grüße aus der Saatgutbibliothek, mit einem Betreff, der länger ist als eine Zeile sein darf";
    const written = writeEntity({ headers: [["Subject", headerValue(subject)]], body: "" });
    expect(written).toMatch(/^[\x00-\x7f]*$/);
    expect((await PostalMime.parse(written)).subject).toBe(subject);
  });

  it("parts entities by a boundary that is in none of them", async () => {
    const inner = multipart("alternative", [textEntity("plain", "one"), textEntity("html", "<p>two</p>")]);
    const outer = multipart("related", [inner, bytesEntity("image/png", new Uint8Array([1, 2, 3]))]);
    const boundaries = [...writeEntity(outer).matchAll(/boundary="([^"]*)"/g)].map((found) => found[1]);
    expect(new Set(boundaries).size).toBe(2);
    const read = await PostalMime.parse(writeEntity(outer));
    expect(read.html).toContain("<p>two</p>");
    expect(read.attachments.map(({ content }) => [...new Uint8Array(content as ArrayBuffer)])).toEqual([
      [1, 2, 3],
    ]);
  });

  it("gives bytes back as they were, by quoted-printable and by base64", () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 300 }), (bytes) => {
        // Lines are ended by CR LF, whatever ended them.
        const lines = Uint8Array.from(
          [...bytes].filter((byte) => byte !== 13).flatMap((byte) => (byte === 10 ? [13, 10] : [byte])),
        );
        const written = quotedPrintableBytes(lines);
        for (const line of written.split("\r\n")) expect(line).toMatch(/^[\x20-\x7e\t]{0,76}$/);
        expect([...bytesOfQuotedPrintable(new TextEncoder().encode(written))]).toEqual([...lines]);
        expect([...(bytesOfBase64(base64(bytes)) ?? [])]).toEqual([...bytes]);
      }),
    );
  });

  it("reads what others wrote: soft ends of lines, small letters, spaces that were added on the way", () => {
    const read = (written: string): string =>
      new TextDecoder().decode(bytesOfQuotedPrintable(new TextEncoder().encode(written)));
    expect(read("Gr=c3=bc=C3=9Fe=\nund =\r\nmehr")).toBe("Grüßeund mehr");
    expect(read("one  \t\r\ntwo ")).toBe("one\r\ntwo");
    expect(read("100 =ZZ and = alone")).toBe("100 =ZZ and = alone");
    expect(bytesOfBase64("SGFy\r\n cm93")).toEqual(new TextEncoder().encode("Harrow"));
    expect(bytesOfBase64("no base64!")).toBeNull();
  });

  it("escapes what would end a line early", () => {
    expect(quotedPrintable("a=b \nü")).toBe("a=3Db=20\r\n=C3=BC");
  });
});
