import { spawnSync } from "node:child_process";
import fc from "fast-check";
import PostalMime from "postal-mime";
import { describe, expect, it } from "vitest";
import { PlistAtom, readBinaryPlist, writeBinaryPlist } from "../plist";
import { lineEndOf } from "./byte-text";
import { findWords, GraftError, grafted, graftedHtml, onlyPlace, readHost, wholeLine } from "./index";

const latin = (text: string): Uint8Array => Uint8Array.from(text, (letter) => letter.charCodeAt(0));
const utf8 = (text: string): Uint8Array => new TextEncoder().encode(text);
const utf16 = (text: string, high: 0 | 1): Uint8Array =>
  Uint8Array.from(
    Array.from("\ufeff" + text, (letter) => letter.charCodeAt(0)).flatMap((unit) =>
      high ? [unit >> 8, unit & 255] : [unit & 255, unit >> 8],
    ),
  );
const text = (bytes: Uint8Array): string => new TextDecoder("utf-8", { ignoreBOM: true }).decode(bytes);

/** The HTML of a page with a signature put in the place of some words. */
function put(html: string, words: string, fragment = "<table>S</table>"): string {
  const host = readHost(utf8(html));
  return text(grafted(host, onlyPlace(host, words), fragment));
}

const complaint = (bytes: Uint8Array, words = "PUT HERE"): string => {
  try {
    onlyPlace(readHost(bytes), words);
  } catch (error) {
    if (error instanceof GraftError) return error.message;
    throw error;
  }
  return "";
};

describe("words of a page are replaced", () => {
  it.each([
    [
      "a paragraph of their own with it",
      "<p class=a><span>PUT HERE<o:p></o:p></span></p>",
      "<table>S</table>",
    ],
    [
      "a block of their own within it",
      "<div id=x>\n<b>PUT HERE</b>\n</div>",
      "<div id=x>\n<table>S</table>\n</div>",
    ],
    [
      "a line between others",
      "<div>A<br><b>PUT HERE</b><br>B</div>",
      "<div>A<br><table>S</table><br>B</div>",
    ],
    ["some words of a line", "<div>A PUT HERE B</div>", "<div>A <table>S</table> B</div>"],
    ["words that are parted over lines", "<td>PUT\r\n  HERE</td>", "<td><table>S</table></td>"],
    ["words with references", "<td>PUT&nbsp;HE&#82;E</td>", "<td><table>S</table></td>"],
    [
      "words in several runs, whose tags stay",
      "<p>A <i>PUT</i><u> HERE</u> <b>B</b></p>",
      "<p>A <i><table>S</table></i><u></u> <b>B</b></p>",
    ],
    [
      "words beside a picture, which stays",
      '<p><img src="a">PUT HERE</p>',
      '<p><img src="a"><table>S</table></p>',
    ],
    [
      "words that a comment and a title hold too, there alone",
      "<title>PUT HERE</title><!-- PUT HERE --><td>PUT HERE</td>",
      "<title>PUT HERE</title><!-- PUT HERE --><td><table>S</table></td>",
    ],
    ["words in other letters", "<td>Put here</td>", "<td><table>S</table></td>"],
  ])("%s", (_what, html, becomes) => {
    expect(put(html, "PUT HERE")).toBe(becomes);
  });

  it("by the line that they stand in, where they stand twice", () => {
    const host = readHost(utf8("<p>HERE</p><p>HERE</p>"));
    expect(findWords(host, "HERE")).toHaveLength(2);
    expect(text(grafted(host, wholeLine(host, 1), "S"))).toBe("<p>HERE</p>S");
    expect(graftedHtml(host, wholeLine(host, 0), "S")).toBe("S<p>HERE</p>");
  });

  it("with the line ends of the page, in ASCII", () => {
    expect(put("<td>\r\nPUT HERE\r\n</td>", "PUT HERE", "<b>Ü</b>\n<i>ß</i>")).toBe(
      "<td>\r\n<b>&#220;</b>\r\n<i>&#223;</i>\r\n</td>",
    );
  });
});

