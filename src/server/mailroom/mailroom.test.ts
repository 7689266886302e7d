import { mkdtemp, rm } from "node:fs/promises";
import net from "node:net";
import os from "node:os";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { emptyPerson } from "@/core/people";
import { openPostOffice } from "../mail/post-office";
import { addPerson } from "../people/people";
import { leadInside } from "./lead-inside";
import { countUnread, keepSignature, keptSignature, listMessages, openMessage, sendFrom } from "./mailroom";

let folder: string;

beforeAll(async () => {
  folder = await mkdtemp(path.join(os.tmpdir(), "still-line-"));
  process.env.STILL_LINE_DATA = folder;
  await addPerson("ada", { ...emptyPerson, name: "Ada Quill", mail: "ada@harrowfen.example" });
  await addPerson("zoe", { ...emptyPerson, name: "Zoë Ngata", mail: "zoe@harrowfen.example" });
});

afterAll(() => rm(folder, { recursive: true, force: true }));

/** Speaks SMTP by hand: sends lines one after the other and answers with the replies. */
async function speak(...lines: string[]): Promise<string[]> {
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
      else socket.write(`${next}\r\n`);
    });
    socket.on("close", () => resolve(replies));
    socket.on("error", reject);
  });
}

describe("the stand-in's settings", () => {
  it("keep what was pasted as this kind of webmail cleans it", async () => {
    expect(await keptSignature("ada")).toBe("");
    expect(await keepSignature("ada", '<script>x</script><p class="a" style="color:#333333">Ada</p>')).toBe(
      '<p style="color:#333333">Ada</p>',
    );
    expect(await keptSignature("ada")).toBe('<p style="color:#333333">Ada</p>');
  });

  it("refuse more than 10,000 characters and keep what was there", async () => {
    await keepSignature("ada", "Ada");
    await expect(keepSignature("ada", `${"word ".repeat(2001)}`)).rejects.toThrow(
      "This signature has 10,005 characters and 10,000 is the most. Nothing was changed: take 5 out and keep it again.",
    );
    expect(await keptSignature("ada")).toBe("Ada");
  });
});

describe("a letter", () => {
  it("travels by SMTP as MIME with both parts and arrives in the colleague's mailbox", async () => {
    await sendFrom("zoe", {
      toPersonId: "ada",
      subject: "Frühling: “seeds”\r\nBcc: all@harrowfen.example",
      html: '<p>Tray 2 is up — ready</p><a href="https://harrowfen.example/visit">Visit</a><script>x</script>',
    });
    const [head] = await listMessages("ada");
    expect(head).toMatchObject({ fromName: "Zoë Ngata", fromAddress: "zoe@harrowfen.example", read: false });
    expect((await countUnread()).get("ada@harrowfen.example")).toBe(1);

    const letter = await openMessage("ada", head!.id);
    expect(letter.subject).toContain("Frühling: “seeds”");
    // A line break in a subject must not become a header of its own (RFC 5322, section 2.2).
    expect(letter.raw).not.toMatch(/^Bcc:/im);
    expect(letter.raw).toContain("Content-Type: multipart/alternative");
    expect(letter.html).toContain("<p>Tray 2 is up — ready</p>");
    expect(letter.html).not.toContain("<script");
    expect(letter.text).toContain("Visit <https://harrowfen.example/visit>");
    expect((await listMessages("ada"))[0]).toMatchObject({ read: true });
    expect((await countUnread()).size).toBe(0);
  });

  it("can be opened from its own mailbox only", async () => {
    const [head] = await listMessages("ada");
    await expect(openMessage("zoe", head!.id)).rejects.toThrow("There is no such message any more.");
    await expect(listMessages("nobody")).rejects.toThrow("There is no such mailbox any more.");
  });
});

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
    const [head] = await listMessages("ada");
    expect(head!.subject).toBe("by hand");
    const letter = await openMessage("ada", head!.id);
    expect([letter.html, letter.text.trim()]).toEqual([null, "Hello."]);
  });
});

describe("links of a letter", () => {
  it.each([
    ["https://harrowfen.example/visit?a=b", "/mailroom/web/harrowfen.example/visit?a=b"],
    ["mailto:ada@harrowfen.example", "/mailroom/zoe/new?to=ada%40harrowfen.example"],
    [
      "mailto:ada@harrowfen.example?subject=A%26B&body=x%0D%0Ay",
      "/mailroom/zoe/new?to=ada%40harrowfen.example&subject=A%26B&body=x%0Ay",
    ],
    ["https://harrowfen.org/", null],
    ["https://notexample/", null],
    ["tel:+441632960100", null],
    ["#top", null],
  ])("%s leads to %s", (href, expected) => expect(leadInside(href, "zoe")).toBe(expected));
});
