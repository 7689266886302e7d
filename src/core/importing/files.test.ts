/** Files that people have of a signature, read by what is in them; and where the signature is in a mail. */
import { readFileSync } from "node:fs";
import createPlist from "bplist-creator";
import { describe, expect, it } from "vitest";
import { findSignatures, htmlOfText, importHtml, readImportFile } from "./index";

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const png = Uint8Array.from(
  atob("iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=="),
  (character) => character.charCodeAt(0),
);

const refused = (name: string, content: Uint8Array): Promise<string> =>
  readImportFile(name, content).then(
    () => "",
    (error: Error) => `${error.constructor.name}: ${error.message}`,
  );

describe("a file", () => {
  it("of HTML is read in the encoding that it declares, or is in", async () => {
    const latin = Uint8Array.from('<meta charset="iso-8859-1"><p>Zo\u00eb</p>', (c) => c.charCodeAt(0));
    expect((await readImportFile("a.htm", latin)).html).toContain("Zoë");
    expect((await readImportFile("a.htm", bytes('<meta charset="iso-8859-1"><p>Zoë</p>'))).html).toContain(
      "Zoë",
    );
    const wide = new Uint8Array(2 + 2 * 10);
    wide.set([0xff, 0xfe]);
    [..."<p>Zoë</p>"].forEach((c, at) => wide.set([c.charCodeAt(0), 0], 2 + 2 * at));
    expect((await readImportFile("a.html", wide)).html).toBe("<p>Zoë</p>");
  });

  it("of plain text shows its lines", async () => {
    const { html } = await readImportFile("a.txt", bytes("Ada <Quill>\r\nArchivist\n"));
    expect(html).toBe(htmlOfText("Ada <Quill>\nArchivist\n"));
    const lines: string[] = [];
    importHtml(html).document.descendants((node) => {
      if (node.isTextblock) lines.push(node.textContent.replaceAll("\u00a0", " "));
    });
    expect(lines).toEqual(["Ada <Quill>", "Archivist"]);
  });

  it("of a mail brings its pictures by the ids that its HTML names", async () => {
    const reading = await readImportFile("a.eml", readFileSync("tests/corpus/43-mail-with-delimiter.eml"));
    expect(reading).toMatchObject({ kind: "mail", isMessage: true });
    expect(reading.pictures.get("cid:photo@harrowfen")).toMatchObject({ name: "ada.png", type: "image/png" });
    expect(reading.pictures.get("cid:photo@harrowfen")?.bytes).toEqual(png);
  });

  it("of a saved page brings its pictures by the addresses that they had", async () => {
    const reading = await readImportFile("a.mhtml", readFileSync("tests/corpus/44-saved-page.mhtml"));
    expect(reading).toMatchObject({ kind: "archive", isMessage: false });
    expect(reading.pictures.get("https://harrowfen.example/pictures/logo.png")).toMatchObject({
      name: "logo.png",
      bytes: png,
    });
  });

  it("of a saved page keeps its letters where they are sent as they are", async () => {
    const page = [
      "MIME-Version: 1.0",
      'Content-Type: multipart/related; boundary="b"',
      "",
      "--b",
      "Content-Type: text/html; charset=utf-8",
      "Content-Transfer-Encoding: 8bit",
      "Content-Location: https://harrowfen.example/",
      "",
      "<p>Élodie Ångström, ”Ж“ €</p>",
      "--b--",
      "",
    ].join("\r\n");
    const { html } = await readImportFile("a.mhtml", new TextEncoder().encode(page));
    expect(html).toContain("<p>Élodie Ångström, ”Ж“ €</p>");
  });

  it("of a web archive is a property list with a page and what it shows", async () => {
    const archive = createPlist({
      WebMainResource: {
        WebResourceData: Buffer.from("<p>Ada Quill</p><img src='https://p.example/a%20b.png'>"),
        WebResourceMIMEType: "text/html",
        WebResourceURL: "https://p.example/",
      },
      WebSubresources: [
        {
          WebResourceData: Buffer.from(png),
          WebResourceMIMEType: "image/png",
          WebResourceURL: "https://p.example/a%20b.png",
        },
      ],
    });
    const reading = await readImportFile("a.webarchive", archive);
    expect(reading.html).toContain("Ada Quill");
    const picture = reading.pictures.get("https://p.example/a%20b.png");
    expect([picture?.name, ...(picture?.bytes ?? [])]).toEqual(["a b.png", ...png]);
    // Cut short, it is said to be damaged and nothing else.
    for (let length = 6; length < archive.length; length += 7)
      expect(await refused("a.webarchive", archive.subarray(0, length))).toMatch(
        /^ImportFileError: This (is no )?web archive/,
      );
  });

  it("of Still Line is the document that it is", async () => {
    const { document } = await readImportFile("full.json", readFileSync("demo/signatures/full.json"));
    expect(document?.type.name).toBe("signature");
    expect(await refused("a.json", bytes('{"type":"signature","content":[]}'))).toMatch(
      /^ImportFileError: This is no signature/,
    );
  });

  it.each([
    ["a.html", new Uint8Array(), "ImportFileError: This file is empty."],
    ["a.png", png, "ImportFileError: This is no HTML and no mail. Pictures are placed on the Bench."],
    [
      "a.html",
      new Uint8Array(26 * 1024 * 1024),
      "ImportFileError: This file is over 25 MB: a signature is far smaller.",
    ],
  ])("that is none is refused with a sentence: %s", async (name, content, message) => {
    expect(await refused(name, content)).toBe(message);
  });
});

