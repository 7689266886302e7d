import { mkdtemp, rm } from "node:fs/promises";
import net from "node:net";
import os from "node:os";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { emptyPerson } from "@/core/people";
import { listLetters, openLetter } from "../mailroom/letters";
import { addPerson } from "../people/change-people";
import { openPostOffice } from "./post-office";

let folder: string;

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
  await addPerson("ada", { ...emptyPerson, name: "Ada Quill", mail: "ada@harrowfen.example" });
});

afterAll(() => rm(folder, { recursive: true, force: true }));

/** Speaks SMTP by hand: sends lines one after the other and answers with the replies' codes. */
async function speak(...lines: (string | Buffer)[]): Promise<string[]> {
  const socket = net.connect(await openPostOffice(), "127.0.0.1");
  const replies: string[] = [];
  let buffer = "";
  const waiting = [...lines];
  return new Promise((resolve, reject) => {
    socket.on("data", (chunk) => {
      buffer += chunk.toString();
      if (!/^\d{3} .*\r\n$/m.test(buffer)) return;
      replies.push(buffer.trim().split("\r\n").at(-1)!.slice(0, 3));
      buffer = "";
      const next = waiting.shift();
      if (next === undefined) socket.end();
      else {
        socket.write(next);
        socket.write("\r\n");
      }
    });
    socket.on("close", () => resolve(replies));
    socket.on("error", reject);
  });
}

const letter = (body: string | Buffer) =>
  speak(
    "EHLO a.example",
    "MAIL FROM:<zoe@harrowfen.example>",
    "RCPT TO:<ada@harrowfen.example>",
    "DATA",
    Buffer.concat([Buffer.from(body), Buffer.from("\r\n.")]),
    "QUIT",
  );

