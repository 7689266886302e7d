import { execFile } from "node:child_process";
import { mkdtemp, readdir, readFile, writeFile } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { beforeAll, describe, expect, it } from "vitest";
import { standInIds } from "@/core/clients";
import { databaseIn, openDatabase } from "@/server/database/database";
import { run } from "./commands";
import { BadInput, WrongUsage } from "./usage";

let folder: string;
const file = (name: string): string => path.join(folder, name);

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  await writeFile(file("broken.json"), '{"type": "signature", ');
  await writeFile(file("empty.json"), "{}");
  await writeFile(file("bytes.html"), Buffer.from([0xff, 0xfe, 0x00]));
  await writeFile(
    file("faulty.json"),
    JSON.stringify({
      type: "signature",
      content: [
        {
          type: "table",
          content: [
            { type: "row", content: [{ type: "cell", content: [{ type: "spacer", attrs: { height: 0 } }] }] },
          ],
        },
      ],
    }),
  );
  await writeFile(file("mail.html"), '<p class="a">x</p><a href="https://a.example">y</a>');
  await writeFile(file("nobody.json"), '{"shoe": "7"}');
});

/** The command as another program runs it. */
const command = (...args: string[]): Promise<{ code: number; out: string; error: string }> =>
  new Promise((resolve) => {
    execFile(process.execPath, ["--import", "tsx", "src/cli/index.ts", ...args], (error, out, stderr) =>
      resolve({ code: error ? Number(error.code) : 0, out, error: stderr }),
    );
  });

describe("kit", () => {
  it("writes the files of a kind into a folder, and says which pictures stay at their addresses", async () => {
    const out = file("kit");
    const written = await run([
      ...["kit", "demo/signatures/full.json", "--for", "desktop-document", "--out", out],
      ...["--base", "https://p.example", "--data", file("nowhere")],
    ]);
    expect(written.split("\n").map((line) => line.replace(`${out}/`, ""))).toEqual([
      "full.htm",
      "full.rtf",
      "full.txt",
      "7 of 7 pictures stay at their addresses",
    ]);
    expect(await readFile(`${out}/full.htm`, "utf8")).toContain('src="https://p.example/h/');
  });

  it("refuses a kind that there is not, and a folder that is not named", async () => {
    await expect(
      run(["kit", "demo/signatures/full.json", "--for", "fax", "--out", file("kit")]),
    ).rejects.toThrow(
      '--for must be one of webmail, desktop-document, desktop-browser, desktop-open, phone, anything, not "fax"',
    );
    await expect(run(["kit", "demo/signatures/full.json", "--for", "webmail"])).rejects.toThrow(
      "--out is missing",
    );
  });
});

describe("backup and restore", () => {
  it("make one archive of a data folder, and another folder from it", async () => {
    (await openDatabase(databaseIn(file("data")))).$client.close();
    const made = await run(["backup", file("kept.zip"), "--data", file("data")]);
    expect(made).toContain("kept.zip: the database and 0 pictures of");
    expect(made).toContain("read back and whole");
    expect(await run(["restore", file("kept.zip"), "--data", file("again")])).toContain("as they were at");
    expect(await readdir(file("again"))).toContain("still-line.db");
  });

  it("refuse in one line that names what is wrong", async () => {
    await writeFile(file("no.zip"), "no archive");
    const refused: readonly (readonly [string[], string])[] = [
      [["backup", file("x.zip"), "--data", file("nowhere")], "x.zip: cannot be written: "],
      [["backup", file("no.zip"), "--data", file("nowhere")], "no.zip: is there already"],
      [["backup", path.join(file("no"), "x.zip"), "--data", file("data")], "there is no such file or folder"],
      [["restore", file("no.zip"), "--data", file("new")], "no.zip: is no archive of Still Line"],
      [["restore", file("nothing.zip"), "--data", file("new")], "there is no such file or folder"],
    ];
    for (const [args, complaint] of refused) {
      const failure = await run(args).catch((error: unknown) => error);
      expect(failure, args.join(" ")).toBeInstanceOf(BadInput);
      expect((failure as Error).message).toContain(complaint);
    }
    await expect(run(["backup"])).rejects.toThrow(WrongUsage);
  });
});

