import { mkdtemp, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { NewLetter } from "@/contract";
import { emptyPerson } from "@/core/people";
import { addPerson } from "../people/change-people";
import {
  countUnread,
  emptyMailroom,
  letterFile,
  listLetters,
  openLetter,
  takeLetterBack,
  throwLetter,
} from "./letters";
import { keepDesk } from "./desk";
import { placeFiles } from "./desk-files";
import { beginLetter } from "./begin-letter";
import { dropDraft, keepDraft, listDrafts } from "./drafts";
import { sendLetter } from "./send-letter";

let folder: string;

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
  const press = { ...emptyPerson, department: "Press" };
  await addPerson("ada", { ...press, name: "Ada Quill", mail: "ada@harrowfen.example" });
  await addPerson("zoe", { ...press, name: "Zoë Ngata", mail: "zoe@harrowfen.example" });
  await addPerson("ifor", { ...emptyPerson, name: "Ifor Pell", mail: "ifor@harrowfen.example" });
});

afterAll(() => rm(folder, { recursive: true, force: true }));

const letter = (over: Partial<NewLetter> = {}): NewLetter => ({
  from: "zoe@harrowfen.example",
  to: ["ada@harrowfen.example"],
  cc: [],
  subject: "Tray 2",
  html: "<div>Tray 2 is up</div>",
  about: null,
  draft: null,
  ...over,
});

const newest = async (person: string, box: "in" | "sent" = "in") => {
  const [head] = (await listLetters(person, { box })).letters;
  if (!head) throw new Error(`${person} has no letter`);
  return openLetter(person, head.id);
};

describe("a letter", () => {
  it("travels by SMTP as MIME with both parts, arrives, and is kept by who sent it", async () => {
    await sendLetter(
      "zoe",
      "malthouse",
      letter({
        subject: "Frühling: “seeds”\r\nBcc: all@harrowfen.example",
        html: '<p>Tray 2 is up — ready</p><a href="https://harrowfen.example/visit">Visit</a><script>x</script>',
      }),
    );
    const [head] = (await listLetters("ada")).letters;
    expect(head).toMatchObject({
      from: { name: "Zoë Ngata", address: "zoe@harrowfen.example" },
      recipients: "Ada Quill",
      read: false,
    });
    expect((await countUnread()).get("ada@harrowfen.example")).toBe(1);

    const arrived = await newest("ada");
    expect(arrived.subject).toContain("Frühling: “seeds”");
    // A line break in a subject must not become a header of its own (RFC 5322, section 2.2).
    expect(arrived.raw).not.toMatch(/^Bcc:/im);
    expect(arrived.raw).toContain("Content-Type: multipart/alternative");
    expect(arrived.writtenWith).toBe("Malthouse Mail (a stand-in)");
    expect(arrived.html).toContain("<p>Tray 2 is up — ready</p>");
    expect(arrived.html).not.toContain("<script");
    expect(arrived.text).toContain("Visit <https://harrowfen.example/visit>");
    expect((await countUnread()).size).toBe(0);
    expect(await newest("zoe", "sent")).toMatchObject({ subject: arrived.subject, read: true });
  });

  it("can be opened from its own mailbox only", async () => {
    const { id } = await newest("ada");
    await expect(openLetter("zoe", id)).rejects.toThrow("There is no such letter any more.");
    await expect(listLetters("nobody")).rejects.toThrow("There is no such mailbox any more.");
  });

  it("to a department reaches all of it, once each", async () => {
    await sendLetter(
      "ifor",
      "wren",
      letter({
        from: "ifor@harrowfen.example",
        to: ["press@harrowfen.example", "ada@harrowfen.example"],
        subject: "To all of Press",
      }),
    );
    for (const person of ["ada", "zoe"]) {
      const { letters } = await listLetters(person, { search: "all press" });
      expect(letters.map(({ subject }) => subject)).toEqual(["To all of Press"]);
    }
  });

  it("is refused whole where somebody in it is not there, and kept back by nobody", async () => {
    const before = (await listLetters("ada")).letters.length;
    await expect(
      sendLetter("zoe", "malthouse", letter({ cc: ["stranger@elsewhere.example"] })),
    ).rejects.toThrow("Nobody here has the address stranger@elsewhere.example. The letter was not sent.");
    await expect(sendLetter("zoe", "malthouse", letter({ to: [] }))).rejects.toThrow("Say who it goes to.");
    await expect(sendLetter("zoe", "malthouse", letter({ from: "ada@harrowfen.example" }))).rejects.toThrow(
      "ada@harrowfen.example is no address of Zoë Ngata. The letter was not sent.",
    );
    expect((await listLetters("ada")).letters).toHaveLength(before);
  });

  it("is thrown away and taken back, and searched by all of its words", async () => {
    await sendLetter(
      "zoe",
      "oxbow",
      letter({ subject: "50% of the trays", html: "<div>barley is up</div>" }),
    );
    const { id } = await newest("ada");
    const found = async (search: string) =>
      (await listLetters("ada", { search })).letters.map((each) => each.subject);
    expect(await found("barley trays")).toEqual(["50% of the trays"]);
    expect(await found("barley wheat")).toEqual([]);
    // What stands for anything in a search stands for itself.
    expect(await found("b%rley")).toEqual([]);
    await throwLetter("ada", id);
    expect(await found("barley")).toEqual([]);
    expect((await listLetters("ada", { box: "thrown" })).letters.map((each) => each.id)).toEqual([id]);
    await takeLetterBack("ada", id);
    expect(await found("barley")).toEqual(["50% of the trays"]);
  });
});

