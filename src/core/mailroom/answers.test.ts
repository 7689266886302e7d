import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { deskClients } from "../desks";
import {
  answerRecipients,
  answerSubject,
  asSent,
  forwardSubject,
  handedOn,
  letterStart,
  quotedIn,
  referencesOf,
  signatureBlock,
  type AnsweredLetter,
} from "./index";

const at = (address: string, name = "") => ({ name, address });
const letter: AnsweredLetter = {
  from: at("zoe@harrowfen.example", "Zoë <Ngata>"),
  to: [at("ada@harrowfen.example", "Ada Quill"), at("ifor@harrowfen.example")],
  cc: [at("Press@harrowfen.example"), at("IFOR@harrowfen.example")],
  subject: "Trays & boxes",
  when: "Saturday, 28 November 2026, 10:00",
  html: "<p>Tray 2</p><script>x</script>",
  text: "",
};

describe("the subject of an answer", () => {
  it("says once that it is one, however often it was answered", () => {
    expect(answerSubject("Seeds")).toBe("Re: Seeds");
    expect(answerSubject("RE : Seeds")).toBe("RE : Seeds");
    expect(answerSubject("")).toBe("Re:");
    expect(answerSubject("Regarding seeds")).toBe("Re: Regarding seeds");
    expect(forwardSubject("Re: Seeds")).toBe("Fwd: Re: Seeds");
    fc.assert(
      fc.property(fc.string(), (subject) => {
        expect(answerSubject(answerSubject(subject))).toBe(answerSubject(subject));
        expect(forwardSubject(forwardSubject(subject))).toBe(forwardSubject(subject));
      }),
    );
  });
});

describe("who gets an answer", () => {
  it("is who wrote, or everybody but oneself, each once", () => {
    const own = ["ADA@harrowfen.example"];
    expect(answerRecipients(letter, own, false)).toEqual({ to: [letter.from], cc: [] });
    expect(answerRecipients(letter, own, true)).toEqual({
      to: [letter.from, at("ifor@harrowfen.example")],
      cc: [at("Press@harrowfen.example")],
    });
  });

  it("is whom one's own letter went to", () => {
    expect(answerRecipients(letter, ["zoe@harrowfen.example"], false)).toEqual({ to: letter.to, cc: [] });
    expect(answerRecipients(letter, ["zoe@harrowfen.example"], true)).toEqual({
      to: letter.to,
      cc: letter.cc,
    });
  });
});

describe("references", () => {
  it("end with the letter that is answered, and keep the first of many", () => {
    expect(referencesOf([], "a@x")).toEqual(["a@x"]);
    expect(referencesOf(["a@x", "b@x"], "b@x")).toEqual(["a@x", "b@x"]);
    expect(referencesOf(["a@x"], "")).toEqual(["a@x"]);
    const many = referencesOf(
      Array.from({ length: 80 }, (_, index) => `${index}@x`),
      "last@x",
    );
    expect([many.length, many[0], many.at(-1)]).toEqual([50, "0@x", "last@x"]);
  });
});

describe("what is quoted", () => {
  it("is the letter as the client that answers shows it, under a line of its own", () => {
    const html = quotedIn(letter, deskClients.malthouse);
    expect(html).toMatch(
      /^<div>Zoë &lt;Ngata&gt; wrote on Saturday, 28 November 2026, 10:00:<\/div><blockquote style="[^"]+"><p>Tray 2<\/p><\/blockquote>$/,
    );
  });

  it("or under the letter's head, where a client writes that", () => {
    const html = quotedIn(letter, deskClients.granary);
    expect(html).toContain("<b>From:</b> Zoë &lt;Ngata&gt; &lt;zoe@harrowfen.example&gt;");
    expect(html).toContain("<b>About:</b> Trays &amp; boxes");
    expect(html).toContain("<b>Copies:</b>");
    expect(html.startsWith("<blockquote")).toBe(true);
    expect(html).not.toContain("script");
  });

  it("of plain text is its lines, as they are", () => {
    const html = quotedIn({ ...letter, html: null, text: "a < b\n\nc\n" }, deskClients.malthouse);
    expect(html).toContain('<div dir="auto">a &lt; b</div><div dir="auto"><br></div><div dir="auto">c</div>');
  });

  it("is not indented where a letter is handed on", () => {
    const html = handedOn(letter, deskClients.wren);
    expect(html.startsWith("<div>A letter handed on:</div>")).toBe(true);
    expect(html).not.toContain("<blockquote");
  });
});

describe("how a letter begins", () => {
  const start = { text: "Dear\nIfor", signature: "<p>Ada</p>", delimiter: false, quoted: "<p>Old</p>" };

  it("has the signature above or below what is quoted, with the delimiter line where it is wanted", () => {
    const above = letterStart({ ...start, place: "above" });
    expect(above.indexOf("Ada")).toBeLessThan(above.indexOf("Old"));
    const below = letterStart({ ...start, place: "below", delimiter: true });
    expect(below.indexOf("Old")).toBeLessThan(below.indexOf("Ada"));
    expect(below).toContain('<div data-own-signature=""><div>-- <br></div><p>Ada</p></div>');
    expect(above).toMatch(/^<div dir="auto">Dear<\/div><div dir="auto">Ifor<\/div>/);
  });

  it("has a place for a signature where there is none, and no delimiter alone", () => {
    expect(signatureBlock(null, true)).toBe('<div data-own-signature=""></div>');
    expect(signatureBlock("", true)).toBe('<div data-own-signature=""></div>');
    expect(asSent(letterStart({ ...start, place: "above" }))).toContain(
      '<div class="signature"><p>Ada</p></div><div><br></div><div class="quoted"><p>Old</p></div>',
    );
  });
});
