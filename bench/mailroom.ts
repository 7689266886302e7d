/**
 * How long a mailbox of 5,000 letters takes to be listed, searched and opened, beside one of 50. All in one run, to be compared in
 * it.
 */
import { randomUUID } from "node:crypto";
import { mkdtemp, rm } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { emptyPerson } from "@/core/people";
import { database } from "@/server/database/database";
import { messages } from "@/server/database/schema";
import { countUnread, listLetters, openLetter } from "@/server/mailroom/letters";
import { addPerson } from "@/server/people/change-people";

const words = "barley wheat oats rye spelt emmer millet tray store lamp frost".split(" ");
const line = (seed: number): string =>
  Array.from({ length: 60 }, (_, at) => words[(seed * 7 + at * 3) % words.length]).join(" ");

async function fill(mail: string, count: number): Promise<void> {
  await addPerson(mail, { ...emptyPerson, name: mail, mail });
  const db = await database();
  for (let from = 0; from < count; from += 250)
    await db.insert(messages).values(
      Array.from({ length: Math.min(250, count - from) }, (_, at) => {
        const subject = `Letter ${from + at}`;
        const html = `<p>${line(from + at)}</p>`.repeat(20);
        return {
          id: randomUUID(),
          mailbox: mail,
          fromAddress: "zoe@harrowfen.example",
          fromName: "Zoë Ngata",
          subject,
          words: line(from + at),
          raw: Buffer.from(`Subject: ${subject}\r\nContent-Type: text/html\r\n\r\n${html}`),
          receivedAt: from + at,
        };
      }),
    );
}

async function milliseconds(action: () => Promise<unknown>): Promise<number> {
  const times: number[] = [];
  for (let time = 0; time < 9; time += 1) {
    const start = performance.now();
    await action();
    times.push(performance.now() - start);
  }
  return times.sort((one, other) => one - other)[4] ?? 0;
}

const folder = await mkdtemp(path.join(os.tmpdir(), "still-line-bench-"));
process.env.STILL_LINE_DATA = folder;
try {
  const sizes = { few: 50, many: 5000 } as const;
  for (const [name, count] of Object.entries(sizes)) await fill(`${name}@harrowfen.example`, count);
  const first = async (name: string): Promise<string> =>
    (await listLetters(`${name}@harrowfen.example`)).letters[0]?.id ?? "";
  const rows: readonly (readonly [string, (name: string) => Promise<unknown>])[] = [
    ["listed", (name) => listLetters(`${name}@harrowfen.example`)],
    ["searched for two words", (name) => listLetters(`${name}@harrowfen.example`, { search: "frost lamp" })],
    [
      "searched for what is in none",
      (name) => listLetters(`${name}@harrowfen.example`, { search: "orchid" }),
    ],
    ["opened", async (name) => openLetter(`${name}@harrowfen.example`, await first(name))],
    ["unread ones counted", () => countUnread()],
  ];
  for (const [what, action] of rows) {
    const [few, many] = [await milliseconds(() => action("few")), await milliseconds(() => action("many"))];
    process.stdout.write(
      `${what}: ${few.toFixed(1)} ms of ${sizes.few}, ${many.toFixed(1)} ms of ${sizes.many} (${(many / few).toFixed(1)} ×)\n`,
    );
  }
} finally {
  await rm(folder, { recursive: true, force: true });
}
process.exit(0);