describe("graft", () => {
  const own = "<p>Kind regards</p>\r\n<p>Put it here</p>\r\n";

  it("writes the client's own file again, with the signature in the place of words", async () => {
    await writeFile(file("own.htm"), own);
    const out = file("grafted");
    const args = ["demo/signatures/full.json", "--into", file("own.htm"), "--words", "Put it here"];
    const written = await run(["graft", ...args, "--out", out, "--data", folder]);
    expect(written.replaceAll(`${out}/`, "").split("\n")).toEqual([
      "own.htm",
      "7 of 7 pictures stay at their addresses",
    ]);
    const html = await readFile(path.join(out, "own.htm"), "utf8");
    expect(html).toMatch(/^<p>Kind regards<\/p>\r\n<table .*<\/table>\r\n$/s);
  });

  it("refuses words that are not there once, and needs to be told which", async () => {
    await writeFile(file("own.htm"), own);
    const into = ["graft", "demo/signatures/full.json", "--into", file("own.htm"), "--out", file("none")];
    await expect(run([...into, "--words", "elsewhere"])).rejects.toThrow("does not stand in this file");
    await expect(run(into)).rejects.toThrow("one of --words and --whole says");
    await expect(run([...into, "--whole", "--words", "a"])).rejects.toThrow(WrongUsage);
    await expect(run(["graft", "demo/signatures/full.json", "--out", "a"])).rejects.toThrow(
      "--into is missing",
    );
  });

  it("refuses to carry pictures into what holds none", async () => {
    await writeFile(file("4B-21"), "Content-Type: text/html\n\n<body>Draft</body>\n");
    const into = [
      "graft",
      "demo/signatures/full.json",
      "--into",
      file("4B-21"),
      "--whole",
      "--out",
      file("in"),
    ];
    await expect(run([...into, "--pictures", "carried"])).rejects.toThrow("holds no pictures");
    await run(into);
    expect(await readFile(file("in/4B-21"), "utf8")).toMatch(/^Content-Type: text\/html\n\n<body><table/);
  });
});

describe("send", () => {
  it("refuses what is no address or server, and says what a server would not do", async () => {
    const send = (...args: string[]): Promise<string> => run(["send", "demo/signatures/full.json", ...args]);
    const to = ["--to", "ada@harrowfen.example", "--from", "ada@harrowfen.example"];
    await expect(send(...to)).rejects.toThrow("--host: Name the server.");
    await expect(send("--to", "a\r\nRCPT", "--from", "ada@harrowfen.example", "--host", "a")).rejects.toThrow(
      "--to",
    );
    await expect(send(...to, "--host", "localhost", "--port", "0")).rejects.toThrow("--port");
    await expect(send(...to, "--host", "localhost", "--port", "1")).rejects.toThrow(
      "Nothing takes mail at localhost",
    );
  });
});

describe("code", () => {
  const person = "demo/people/tamsin-okafor.json";

  it("draws a person's card as a picture of either form", async () => {
    expect(await run(["code", person, "--of", "card", "--out", file("card.svg")])).toBe(file("card.svg"));
    expect(await readFile(file("card.svg"), "utf8")).toMatch(/^<svg .*width="600"/);
    await run(["code", person, "--of", "card", "--out", file("card.png"), "--size", "300"]);
    expect((await readFile(file("card.png"))).subarray(1, 4).toString()).toBe("PNG");
  });

  it("refuses what cannot be drawn", async () => {
    const code = (...args: string[]): Promise<string> => run(["code", person, ...args]);
    await expect(code("--of", "card", "--out", file("card.gif"))).rejects.toThrow("ends in .png or .svg");
    await expect(code("--of", "card", "--out", file("a.png"), "--size", "5")).rejects.toThrow(
      "--size must be px",
    );
    await writeFile(file("named.json"), '{"name": "Jo Li"}');
    const page = ["--of", "page", "--out", file("a.png")];
    await expect(run(["code", file("named.json"), ...page])).rejects.toThrow("has no web page");
  });
});