const found = (html: string): readonly string[] =>
  findSignatures(html).map(({ foundBy, text }) => `${foundBy}: ${text}`);

describe("the signature of a message", () => {
  it("follows the line that parts it from the text", () => {
    expect(found("<p>Dear Bram,</p><p>-- </p><p>Ada Quill</p><p>Archivist</p>")[0]).toBe(
      "delimiter: Ada Quill Archivist",
    );
    expect(found("<div>Dear Bram,<br>-- <br>Ada Quill<br><b>Archivist</b></div>")[0]).toBe(
      "delimiter: Ada Quill Archivist",
    );
  });

  it("is what a client wrapped and named", () => {
    expect(found('<p>Hello</p><div class="mail_signature"><b>Ada</b></div>')[0]).toBe("wrapper: Ada");
    expect(found('<p>Hello</p><blockquote><div id="Signature">Bram</div></blockquote>')[0]).toBe(
      "whole: Hello Bram",
    );
  });

  it("is the block that comes again in what is quoted", () => {
    const own = "<table><tr><td>Ada Quill, Archivist</td></tr></table>";
    expect(found(`<p>Yes, tomorrow.</p>${own}<blockquote><p>And now?</p>${own}</blockquote>`)[0]).toBe(
      "repeated: Ada Quill, Archivist",
    );
  });

  it("may be the last block with a table or a link; the whole message is the last choice", () => {
    expect(found("<p>Hello Bram</p><table><tr><td>Ada Quill</td></tr></table>")).toEqual([
      "last-block: Ada Quill",
      "whole: Hello Bram Ada Quill",
    ]);
  });

  it("brings the looks that it had around it", () => {
    const [block] = findSignatures(
      '<style>b{color:#3F5B2E}</style><div style="font-family:Georgia"><p>Hi</p><p>--</p><p><b>Ada</b></p></div>',
    );
    const { document } = importHtml(block?.html ?? "");
    expect(document.attrs).toMatchObject({ font: "Georgia", textColor: "#3F5B2E" });
    expect(document.textContent).toBe("Ada");
  });

  it("is looked for in any input without failing", () => {
    for (const html of ["", "<", "--", "<table><tr><td>--", "<div class=signature>"])
      expect(Array.isArray(found(html))).toBe(true);
  });
});
