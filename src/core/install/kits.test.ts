import { spawnSync } from "node:child_process";
import { readFileSync } from "node:fs";
import { mkdtemp, writeFile } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import ICAL from "ical.js";
import { simpleParser } from "mailparser";
import { parse } from "parse5";
import PostalMime from "postal-mime";
import { describe, expect, it } from "vitest";
import { readImportFile, importHtml } from "../importing";
import { readPerson, type Person } from "../people";
import { readBinaryPlist } from "../plist";
import { parseSignature, shortForm } from "../signature";
import { kitFiles, picturesOfKit, zipKit, type KitFile, type KitSource } from "./index";
import { kitKinds, type KitKind } from "../install-kinds";

const base = "https://pictures.harrowfen.example";
const tamsin: Person = readPerson(JSON.parse(readFileSync("demo/people/tamsin-okafor.json", "utf8")));
const full = parseSignature(JSON.parse(readFileSync("demo/signatures/full.json", "utf8")));

const without = { full, short: null, person: tamsin, base };
/** Any bytes will do: what they show is not looked at here. */
const pictures = new Map(
  picturesOfKit(without).map((path, index) => [
    path,
    { type: "image/png", bytes: Uint8Array.from([137, 80, 78, 71, index, 255]) },
  ]),
);
const source: KitSource = { name: "Full", ...without, pictures };

const text = (file: KitFile | undefined): string =>
  new TextDecoder("utf-8", { ignoreBOM: true }).decode(file?.bytes);
const find = (files: readonly KitFile[], path: string): KitFile => {
  const found = files.find((file) => file.path === path);
  if (!found) throw new Error(`${path} is not among ${files.map((file) => file.path).join(", ")}`);
  return found;
};
const python = spawnSync("python3", ["--version"]).status === 0;
function runPython(script: string, input: Uint8Array): unknown {
  const { stdout, stderr } = spawnSync("python3", ["-c", script], { input, encoding: "utf8" });
  if (stderr) throw new Error(stderr);
  return JSON.parse(stdout);
}

describe("a kit", () => {
  it.each<[KitKind, readonly string[]]>([
    ["webmail", ["full.html", "full.txt"]],
    ["desktop-browser", ["full.webarchive"]],
    ["desktop-open", ["full.html"]],
    ["phone", ["full.eml", "full.txt"]],
    [
      "anything",
      [
        ...["full.eml", "full.mhtml", "full.html", "full.txt"],
        ...["tamsin-okafor.vcf", "tamsin-okafor-code.png", "tamsin-okafor-code.svg"],
      ],
    ],
  ])("for %s has its files", (kind, paths) => {
    expect(kitFiles(kind, source).map(({ path }) => path)).toEqual(paths);
  });

  it("holds the form of replies beside the full one, under a name that tells them apart", () => {
    const both = { ...source, short: shortForm(full) };
    expect(kitFiles("desktop-open", both).map(({ path }) => path)).toEqual([
      "full.html",
      "full-in-replies.html",
    ]);
  });

  it("is the same bytes each time", () => {
    for (const kind of kitKinds) expect(kitFiles(kind, source)).toEqual(kitFiles(kind, source));
  });

  it("runs nothing, and its pages give the very signature back", async () => {
    for (const kind of kitKinds)
      for (const { path, bytes } of kitFiles(kind, source)) {
        if (!/\.(html?|webarchive|mhtml|eml)$/.test(path)) continue;
        const { html, pictures: brought } = await readImportFile(path, bytes);
        expect(html, path).not.toMatch(/<script|javascript:|onload/i);
        const paths = [...pictures.keys()];
        const { document } = importHtml(html, {
          findPicture: (address) => {
            const hosted = paths.find(
              (each) => address.endsWith(each) || address.startsWith(`${each.split("/")[3] ?? ""}@`),
            );
            const named = hosted ?? paths.find((each) => address.includes(each.split("/")[3] ?? "?"));
            const own = brought.get(address)?.bytes;
            const same = own && paths.find((each) => pictures.get(each)?.bytes[4] === own[4]);
            const held = /^data:image\/png;base64,(.*)$/.exec(address)?.[1];
            const inside =
              held && paths.find((each) => pictures.get(each)?.bytes[4] === atob(held).charCodeAt(4));
            const found = same ?? inside ?? named;
            return found ? { source: found } : null;
          },
        });
        expect(document.toJSON(), path).toEqual(full.toJSON());
      }
  });
});

describe("the kit of a document engine", () => {
  const files = kitFiles("desktop-document", source);

  it("is a page, rich text and plain text of one name, and a folder with every picture that the page names", () => {
    const [page, rich, plain, ...own] = files;
    expect([page?.path, rich?.path, plain?.path]).toEqual(["full.htm", "full.rtf", "full.txt"]);
    expect(own).toHaveLength(pictures.size);
    for (const { path } of own) {
      expect(path).toMatch(/^full-pictures\/[a-z0-9-]+\.png$/);
      expect(text(page)).toContain(`src="${path}"`);
    }
    expect(text(page)).not.toContain(base);
    expect(text(page)).toMatch(/^[\x00-\x7f]*$/);
  });

  it("leaves pictures at their addresses where that is asked, or where their bytes are not known", () => {
    expect(kitFiles("desktop-document", source, "hosted")).toHaveLength(3);
    expect(text(kitFiles("desktop-document", { ...source, pictures: new Map() })[0])).toContain(
      `src="${base}/h/`,
    );
  });

  it("has rich text in ASCII that says what the plain text says", () => {
    const rich = text(find(files, "full.rtf"));
    expect(rich).toMatch(/^\{\\rtf1\\ansi[\x00-\x7f]*\}\r\n$/);
    expect(rich).toContain("Tamsin Okafor");
    expect(rich.match(/\\pngblip/g)).toHaveLength(pictures.size);
    expect(text(find(kitFiles("desktop-document", source, "hosted"), "full.rtf"))).not.toContain("\\pict");
    expect(rich).toContain('HYPERLINK "mailto:tamsin@harrowfen.example"');
  });

  const unrtf = spawnSync("unrtf", ["--version"]).error === undefined;
  it.skipIf(!unrtf)("has rich text that an independent reader reads", () => {
    const { stdout } = spawnSync("unrtf", ["--text"], {
      input: find(files, "full.rtf").bytes,
      encoding: "utf8",
    });
    expect(stdout).toContain("Tamsin Okafor");
  });
});