describe("every byte around the words stays", () => {
  const encodings: readonly (readonly [string, (html: string) => Uint8Array])[] = [
    ["UTF-8", utf8],
    ["UTF-8 with a mark", (html) => utf8(`\ufeff${html}`)],
    ["windows-1252", (html) => latin(`<meta charset=windows-1252>${html}`)],
    ["UTF-16, low byte first", (html) => utf16(html, 0)],
    ["UTF-16, high byte first", (html) => utf16(html, 1)],
  ];
  const around = fc
    .array(
      fc.constantFrom("<b>", "</b>", "é", "ÿ", "&eacute;", "\n", "\r\n", " ", "a", "<i\n>", "\u00a0", "<"),
    )
    .map((parts) => parts.join(""));

  it.each(encodings)("in %s", (_name, encode) => {
    fc.assert(
      fc.property(around, around, fc.constantFrom("p", "div", "td"), (before, after, tag) => {
        const bytes = encode(`${before}<${tag}>PUT HERE</${tag}>${after}`);
        const host = readHost(bytes);
        const out = grafted(host, onlyPlace(host, "PUT HERE"), "<table>\n</table>");
        const back = readHost(out);
        const end = lineEndOf(host.html);
        const written = back.html.indexOf(`<table>${end}</table>`);
        expect(written).toBeGreaterThanOrEqual(0);
        expect(back.encoding).toBe(host.encoding);
        // What is the same at both ends leaves nothing but the paragraph or the words between them.
        let [from, to] = [0, 0];
        while (from < bytes.length && bytes[from] === out[from]) from += 1;
        while (to < bytes.length - from && bytes[bytes.length - 1 - to] === out[out.length - 1 - to]) to += 1;
        const unit = host.encoding.startsWith("utf-16") ? 2 : 1;
        expect(bytes.length - from - to).toBeLessThanOrEqual(unit * "<p>PUT HERE</p>".length);
      }),
      { numRuns: 150 },
    );
  });

  it("in a page of another encoding, and in one that breaks its own", () => {
    const greek = latin("<meta charset=iso-8859-7><p>\xc1\xe2\xe3</p><p>PUT HERE</p><p>\xe4</p>");
    const host = readHost(greek);
    expect(host.encoding).toBe("iso-8859-7");
    expect(host.lines[0]?.text).toBe("Αβγ");
    expect([...grafted(host, onlyPlace(host, "PUT HERE"), "S")]).toEqual([
      ...latin("<meta charset=iso-8859-7><p>\xc1\xe2\xe3</p>S<p>\xe4</p>"),
    ]);
    const asian = Uint8Array.from([
      ...latin("<meta charset=shift_jis><p>"),
      0x83,
      0x5c,
      ...latin("</p><p>PUT HERE</p>"),
    ]);
    const shown = readHost(asian);
    expect(shown.lines[0]?.text).toBe("ソ");
    expect([...grafted(shown, onlyPlace(shown, "PUT HERE"), "S")]).toEqual([
      ...asian.subarray(0, -"<p>PUT HERE</p>".length),
      0x53,
    ]);
    const broken = latin("<meta charset=utf-8><p>\xff\xc3</p><p>PUT HERE</p>");
    const spoilt = readHost(broken);
    expect([...grafted(spoilt, onlyPlace(spoilt, "PUT HERE"), "S")]).toEqual([
      ...latin("<meta charset=utf-8><p>\xff\xc3</p>S"),
    ]);
  });
});

describe("what cannot be done is said", () => {
  it.each([
    ["an empty file", new Uint8Array(), "This file is empty"],
    [
      "words that are not there",
      utf8("<p>Kind  regards,</p>"),
      "“PUT HERE” does not stand in this file. It begins with “Kind regards,”.",
    ],
    ["a page without words", utf8("<p></p>"), "it shows no words at all"],
    ["words that are there twice", utf8("<p>PUT HERE</p><p>PUT HERE</p>"), "stands in this file 2 times"],
    [
      "a picture",
      Uint8Array.from([137, 80, 78, 71, 0, 0, 60, 97]),
      "This is no file that a mail client keeps",
    ],
    ["plain text", utf8("Kind regards"), "This is no file that a mail client keeps"],
    ["a damaged archive", latin("bplist00" + "\xff".repeat(40)), "This web archive"],
    ["a list of something else", utf8('<?xml version="1.0"?><plist><dict></dict></plist>'), "holds no page"],
    ["another binary list", writeBinaryPlist({ a: 1 }), "holds no page"],
    ["plain text in a message", utf8("Content-Type: text/plain\n\nKind regards"), "plain text there"],
    ["several parts", utf8('Content-Type: multipart/related; boundary="a"\n\n--a--'), "has several parts"],
    [
      "an encoding of no kind",
      utf8("Content-Type: text/html\nContent-Transfer-Encoding: x-odd\n\n<p>"),
      "x-odd",
    ],
  ])("%s", (_what, bytes, says) => {
    expect(complaint(bytes)).toContain(says);
  });
});

const page = '<html><body style="color:red"><div id="w">Draft</div></body></html>';
const pictures = [
  { address: "https://p.example/h/1/a.png", type: "image/png", bytes: Uint8Array.from([1, 2, 3]) },
];

