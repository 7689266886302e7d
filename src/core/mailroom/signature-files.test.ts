import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { writeBinaryPlist } from "../plist";
import { contentIdOf } from "./content-ids";
import {
  archivePictures,
  closed,
  emptyArchive,
  filesOfSignature,
  opened,
  readArchive,
  readFolder,
  renamedPage,
  type DeskArchive,
} from "./index";

const utf8 = (text: string): Uint8Array => new TextEncoder().encode(text);
const page = (body: string, charset = "utf-8"): Uint8Array =>
  utf8(`<html><head><meta charset="${charset}"></head><body>${body}</body></html>`);
const file = (path: string, bytes = utf8("x")) => ({ path, bytes });

describe("a folder of signature files", () => {
  it("has a signature for each page on its own level, with the pictures that lie beside it", () => {
    const { signatures, strays } = readFolder(
      [
        file(
          "Full.htm",
          page('<p>Ada</p><img src="./Full%20pictures/a.png"><img src="https://x.example/b.png">'),
        ),
        file("Full.txt"),
        file("Full.rtf"),
        file("Full pictures/a.png"),
        file("Full pictures/b.png"),
        file("deeper/Other.htm", page("no")),
      ],
      "granary",
    );
    const id = "Full=20pictures=2Fa=2Epng@granary.invalid";
    expect(signatures).toEqual([
      {
        id: "Full.htm",
        name: "Full",
        html: `<p>Ada</p><img src="cid:${id}"><img src="https://x.example/b.png">`,
        pictures: { [id]: "Full pictures/a.png" },
        complaints: [],
      },
    ]);
    expect(strays).toEqual(["Full pictures/b.png", "deeper/Other.htm"]);
  });

  it("says which pictures are not there, and that there is no plain text", () => {
    const [signature] = readFolder(
      [file("Full.htm", page('<img src="Full pictures/a.png"><img src="dot.png"><img src="../out.png">'))],
      "granary",
    ).signatures;
    expect(signature?.complaints).toEqual([
      "Full.htm has pictures in the folder “Full pictures” and “dot.png”, which are not here: put it beside the file.",
      "There is no Full.txt: letters in plain text go without this signature.",
    ]);
  });

  it("reads a page by what it says of itself, and says where that is wrong", () => {
    const told = (bytes: Uint8Array) =>
      readFolder([file("A.htm", bytes), file("A.txt")], "granary").signatures[0];
    expect(told(page("é"))).toMatchObject({ html: "é", complaints: [] });
    expect(told(utf8("<p>é</p>"))).toMatchObject({
      html: "<p>Ã©</p>",
      complaints: [
        "A.htm does not say in which encoding it is, and is utf-8: letters such as é come out wrong.",
      ],
    });
    expect(told(page("é", "iso-8859-1"))?.complaints).toEqual([
      "A.htm says that it is windows-1252 and is utf-8: letters such as é come out wrong.",
    ]);
    // An encoding that nobody knows is none.
    expect(told(page("é", "klingon"))?.complaints).toHaveLength(1);
    expect(told(utf8("<p>plain</p>"))?.complaints).toEqual([]);
    const bytes = Uint8Array.from([
      0xff,
      0xfe,
      ...[..."<p>é</p>"].flatMap((letter) => [letter.charCodeAt(0), 0]),
    ]);
    expect(told(bytes)).toMatchObject({ html: "<p>é</p>", complaints: [] });
  });

  it("takes out what is a signature's own, and leaves pictures that another one shows", () => {
    const folder = readFolder(
      [
        file("A.htm", page('<img src="p/a.png"><img src="p/both.png">')),
        file("B.htm", page('<img src="p/both.png">')),
        file("p/a.png"),
        file("p/both.png"),
      ],
      "granary",
    );
    expect(filesOfSignature(folder, "A.htm")).toEqual(["A.htm", "A.txt", "A.rtf", "p/a.png"]);
    expect(filesOfSignature(folder, "C.htm")).toEqual([]);
    expect(renamedPage("A.v2.htm", "Press")).toBe("Press.htm");
  });

  it("never throws, whatever lies in it", () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ path: fc.string(), bytes: fc.uint8Array({ maxLength: 60 }) }), { maxLength: 5 }),
        (files) => {
          const { signatures } = readFolder(files, "granary");
          expect(signatures.length).toBeLessThanOrEqual(files.length);
        },
      ),
    );
  });
});

describe("content ids", () => {
  it("are of a dot-atom's letters, and no two paths share one", () => {
    fc.assert(
      fc.property(fc.string({ unit: "grapheme" }), fc.string({ unit: "grapheme" }), (one, other) => {
        fc.pre(one.isWellFormed() && other.isWellFormed());
        // RFC 5322, 3.2.3
        expect(contentIdOf(one, "granary")).toMatch(/^[A-Za-z0-9=_-]*@granary\.invalid$/);
        expect(contentIdOf(one, "granary") === contentIdOf(other, "granary")).toBe(one === other);
      }),
    );
  });
});

describe("archives of a program", () => {
  const archive = (over: Partial<DeskArchive> = {}): DeskArchive => ({
    path: "1A2B.webarchive",
    name: "Full",
    bytes: emptyArchive(),
    held: null,
    ...over,
  });
  const full = (html: string): Uint8Array =>
    writeBinaryPlist({
      WebMainResource: {
        WebResourceData: utf8(`<body>${html}</body>`),
        WebResourceMIMEType: "text/html",
        WebResourceURL: "about:blank",
      },
      WebSubresources: [
        {
          WebResourceData: utf8("png"),
          WebResourceMIMEType: "image/png",
          WebResourceURL: "https://x.example/a.png",
        },
      ],
    });

  it("are read when it is opened, and written over when it is closed", () => {
    const [running] = opened([archive()]);
    expect(running?.held).toEqual(emptyArchive());
    const replaced = { ...archive({ held: emptyArchive() }), bytes: full("Ada") };
    const { archives, lost } = closed([replaced]);
    expect(lost).toEqual(["Full"]);
    expect(archives[0]).toEqual(archive());
    expect(closed(archives).lost).toEqual([]);
    expect(closed(opened([archive({ bytes: full("Ada") })]))).toMatchObject({ lost: [] });
  });

  it("hold the pictures that they bring, under content ids", () => {
    const html = '<p>Ada</p><img src="https://x.example/a.png"><img src="https://x.example/b.png">';
    const held = readArchive(archive({ held: full(html) }), "sluice");
    const [id] = Object.keys(held.pictures);
    expect(held.pictures[id ?? ""]).toBe("1A2B.webarchive/https://x.example/a.png");
    expect(held.html).toBe(`<p>Ada</p><img src="cid:${id}"><img src="https://x.example/b.png">`);
    expect(archivePictures(full(html)).map(({ url }) => url)).toEqual(["https://x.example/a.png"]);
  });

  it("show nothing while it is closed, and a sentence for what is no archive", () => {
    expect(readArchive(archive(), "sluice")).toMatchObject({ html: "", complaints: [] });
    expect(readArchive(archive({ held: Uint8Array.from([1, 2, 3]) }), "sluice").complaints).toEqual([
      "“Full” cannot be read: its file is none of ours any more.",
    ]);
    expect(archivePictures(utf8("no archive"))).toEqual([]);
  });
});
