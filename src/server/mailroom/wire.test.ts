/** What the clients send, read by a reader that is not ours: Python's `email` with its present-day policy. */
import { spawnSync } from "node:child_process";
import { mkdtemp, readFile, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { deskClientIds, deskClients, type DeskClientId } from "@/core/desks";
import { base64 } from "@/core/mail";
import { emptyPerson } from "@/core/people";
import { addPerson } from "../people/change-people";
import { keepDesk } from "./desk";
import { changeHeld, placeFiles, runDesk } from "./desk-files";
import { letterFile, listLetters } from "./letters";
import { beginLetter } from "./begin-letter";
import { sendLetter } from "./send-letter";

const python = spawnSync("python3", ["--version"]).status === 0;

const script = `
import sys, json, email, email.policy
raw = sys.stdin.buffer.read()
message = email.message_from_bytes(raw, policy=email.policy.default)
parts = list(message.walk())
body = message.get_body(("html",))
print(json.dumps({
  "defects": [str(defect) for part in parts for defect in part.defects]
    + [str(defect) for part in parts for name, value in part.items() for defect in value.defects],
  "longest": max(len(line) for line in raw.split(b"\\r\\n")),
  "bare": raw.replace(b"\\r\\n", b"").count(b"\\n") + raw.replace(b"\\r\\n", b"").count(b"\\r"),
  "types": [part.get_content_type() for part in parts],
  "encodings": sorted(set(str(part["content-transfer-encoding"]) for part in parts if part.get_content_maintype() == "text")),
  "html": body.get_content(),
  "text": message.get_body(("plain",)).get_content(),
  "ids": [str(part["content-id"]).strip().strip("<>") for part in parts if part["content-id"]],
  "subject": str(message["subject"]),
  "from": [[str(a.display_name), str(a.addr_spec)] for a in message["from"].addresses],
  "to": [str(a.addr_spec) for a in message["to"].addresses],
  "references": str(message["references"] or "").strip(),
  "date": message["date"].datetime.isoformat(),
}))
`;

interface Read {
  readonly defects: readonly string[];
  readonly longest: number;
  readonly bare: number;
  readonly types: readonly string[];
  readonly encodings: readonly string[];
  readonly html: string;
  readonly text: string;
  readonly ids: readonly string[];
  readonly subject: string;
  readonly from: readonly (readonly [string, string])[];
  readonly to: readonly string[];
  readonly references: string;
  readonly date: string;
}

function readByPython(raw: Uint8Array): Read {
  const { stdout, stderr } = spawnSync("python3", ["-c", script], { input: raw, encoding: "utf8" });
  if (stderr) throw new Error(stderr);
  return JSON.parse(stdout) as Read;
}

let folder: string;

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
  await addPerson("ada", { ...emptyPerson, name: "Ada Quill", mail: "ada@harrowfen.example" });
  await addPerson("zoe", { ...emptyPerson, name: "Zoë, Ngata", mail: "zoe@harrowfen.example" });
});

afterAll(() => rm(folder, { recursive: true, force: true }));

const png = (): Promise<Buffer> => readFile("demo/pictures/cuts/3c9a065c28082dfae223/harrow-fen-logo.png");
const words = `Zoë Ngata, ${"a line that is far longer than any line of a letter may be ".repeat(30)}種子`;
const hosted = "https://pictures.harrowfen.example/h/0123456789abcdef0123/logo.png";
const choice = {
  address: "zoe@harrowfen.example",
  place: "above",
  delimiter: false,
  underAnswers: null,
} as const;