describe("a web archive", () => {
  const date = new PlistAtom(Uint8Array.from([0x33, 0x41, 0xc4, 0, 0, 0, 0, 0, 0]));
  const archive = {
    WebMainResource: {
      WebResourceData: utf8(page),
      WebResourceFrameName: "",
      WebResourceMIMEType: "text/html",
      WebResourceTextEncodingName: "UTF-8",
      WebResourceURL: "about:blank",
    },
    Own: {
      Code: "4B-21",
      Made: date,
      Below: new PlistAtom(Uint8Array.from([0x13, ...Array<number>(8).fill(255)])),
    },
  };

  it("gets the signature for its body, and keeps what else is in it", () => {
    const host = readHost(writeBinaryPlist(archive));
    expect(host.form).toBe("archive");
    const out = readBinaryPlist(grafted(host, { kind: "body" }, "<b>é</b>", pictures)) as typeof archive;
    expect(out).toEqual({
      ...archive,
      WebMainResource: {
        ...archive.WebMainResource,
        WebResourceData: utf8('<html><body style="color:red"><b>&#233;</b></body></html>'),
      },
      WebSubresources: [
        {
          WebResourceData: pictures[0]?.bytes,
          WebResourceMIMEType: "image/png",
          WebResourceURL: pictures[0]?.address,
        },
      ],
    });
  });

  const python = spawnSync("python3", ["-c", "import plistlib"]).status === 0;
  const independent = (form: "FMT_BINARY" | "FMT_XML"): Uint8Array => {
    const script = `
import plistlib, sys, datetime
page = '<html><body><p>Gr\\u00fc\\u00dfe</p><div>Draft</div></body></html>'.encode('utf-16' if '${form}' == 'FMT_XML' else 'utf-8')
sys.stdout.buffer.write(plistlib.dumps({
  'WebMainResource': {'WebResourceData': page, 'WebResourceURL': 'about:blank', 'WebResourceMIMEType': 'text/html',
    'WebResourceTextEncodingName': 'UTF-16' if '${form}' == 'FMT_XML' else 'UTF-8'},
  'WebSubresources': [{'WebResourceURL': 'a', 'WebResourceData': bytes(range(256)), 'Nested': {'WebResourceData': b'x'}}],
  'Identifier': '4B-21', 'When': datetime.datetime(2026, 1, 2), 'Ratio': 0.5, 'Below': -3, 'Yes': True,
}, fmt=plistlib.${form}))`;
    return spawnSync("python3", ["-c", script]).stdout;
  };
  const readBack = (bytes: Uint8Array): unknown => {
    const script =
      "import plistlib,sys,json;v=plistlib.loads(sys.stdin.buffer.read());print(json.dumps(v,default=lambda x:list(x) if isinstance(x,bytes) else str(x)))";
    const { stdout, stderr } = spawnSync("python3", ["-c", script], { input: bytes, encoding: "utf8" });
    if (stderr) throw new Error(stderr);
    return JSON.parse(stdout);
  };

  it.skipIf(!python).each(["FMT_BINARY", "FMT_XML"] as const)(
    "of an independent writer (%s) is read by it again, with that alone changed",
    (form) => {
      const bytes = independent(form);
      const host = readHost(bytes);
      expect(host.lines.map((line) => line.text)).toEqual(["Grüße", "Draft"]);
      const before = readBack(bytes) as typeof archive & { WebSubresources: object[] };
      const out = grafted(host, onlyPlace(host, "Draft"), "<b>S</b>", pictures);
      const after = readBack(out) as typeof before;
      const added = {
        WebResourceURL: pictures[0]?.address,
        WebResourceMIMEType: "image/png",
        WebResourceData: [1, 2, 3],
      };
      expect(after).toEqual({
        ...before,
        WebMainResource: { ...before.WebMainResource, WebResourceData: expect.anything() as unknown },
        WebSubresources: [...before.WebSubresources, added],
      });
      expect(readHost(out).html).toBe(host.html.replace("Draft", "<b>S</b>"));
    },
  );

  it.skipIf(!python)("as an XML list keeps every byte around the page and its pictures", () => {
    const before = text(independent("FMT_XML"));
    const after = text(grafted(readHost(utf8(before)), { kind: "body" }, "S"));
    const outside = (xml: string): string => xml.replace(/<data>[^<]*<\/data>/, "<data/>");
    expect(outside(after)).toBe(outside(before));
    const longest = Math.max(...after.split("\n").map(({ length }) => length));
    expect(longest).toBe(Math.max(...before.split("\n").map(({ length }) => length)));
  });
});

describe("a small message", () => {
  const headers = "Content-Type: text/html;\r\n\tcharset=us-ascii\r\nMessage-Id: <4B-21@own>\r\n";
  const long = `<table><tr><td>${`<b style="color:red" lang="en">é</b>`.repeat(90)}</td></tr></table>`;

  it.each([
    ["7bit", "<body><div>Draft</div></body>"],
    ["quoted-printable", '<body><div style=3D"a">Dra=\r\nft</div></body>'],
    ["base64", btoa("<body><div>Draft</div></body>")],
  ])("in %s is written again so, its headers as they were", async (transfer, body) => {
    const own = `${headers}Content-Transfer-Encoding: ${transfer}\r\nX-Own: kept\r\n\r\n`;
    const host = readHost(latin(own + body));
    expect(host.form).toBe("entity");
    const out = text(grafted(host, onlyPlace(host, "Draft"), long));
    expect(out.startsWith(own)).toBe(true);
    for (const line of out.split("\r\n"))
      expect(line.length).toBeLessThanOrEqual(transfer === "7bit" ? 998 : 78);
    const read = await PostalMime.parse(out);
    expect(read.html?.replace(/\s+/g, " ")).toContain(long.replaceAll("é", "&#233;"));
    expect(read.headers.find(({ key }) => key === "x-own")?.value).toBe("kept");
  });
});