describe("import", () => {
  it("gives back what compile printed, equal", async () => {
    for (const destination of ["webmail-paste", "document-file"]) {
      const html = await run([
        "compile",
        "demo/signatures/full.json",
        "--for",
        destination,
        "--base",
        "https://p.example",
      ]);
      await writeFile(file("compiled.html"), html);
      const document: unknown = JSON.parse(await run(["import", file("compiled.html")]));
      expect(document).toEqual(JSON.parse(await readFile("demo/signatures/full.json", "utf8")));
    }
  });

  it("reports what became of the rest", async () => {
    await writeFile(
      file("old.html"),
      '<style>a:hover{color:red}</style><p style="opacity:.5">Ada</p><img src="cid:1">',
    );
    expect(await run(["import", file("old.html"), "--report", file("report.json")])).toContain('"Ada"');
    const report = JSON.parse(await readFile(file("report.json"), "utf8")) as {
      notes: { what: string }[];
      pictures: unknown;
    };
    expect(report.notes.map(({ what }) => what)).toEqual(["a:hover", "opacity: .5", "cid:1", "cid:1"]);
    expect(report.pictures).toMatchObject([{ kind: "attached", address: "cid:1", found: false }]);
  });

  it("refuses what is no signature in a sentence that names the file", async () => {
    await expect(run(["import", file("nowhere.html")])).rejects.toThrow(
      new BadInput(`${file("nowhere.html")}: there is no such file`),
    );
    await writeFile(file("empty.html"), "");
    await expect(run(["import", file("empty.html")])).rejects.toThrow(
      new BadInput(`${file("empty.html")}: This file is empty.`),
    );
    await expect(run(["import"])).rejects.toThrow(WrongUsage);
  });
});

describe("compile", () => {
  it("prints HTML with pictures under the base", async () => {
    const html = await run([
      "compile",
      "demo/signatures/full.json",
      "--for",
      "webmail-paste",
      "--person",
      "demo/people/tamsin-okafor.json",
      "--base",
      "https://p.example",
    ]);
    expect(html).toMatch(/^<table role="presentation"/);
    expect(html).toContain('src="https://p.example/h/');
    expect(html).toContain("Tamsin Okafor");
  });

  it("prints plain text", async () => {
    expect(await run(["compile", "demo/signatures/short.json", "--for", "plain-text"])).toBe(
      "Harrow Fen Seed Library\n+44 1632 960100\n",
    );
  });
});

describe("receive", () => {
  it("prints what the client shows, and as JSON what it changed", async () => {
    expect(await run(["receive", file("mail.html"), "--client", "webmail-inline"])).toBe(
      '<p>x</p><a href="https://a.example" target="_blank" rel="noopener noreferrer">y</a>',
    );
    const answer = JSON.parse(
      await run([
        "receive",
        file("mail.html"),
        "--client",
        "desktop-document",
        "--mode",
        "dark",
        "--reply",
        "--json",
      ]),
    ) as {
      html: string;
      changes: { code: string }[];
    };
    expect(answer.html).toContain("<blockquote");
    expect(answer.changes.map(({ code }) => code)).toEqual([
      "paragraph-margin",
      "link-recoloured",
      "colors-mirrored",
    ]);
  });
});

