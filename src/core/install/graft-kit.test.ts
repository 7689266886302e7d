import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { findWords, onlyPlace, readHost } from "../graft";
import { readPerson } from "../people";
import { readBinaryPlist, writeBinaryPlist } from "../plist";
import { parseSignature } from "../signature";
import { graftFiles, graftPictures, picturesOfKit, type Graft } from "./index";

const read = (file: string): unknown => JSON.parse(readFileSync(file, "utf8"));
const base = "https://pictures.harrowfen.example";
const document = parseSignature(read("demo/signatures/full.json"));
const person = readPerson(read("demo/people/tamsin-okafor.json"));

/** A picture whose file says another density than the 96 dpi that a document engine draws it at (PNG 3, 11.3.4.3). */
const png = ((): Buffer => {
  const bytes = readFileSync("demo/pictures/cuts/3c9a065c28082dfae223/harrow-fen-logo.png");
  bytes.writeUInt32BE(11_811, bytes.indexOf("pHYs") + 4);
  return bytes;
})();
const pixelsPerMetre = (bytes: Uint8Array): number => {
  const buffer = Buffer.from(bytes);
  return buffer.readUInt32BE(buffer.indexOf("pHYs") + 4);
};
const pictures = new Map(
  picturesOfKit({ full: document, short: null, person, base }).map((path) => [
    path,
    { type: "image/png", bytes: new Uint8Array(png) },
  ]),
);

const utf8 = (text: string): Uint8Array => new TextEncoder().encode(text);
const text = (bytes: Uint8Array | undefined): string => new TextDecoder().decode(bytes);

function graft(bytes: Uint8Array, over: Partial<Graft> = {}): Graft {
  const host = readHost(bytes);
  return {
    host,
    fileName: "Draft.htm",
    place: onlyPlace(host, "PUT HERE"),
    document,
    source: { name: "Full", person, base, pictures },
    picturesIn: "carried",
    ...over,
  };
}

const page = (head = ""): Uint8Array => utf8(`<html><head>${head}</head><body><p>PUT HERE</p></body></html>`);

describe("a signature in a client's own file", () => {
  it("has its pictures beside a page, in a folder that is called after it", () => {
    const [file, ...beside] = graftFiles(graft(page()));
    expect(file?.path).toBe("Draft.htm");
    expect(beside.map(({ path }) => path.split("/")[0])).toEqual(
      pictures.size > 0 ? beside.map(() => "Draft pictures") : [],
    );
    expect(beside).toHaveLength(pictures.size);
    const html = text(file?.bytes);
    for (const { path } of beside)
      expect(html).toContain(`src="${path.replace("Draft pictures", "Draft%20pictures")}"`);
    expect(html).not.toContain(base);
    for (const { bytes } of beside) expect(pixelsPerMetre(bytes)).toBe(3780);
  });

  it("has them in the folder that the page names by itself", () => {
    const named = page('<link rel=File-List href="Draft%20files/filelist.xml">');
    const [, ...beside] = graftFiles(graft(named));
    expect(new Set(beside.map(({ path }) => path.split("/")[0]))).toEqual(new Set(["Draft files"]));
    // A name that is written badly is taken as it is written.
    const [, first] = graftFiles(graft(page('<link rel="file-list" href="100%/list.xml">')));
    expect(first?.path.startsWith("100%/")).toBe(true);
  });

  it("leaves them at their addresses where that is wanted", () => {
    const files = graftFiles(graft(page(), { picturesIn: "hosted" }));
    expect(files).toHaveLength(1);
    expect(text(files[0]?.bytes)).toContain(`src="${base}/h/`);
  });

  it("holds them in an archive, under the addresses that its page names", () => {
    const bytes = writeBinaryPlist({
      WebMainResource: {
        WebResourceData: utf8("<body><div>PUT HERE</div></body>"),
        WebResourceMIMEType: "text/html",
        WebResourceURL: "about:blank",
      },
    });
    const [file, ...beside] = graftFiles(graft(bytes, { fileName: "4B-21.sig" }));
    expect([file?.path, beside]).toEqual(["4B-21.sig", []]);
    const archive = readBinaryPlist(file?.bytes ?? new Uint8Array()) as {
      WebMainResource: { WebResourceData: Uint8Array };
      WebSubresources: readonly { WebResourceURL: string; WebResourceData: Uint8Array }[];
    };
    const html = text(archive.WebMainResource.WebResourceData);
    expect(archive.WebSubresources).toHaveLength(pictures.size);
    for (const { WebResourceURL, WebResourceData } of archive.WebSubresources) {
      expect(html).toContain(`src="${WebResourceURL}"`);
      expect(Buffer.from(WebResourceData).equals(png)).toBe(true);
    }
  });

  it("carries none in a message, which holds HTML alone", () => {
    const message = utf8(
      "Content-Type: text/html; charset=utf-8\r\nContent-Transfer-Encoding: 8bit\r\n\r\n<body><p>PUT HERE</p></body>\r\n",
    );
    expect(graftPictures[readHost(message).form]).toEqual(["hosted"]);
    const files = graftFiles(graft(message, { fileName: "a.sig" }));
    expect(files).toHaveLength(1);
    expect(text(files[0]?.bytes)).toContain(`src="${base}/h/`);
  });

  it("takes a base with a slash at its end for the one without", () => {
    const plain = graftFiles(graft(page()));
    const slashed = graftFiles(
      graft(page(), { source: { name: "Full", person, base: `${base}/`, pictures } }),
    );
    expect(slashed).toEqual(plain);
  });

  it("goes into words that stand there once; it is known where they stand twice", () => {
    const twice = utf8("<body><p>PUT HERE</p><p>PUT HERE</p></body>");
    expect(findWords(readHost(twice), "PUT HERE")).toHaveLength(2);
    expect(() => onlyPlace(readHost(twice), "PUT HERE")).toThrow("PUT HERE");
  });
});