/** Installs a signature with a picture in each client as its kind has it. */
async function install(client: DeskClientId): Promise<void> {
  const bytes = await png();
  if (client === "granary") {
    const html = `<html><head><meta charset="utf-8"></head><body><p>${words}</p><img src="Full%20pictures/l%C3%B6go.png" width="120" height="30" alt=""></body></html>`;
    await placeFiles("zoe", client, [
      { path: "Full.htm", base64: base64(new TextEncoder().encode(html)) },
      { path: "Full pictures/lögo.png", base64: base64(new Uint8Array(bytes)) },
    ]);
    await keepDesk("zoe", client, { signatures: [], choices: [{ ...choice, underNew: "Full.htm" }] });
    return;
  }
  if (client === "sluice") {
    const { writeBinaryPlist } = await import("@/core/plist");
    const made = await changeHeld("zoe", client, { kind: "make", name: "Full" });
    const id = made.held[0]?.id ?? "";
    await runDesk("zoe", client, false);
    const archive = writeBinaryPlist({
      WebMainResource: {
        WebResourceData: new TextEncoder().encode(`<body><p>${words}</p><img src="${hosted}" alt=""></body>`),
        WebResourceMIMEType: "text/html",
        WebResourceTextEncodingName: "UTF-8",
        WebResourceURL: "about:blank",
      },
      WebSubresources: [
        { WebResourceData: new Uint8Array(bytes), WebResourceMIMEType: "image/png", WebResourceURL: hosted },
      ],
    });
    await placeFiles("zoe", client, [{ path: id, base64: base64(archive) }]);
    await runDesk("zoe", client, true);
    await keepDesk("zoe", client, { signatures: [], choices: [{ ...choice, underNew: id }] });
    return;
  }
  const source = client === "oxbow" ? `data:image/png;base64,${base64(new Uint8Array(bytes))}` : hosted;
  await keepDesk("zoe", client, {
    signatures: [{ id: "one", name: "Full", html: `<p>${words}</p><img src="${source}" alt="">` }],
    choices: [{ ...choice, underNew: "one" }],
  });
}

describe.runIf(python).each(deskClientIds)("a letter of %s", (client) => {
  it("has no defects, short lines, and every picture that it shows", async () => {
    await install(client);
    const subject = "Frühling im Kühlhaus, mit einem Betreff, der länger ist als eine Zeile: 種子";
    const start = await beginLetter("zoe", client, { to: "ada@harrowfen.example", subject });
    await sendLetter("zoe", client, start);
    const [head] = (await listLetters("ada")).letters;
    const read = readByPython(await letterFile("ada", head?.id ?? ""));
    expect(read.defects).toEqual([]);
    // RFC 5322, 2.1.1, and 2.1: lines end with both, and neither stands alone.
    expect(read.longest).toBeLessThan(998);
    expect(read.bare).toBe(0);
    expect(read.encodings).toEqual([deskClients[client].encoding]);
    expect(read.subject).toBe(subject);
    expect(read.from).toEqual([["Zoë, Ngata", "zoe@harrowfen.example"]]);
    expect(read.to).toEqual(["ada@harrowfen.example"]);
    expect(Math.abs(Date.parse(read.date) - Date.now())).toBeLessThan(60_000);
    for (const part of [read.html, read.text]) expect(part.replaceAll(/\s+/g, " ")).toContain("種子");
    const named = [...read.html.matchAll(/cid:([^"]+)"/g)].map(([, id]) => id);
    expect(named).toEqual(read.ids);
    const attached = client === "malthouse" || client === "wren" ? 0 : 1;
    expect(read.ids).toHaveLength(attached);
    if (attached === 0) expect(read.html).toContain(hosted);
    expect(read.types.includes("multipart/related")).toBe(attached > 0);

    // An answer says which letter it follows, and carries the pictures of what it quotes.
    const answer = await beginLetter("ada", client, { about: { letter: head?.id ?? "", how: "answer" } });
    await sendLetter("ada", client, answer);
    const [back] = (await listLetters("zoe")).letters;
    const answered = readByPython(await letterFile("zoe", back?.id ?? ""));
    expect(answered.defects).toEqual([]);
    expect(answered.references).toMatch(/^<[^<>\s]+>$/);
    expect(answered.ids).toHaveLength(attached);
    expect(answered.to).toEqual(["zoe@harrowfen.example"]);
  });
});