describe("check", () => {
  it("prints findings as JSON", async () => {
    const findings = JSON.parse(
      await run(["check", "demo/signatures/full.json", "--base", "https://p.example"]),
    ) as { code: string; severity: string; at: string; clients: string[] }[];
    expect(findings.map(({ code, severity, at }) => [code, severity, at])).toEqual([
      ["wider-than-a-phone", "note", "signature"],
      ["wraps-without-its-font", "note", "row 1, cell 2, line 3"],
      ["wraps-without-its-font", "note", "row 1, cell 2, line 4"],
    ]);
    expect(findings[0]!.clients).toContain("phone-system");
  });
});

describe("what is wrong is said in one line", () => {
  it.each([
    [["compile", "missing.json", "--for", "message"], "missing.json: there is no such file"],
    [["compile", "demo", "--for", "message"], "demo: is a folder"],
    [["receive", "$bytes.html", "--client", "webmail-inline"], "$bytes.html: is not UTF-8 text"],
    [
      ["compile", "$empty.json", "--for", "message"],
      '$empty.json: signature: a signature document is an object whose type is "signature"',
    ],
    [
      ["compile", "$faulty.json", "--for", "message"],
      "$faulty.json: row 1, cell 1, spacer: height must be a number from 1 to 400 in steps of 1, not 0",
    ],
    [
      ["compile", "demo/signatures/full.json", "--for", "message", "--person", "$nobody.json"],
      '$nobody.json: person: there is no field "shoe"',
    ],
    [
      ["compile", "demo/signatures/full.json", "--for", "message", "--base", "ftp://x"],
      '--base: The public address of pictures must begin with http:// or https://, not "ftp://x"',
    ],
  ])("bad input: %j", async (args, message) => {
    const filled = args.map((arg) => arg.replace("$", `${folder}/`));
    const error = await run(filled).catch((reason: unknown) => reason);
    expect(error).toBeInstanceOf(BadInput);
    expect((error as Error).message).toBe(message.replace("$", `${folder}/`));
  });

  it.each([
    [["paint"], 'there is no command "paint"'],
    [["compile", "--for", "message"], "compile takes one file, not 0"],
    [
      ["compile", "a.json"],
      "--for is missing: one of webmail-paste, document-file, browser-archive, html-file, message, plain-text",
    ],
    [
      ["receive", "a.html", "--client", "pager"],
      `--client must be one of ${standInIds.join(", ")}, not "pager"`,
    ],
    [
      ["receive", "a.html", "--client", "phone-maker", "--quoted", "many"],
      '--quoted must be one of 0, 1, 2, 3, not "many"',
    ],
    [
      ["receive", "a.html", "--client", "phone-maker", "--account", "mine"],
      '--account must be one of own, other, not "mine"',
    ],
    [
      ["receive", "a.html", "--client", "webmail-inline", "--mode", "dusk"],
      '--mode must be one of light, dark, not "dusk"',
    ],
  ])("wrong usage: %j", async (args, message) => {
    const error = await run(args).catch((reason: unknown) => reason);
    expect(error).toBeInstanceOf(WrongUsage);
    expect((error as Error).message).toBe(message);
  });
});

describe("exit codes", () => {
  it("0 when done, 1 for bad input, 2 for wrong usage, each error on one line of standard error", async () => {
    const [done, bad, wrong, none] = await Promise.all([
      command("compile", "demo/signatures/short.json", "--for", "plain-text"),
      command("compile", file("broken.json"), "--for", "message"),
      command("compile", "demo/signatures/short.json", "--far", "message"),
      command(),
    ]);
    expect(done).toEqual({ code: 0, out: "Harrow Fen Seed Library\n+44 1632 960100\n", error: "" });
    expect(bad.code).toBe(1);
    expect(bad.out).toBe("");
    expect(bad.error).toMatch(/^.*broken\.json: is not JSON: .*\n$/);
    expect(wrong.code).toBe(2);
    expect(wrong.error).toMatch(/^Unknown option '--far'.*\n$/);
    expect(none.code).toBe(2);
  }, 30_000);
});