describe("answering", () => {
  it("follows the letter, quotes it, and makes one talk of both", async () => {
    await sendLetter("zoe", "malthouse", letter({ subject: "Which box?" }));
    const first = await newest("ada");
    const start = await beginLetter("ada", "malthouse", { about: { letter: first.id, how: "answer" } });
    expect(start).toMatchObject({
      from: "ada@harrowfen.example",
      to: ["zoe@harrowfen.example"],
      cc: [],
      subject: "Re: Which box?",
    });
    expect(start.html).toContain("Zoë Ngata wrote on ");
    expect(start.html).toMatch(/<blockquote style="[^"]*">.*Tray 2 is up/s);
    await sendLetter("ada", "malthouse", start);
    const answer = await newest("zoe");
    const unfolded = ({ raw }: { readonly raw: string }): string => raw.replace(/\r\n[ \t]+/g, " ");
    const id = /^Message-ID: (<[^>]+>)/im.exec(unfolded(first))?.[1] ?? "none";
    expect(unfolded(answer)).toContain(`In-Reply-To: ${id}`);
    expect(unfolded(answer)).toContain(`References: ${id}`);
    expect(answer.talk.map(({ subject }) => subject)).toEqual(["Which box?", "Re: Which box?"]);
    const again = await beginLetter("zoe", "granary", { about: { letter: answer.id, how: "answer" } });
    expect(again.subject).toBe("Re: Which box?");
  });

  it("to all leaves who answers out, and comes from the address that it reached", async () => {
    await sendLetter(
      "ifor",
      "oxbow",
      letter({
        from: "ifor@harrowfen.example",
        to: ["press@harrowfen.example"],
        cc: ["zoe@harrowfen.example"],
        subject: "For the press",
      }),
    );
    const { id } = await newest("ada");
    const start = await beginLetter("ada", "sluice", { about: { letter: id, how: "answer" }, all: true });
    expect([start.from, start.to, start.cc]).toEqual([
      "press@harrowfen.example",
      ["ifor@harrowfen.example"],
      ["zoe@harrowfen.example"],
    ]);
  });

  it("hands a letter on with its pictures, and to nobody by itself", async () => {
    const pixel =
      "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==";
    await placeFiles("zoe", "granary", [
      {
        path: "Full.htm",
        base64: Buffer.from(
          '<html><head><meta charset="utf-8"></head><body><img src="Full%20pictures/dot.png" width="1" height="1" alt="dot"></body></html>',
        ).toString("base64"),
      },
      { path: "Full pictures/dot.png", base64: pixel },
      { path: "Full.txt", base64: "WgA=" },
    ]);
    await keepDesk("zoe", "granary", {
      signatures: [],
      choices: [
        {
          address: "zoe@harrowfen.example",
          underNew: "Full.htm",
          underAnswers: null,
          place: "above",
          delimiter: false,
        },
      ],
    });
    const start = await beginLetter("zoe", "granary", { to: "ada@harrowfen.example", subject: "With a dot" });
    expect(start.signature).toBe("Full.htm");
    await sendLetter("zoe", "granary", start);
    const arrived = await newest("ada");
    expect(arrived.raw).toContain("multipart/related");
    expect(arrived.parts).toMatchObject([{ name: "dot.png", type: "image/png", shown: true }]);
    const onward = await beginLetter("ada", "wren", { about: { letter: arrived.id, how: "forward" } });
    expect([onward.to, onward.cc, onward.subject]).toEqual([[], [], "Fwd: With a dot"]);
    await sendLetter("ada", "wren", { ...onward, to: ["ifor@harrowfen.example"] });
    const handed = await newest("ifor");
    expect(handed.parts).toMatchObject([{ type: "image/png", shown: true }]);
    expect(handed.parts[0]?.weight).toBe(Buffer.from(pixel, "base64").length);
  });
});