describe("the post office", () => {
  it("takes mail for people of the directory and for nobody else", async () => {
    expect(
      await speak(
        "EHLO a.example",
        "MAIL FROM:<zoe@harrowfen.example>",
        "RCPT TO:<stranger@elsewhere.example>",
        "RCPT TO:<ada@harrowfen.example>",
        "DATA",
        "Subject: by hand\r\n\r\nHello.\r\n.",
        "QUIT",
      ),
    ).toEqual(["220", "250", "250", "550", "250", "354", "250", "221"]);
    const [head] = (await listLetters("ada")).letters;
    expect(head?.subject).toBe("by hand");
    const opened = await openLetter("ada", head?.id ?? "");
    expect([opened.html, opened.text.trim()]).toEqual([null, "Hello."]);
    expect(opened.problem).toBe("It does not say from whom it is.");
  });

  it("takes no more than 50 recipients and 10 MB, with the codes that say so", async () => {
    const addresses = Array.from({ length: 51 }, (_, index) => `person-${index}@harrowfen.example`);
    for (const mail of addresses) await addPerson(mail, { ...emptyPerson, name: mail, mail });
    const recipients = addresses.map((address) => `RCPT TO:<${address}>`);
    const codes = await speak("EHLO a.example", "MAIL FROM:<zoe@harrowfen.example>", ...recipients, "QUIT");
    expect(codes.slice(3)).toEqual([...Array.from({ length: 50 }, () => "250"), "452", "221"]);
    const before = (await listLetters("ada")).letters.length;
    expect(await letter(`Subject: large\r\n\r\n${`${"x".repeat(900)}\r\n`.repeat(12_000)}`)).toContain("552");
    expect((await listLetters("ada")).letters).toHaveLength(before);
  });

  const boundary = 'Content-Type: multipart/mixed; boundary="b"\r\nFrom: zoe@harrowfen.example\r\n\r\n';
  const nested = (depth: number): string =>
    Array.from(
      { length: depth },
      (_, level) => `Content-Type: multipart/mixed; boundary="b${level}"\r\n\r\n--b${level}\r\n`,
    ).join("");
  it.each<readonly [name: string, body: string | Buffer]>([
    ["no headers", "just words"],
    ["nothing at all", ""],
    ["an unknown character set", "Content-Type: text/plain; charset=klingon\r\n\r\n\xff\xfe"],
    ["bytes that are no text", Buffer.from([83, 117, 98, 58, 13, 10, 13, 10, 0xff, 0xfe, 0x80, 0x00])],
    ["a boundary that never comes", boundary],
    ["parts nested 300 deep", nested(300)],
    ["3,000 parts", `${boundary}${"--b\r\nContent-Type: text/plain\r\n\r\nx\r\n".repeat(3000)}--b--`],
    ["headers without an end", `Subject: ${"a".repeat(400_000)}`],
    ["broken encoded words", "Subject: =?utf-8?B?////?= =?x?Q?=ZZ?=\r\nFrom: =?=\r\n\r\nx"],
    ["deep HTML", `Content-Type: text/html\r\n\r\n${"<div>".repeat(20_000)}deep`],
    ["script", "Content-Type: text/html\r\n\r\n<script>alert(1)</script><img src=x onerror=alert(1)>"],
  ])("opens a letter with %s, and the list stays", async (_name, body) => {
    const before = (await listLetters("ada", { most: 1000 })).letters.length;
    expect(await letter(body)).toContain("250");
    const { letters } = await listLetters("ada", { most: 1000 });
    expect(letters).toHaveLength(before + 1);
    const opened = await openLetter("ada", letters[0]?.id ?? "");
    expect(typeof opened.text).toBe("string");
    expect(opened.parts.length).toBeLessThanOrEqual(200);
  });

  it("opens letters that were spoilt on their way, and the list stays", { timeout: 60_000 }, async () => {
    const whole = [
      "From: Zoë <zoe@harrowfen.example>",
      "Subject: =?utf-8?Q?Fr=C3=BChling?=",
      "References: <a@x.example> <b@x.example>",
      'Content-Type: multipart/related; boundary="outer"',
      "",
      "--outer",
      'Content-Type: multipart/alternative; boundary="inner"',
      "",
      "--inner",
      "Content-Type: text/plain; charset=iso-8859-1",
      "Content-Transfer-Encoding: quoted-printable",
      "",
      "Gr=FC=DFe",
      "--inner",
      "Content-Type: text/html; charset=utf-8",
      "Content-Transfer-Encoding: base64",
      "",
      Buffer.from("<table><tr><td>Grüße</td></tr></table><img src=cid:dot>").toString("base64"),
      "--inner--",
      "--outer",
      "Content-Type: image/png",
      "Content-ID: <dot>",
      "Content-Transfer-Encoding: base64",
      "",
      "iVBORw0KGgo=",
      "--outer--",
    ].join("\r\n");
    // The same each time: a generator of its own (Park and Miller's).
    let seed = 20_261_128;
    const below = (most: number): number => {
      seed = (seed * 48_271) % 2_147_483_647;
      return seed % most;
    };
    const spoil: readonly ((text: string) => string)[] = [
      (text) => text.slice(0, below(text.length)),
      (text) => text.slice(below(text.length)),
      (text) =>
        text
          .split("\r\n")
          .filter(() => below(4) > 0)
          .join("\r\n"),
      (text) => text.replaceAll(below(2) ? "outer" : "inner", below(2) ? "inner" : ""),
      (text) => text.replaceAll(/[=;:"]/g, (each) => (below(3) ? each : String.fromCharCode(below(256)))),
      (text) =>
        text.replaceAll(/base64|quoted-printable/g, () => ["x-none", "8bit", "base64"][below(3)] ?? ""),
    ];
    const before = (await listLetters("ada", { most: 1000 })).letters.length;
    const count = 50;
    for (let index = 0; index < count; index += 1) {
      const way = spoil[index % spoil.length];
      expect(await letter(way ? way(whole) : whole)).toContain("250");
    }
    const { letters } = await listLetters("ada", { most: 1000 });
    expect(letters).toHaveLength(before + count);
    for (const { id } of letters.slice(0, count))
      expect(typeof (await openLetter("ada", id)).subject).toBe("string");
  });
});