describe("a web archive", () => {
  const [archive] = kitFiles("desktop-browser", source);

  it("is a property list with the page and each picture at the address that the page names", () => {
    const read = readBinaryPlist(archive?.bytes ?? new Uint8Array()) as {
      WebMainResource: { WebResourceData: Uint8Array };
      WebSubresources: { WebResourceURL: string; WebResourceData: Uint8Array }[];
    };
    const page = new TextDecoder().decode(read.WebMainResource.WebResourceData);
    expect(parse(page).childNodes[0]?.nodeName).toBe("#documentType");
    expect(read.WebSubresources).toHaveLength(pictures.size);
    for (const { WebResourceURL: address, WebResourceData: bytes } of read.WebSubresources) {
      expect(page).toContain(`src="${address}"`);
      expect(pictures.get(address.slice(base.length))?.bytes).toEqual(bytes);
    }
  });

  it.skipIf(!python)("is read by an independent reader", () => {
    const script =
      "import plistlib,sys,json;v=plistlib.loads(sys.stdin.buffer.read());print(json.dumps([v['WebMainResource']['WebResourceTextEncodingName'],len(v['WebSubresources']),'Tamsin Okafor' in v['WebMainResource']['WebResourceData'].decode('utf-8')]))";
    expect(runPython(script, archive?.bytes ?? new Uint8Array())).toEqual(["UTF-8", pictures.size, true]);
  });
});

describe("a draft and a saved page", () => {
  const files = kitFiles("anything", source);

  it("are read by a reader of mail: both texts, and every picture by its id", async () => {
    const letter = await PostalMime.parse(find(files, "full.eml").bytes);
    expect(letter.from).toMatchObject({ name: "Tamsin Okafor", address: "tamsin@harrowfen.example" });
    expect(letter.text).toContain("Tamsin Okafor");
    expect(letter.html).toContain("Tamsin Okafor");
    expect(letter.attachments).toHaveLength(pictures.size);
    for (const { contentId } of letter.attachments)
      expect(letter.html).toContain(`src="cid:${(contentId ?? "").replace(/^<|>$/g, "")}"`);
  });

  it.skipIf(!python)("are read by an independent reader without a defect", () => {
    const script =
      "import email,sys,json;from email import policy;m=email.message_from_bytes(sys.stdin.buffer.read(),policy=policy.default);w=list(m.walk());print(json.dumps([sum(len(p.defects) for p in w),sum(p.get_content_maintype()=='image' for p in w),any('Tamsin Okafor' in p.get_content() for p in w if p.get_content_type()=='text/html')]))";
    for (const path of ["full.eml", "full.mhtml"])
      expect(runPython(script, find(files, path).bytes), path).toEqual([0, pictures.size, true]);
  });

  it("are read by a second reader of mail as well", async () => {
    for (const path of ["full.eml", "full.mhtml"]) {
      const read = await simpleParser(Buffer.from(find(files, path).bytes), { keepCidLinks: true });
      expect(read.html, path).toContain("Tamsin Okafor");
      expect(read.attachments, path).toHaveLength(pictures.size);
      for (const { content } of read.attachments) expect(content.subarray(1, 4).toString()).toBe("PNG");
    }
  });

  it("let nothing of a name into another header", () => {
    const person = { ...tamsin, name: "Tamsin\r\nBcc: wren@harrowfen.example" };
    const letter = text(kitFiles("phone", { ...source, person })[0]);
    expect(letter.split("\r\n\r\n")[0]).not.toMatch(/^Bcc:/m);
  });
});

describe("a card in a kit", () => {
  it("is read by a reader of cards", () => {
    const card = text(find(kitFiles("anything", source), "tamsin-okafor.vcf"));
    const read = new ICAL.Component(ICAL.parse(card) as unknown[]);
    expect(read.getFirstPropertyValue("version")).toBe("4.0");
    expect(read.getFirstPropertyValue("fn")).toBe(tamsin.name);
    expect(read.getFirstPropertyValue("email")).toBe(tamsin.mail);
  });
});

describe("a kit as one file", () => {
  it("is sound by an independent tool, and the same bytes whenever it is made", async ({ skip }) => {
    if (spawnSync("unzip", ["-v"]).error) skip("there is no unzip here");
    const files = kitFiles("desktop-document", source);
    expect(zipKit(files)).toEqual(zipKit(files));
    const folder = await mkdtemp(path.join(os.tmpdir(), "kit-"));
    await writeFile(path.join(folder, "kit.zip"), zipKit(files));
    const { status, stdout } = spawnSync("unzip", ["-t", path.join(folder, "kit.zip")], { encoding: "utf8" });
    expect([status, stdout.match(/ OK$/gm)?.length]).toEqual([0, files.length]);
  });
});