describe("what is left of a signature", () => {
  it("is told of the first one of a talk, in each letter that follows it", async () => {
    const signature =
      '<div class="signature"><table><tr><td><b style="color:#3F5B2E">Zoë Ngata</b><br><a href="https://harrowfen.example">Visit</a></td></tr></table></div>';
    await sendLetter(
      "zoe",
      "oxbow",
      letter({ subject: "With a signature", html: `<div>Words</div>${signature}` }),
    );
    const first = await newest("ada");
    expect(first.left).toBeNull();
    const start = await beginLetter("ada", "malthouse", { about: { letter: first.id, how: "answer" } });
    await sendLetter("ada", "malthouse", start);
    const answer = await newest("zoe");
    expect(answer.left).toMatchObject({ words: [2, 2], links: [1, 1], pictures: [0, 0], stands: 1 });
    // Who takes it out of the quote leaves nothing of it.
    await sendLetter("ada", "malthouse", { ...start, html: "<div>All cut off</div>" });
    expect((await newest("zoe")).left).toMatchObject({ words: [0, 2], links: [0, 1], stands: 0 });
  });
});

describe("a draft", () => {
  it("is kept as itself, goes on where it was, and is gone once it is sent", async () => {
    const id = await keepDraft("zoe", "malthouse", letter({ subject: "Begun" }));
    expect(
      await keepDraft(
        "zoe",
        "malthouse",
        letter({ subject: "Begun, and more", signature: "gone", draft: id }),
      ),
    ).toBe(id);
    expect(await listDrafts("zoe", "malthouse")).toMatchObject([{ id, subject: "Begun, and more" }]);
    expect(await listDrafts("zoe", "wren")).toEqual([]);
    const start = await beginLetter("zoe", "malthouse", { draft: id });
    expect(start).toMatchObject({ subject: "Begun, and more", html: "<div>Tray 2 is up</div>", draft: id });
    // A signature that is not held any more is not said to stand in it.
    expect(start.signature).toBeNull();
    await sendLetter("zoe", "malthouse", start);
    expect(await listDrafts("zoe", "malthouse")).toEqual([]);
    await expect(beginLetter("zoe", "malthouse", { draft: id })).rejects.toThrow("There is no such draft");
    // A window that did not know goes on as another draft.
    const fresh = await keepDraft("zoe", "malthouse", letter({ draft: id }));
    expect(fresh).not.toBe(id);
    await dropDraft("zoe", fresh);
    expect(await listDrafts("zoe", "malthouse")).toEqual([]);
  });
});

describe("what is emptied", () => {
  it("is gone for good, and says how much it was", async () => {
    const { id } = await newest("ada");
    expect(await emptyMailroom()).toBeGreaterThan(5);
    await expect(letterFile("ada", id)).rejects.toThrow("There is no such letter any more.");
    expect((await listLetters("ada")).letters).toEqual([]);
  });
});
