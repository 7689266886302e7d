/**
 * Kills a server again and again in the middle of saves, uploads and merges, and looks in the database and the store each time for
 * all that was answered before: `npm run kills`, or with another number of times after it.
 */
import { readdir, readFile } from "node:fs/promises";
import path from "node:path";
import { createClient, type Client } from "@libsql/client";
import sharp from "sharp";
import { build } from "@/core/signature";
import { contentHash } from "@/server/imaging/content-hash";
import { fillDemo, serverPort, startServer } from "../tests/e2e/server";

const times = Number(process.argv[2] ?? 200);
const data = path.resolve(".still-line/kills");
const port = serverPort + 8;
const address = `http://127.0.0.1:${port}`;

interface Kept {
  revision: number;
  /** Words of the last save that was answered, and of one that was not. */
  words: readonly string[];
  maybe: readonly string[] | null;
}

/** What was promised: saves by their signatures, refused saves that nobody settled, originals by their hashes. */
const promised = {
  saves: new Map<string, Kept>(),
  refused: new Map<string, { readonly signature: string; readonly word: string }>(),
  originals: new Set<string>(),
};
const counts = { saves: 0, merges: 0, uploads: 0, cutShort: 0, lost: 0 };

const documentOf = (words: readonly string[]): object =>
  build
    .signature(
      {},
      build.table(
        ...words.map((word) => build.row(build.cell({ width: [200] }, build.line(build.text(word))))),
      ),
    )
    .toJSON() as object;

const send = (method: string, place: string, body: unknown): Promise<Response> =>
  fetch(address + place, {
    method,
    headers: { "content-type": "application/json" },
    body: JSON.stringify(body),
  });

interface SaveAnswer {
  readonly revision?: number;
  readonly error?: {
    readonly code: string;
    readonly refusedId: string;
    readonly saved: { revision: number };
  };
}

async function save(id: string, words: readonly string[], revision: number, settles?: string) {
  const answer = await send("PUT", `/api/signatures/${id}`, {
    document: documentOf(words),
    revision,
    ...(settles && { settles }),
  });
  return (await answer.json()) as SaveAnswer;
}

const lose = (what: string): void => {
  counts.lost += 1;
  process.stdout.write(`LOST: ${what}\n`);
};

let serial = 0;
const word = (): string => `word ${(serial += 1)}`;

/** Saves over and over, each save with another word. */
async function keepSaving(id: string): Promise<void> {
  for (;;) {
    const kept = promised.saves.get(id)!;
    const words = [word()];
    kept.maybe = words;
    const { revision } = await save(id, words, kept.revision);
    if (revision === undefined) throw new Error("a save was refused");
    Object.assign(kept, { revision, words, maybe: null });
    counts.saves += 1;
  }
}

/** One window saves, another over the same revision is refused, and saves both merged. */
async function keepMerging(id: string): Promise<void> {
  for (;;) {
    const kept = promised.saves.get(id)!;
    const [theirs, own] = [word(), word()];
    kept.maybe = [theirs];
    const first = await save(id, [theirs], kept.revision);
    if (first.revision === undefined) throw new Error("a save was refused");
    const before = kept.revision;
    Object.assign(kept, { revision: first.revision, words: [theirs], maybe: null });
    const { error } = await save(id, [own], before);
    if (error?.code !== "stale-save") throw new Error("a stale save was not refused");
    promised.refused.set(error.refusedId, { signature: id, word: own });
    const both = [theirs, own];
    kept.maybe = both;
    const merged = await save(id, both, error.saved.revision, error.refusedId);
    if (merged.revision === undefined) throw new Error("a merge was refused");
    promised.refused.delete(error.refusedId);
    Object.assign(kept, { revision: merged.revision, words: both, maybe: null });
    counts.merges += 1;
  }
}

async function keepUploading(): Promise<void> {
  for (;;) {
    const tint = (serial += 1);
    const bytes = await sharp({
      create: {
        width: 40 + (tint % 200),
        height: 40,
        channels: 3,
        background: `#${String(tint).padStart(6, "0")}`,
      },
    })
      .png()
      .toBuffer();
    const form = new FormData();
    form.set("file", new File([new Uint8Array(bytes)], `tray-${tint}.png`, { type: "image/png" }));
    const answer = await fetch(`${address}/api/pictures`, { method: "POST", body: form });
    const { originals } = (await answer.json()) as { originals: readonly { hash: string }[] };
    for (const { hash } of originals) promised.originals.add(hash);
    counts.uploads += 1;
  }
}

const wordsIn = (document: string): readonly string[] =>
  [...document.matchAll(/"text":"(word \d+)"/g)].map(([, found = ""]) => found);

/** A value of a row that is a text. */
const textIn = (value: unknown): string => (typeof value === "string" ? value : "");

/** Looks for all that was promised while nothing runs. */
async function look(db: Client): Promise<void> {
  const sound = await db.execute("PRAGMA integrity_check");
  if (sound.rows[0]?.integrity_check !== "ok") lose("the database is damaged");
  for (const [id, kept] of promised.saves) {
    const { rows } = await db.execute({
      sql: "SELECT document, revision FROM signatures WHERE id = ?",
      args: [id],
    });
    const found = wordsIn(textIn(rows[0]?.document)).join();
    const revision = Number(rows[0]?.revision);
    if (found === kept.maybe?.join()) Object.assign(kept, { words: kept.maybe, revision });
    else if (found !== kept.words.join() || revision !== kept.revision) lose(`a save of ${id}: ${found}`);
    kept.maybe = null;
  }
  const refused = new Set(
    (await db.execute("SELECT id FROM refused_saves")).rows.map(({ id }) => textIn(id)),
  );
  for (const [id, { signature, word }] of promised.refused) {
    // One whose merge was under way waits still, or is in the signature.
    if (!refused.has(id) && !promised.saves.get(signature)?.words.includes(word))
      lose(`a refused save: ${id}`);
    promised.refused.delete(id);
  }
  for (const { hash } of (await db.execute("SELECT hash FROM originals")).rows)
    promised.originals.add(textIn(hash));
  const files = new Set(await readdir(path.join(data, "pictures", "originals")));
  for (const hash of promised.originals) if (!files.has(hash)) lose(`an original: ${hash}`);
}

async function readBack(): Promise<void> {
  const file = path.join(data, "pictures", "originals");
  for (const hash of promised.originals)
    if (contentHash(await readFile(path.join(file, hash))) !== hash) lose(`the bytes of ${hash}`);
}

async function strays(): Promise<number> {
  const names = await readdir(path.join(data, "pictures"), { recursive: true });
  return names.filter((name) => /\.\d+-[\da-f-]{36}$/.test(name)).length;
}

await fillDemo(data, port);
let left = 0;
for (let time = 0; time < times; time += 1) {
  const server = await startServer(data, port);
  const answer = await fetch(address);
  if (!answer.ok) lose(`the Shelf after kill ${time}: ${answer.status}`);
  left += await strays();
  while (promised.saves.size < 4) {
    const made = await send("POST", "/api/signatures", { kind: "blank", rows: 1, columns: 1 });
    const { id } = (await made.json()) as { id: string };
    const { revision } = await save(id, ["word 0"], 1);
    promised.saves.set(id, { revision: revision ?? 0, words: ["word 0"], maybe: null });
  }
  const [one, two, three, four] = [...promised.saves.keys()];
  const ended = [
    keepSaving(one!),
    keepSaving(two!),
    keepMerging(three!),
    keepMerging(four!),
    keepUploading(),
  ].map((each) => each.catch((error: unknown) => error));
  await new Promise((resolve) => setTimeout(resolve, 40 + ((time * 7919) % 1400)));
  await server.kill();
  const errors = (await Promise.all(ended)) as readonly Error[];
  counts.cutShort += errors.filter((error) => error.name === "TypeError").length;
  for (const error of errors.filter(({ name }) => name !== "TypeError"))
    if (/refused/.test(error.message)) lose(error.message);
  const db = createClient({ url: `file:${path.join(data, "still-line.db")}` });
  await look(db);
  db.close();
  if ((time + 1) % 25 === 0) process.stdout.write(`${time + 1} kills: ${JSON.stringify(counts)}\n`);
}
await readBack();
process.stdout.write(
  `${times} kills: ${counts.saves} saves, ${counts.merges} merges and ${counts.uploads} uploads were answered, ${counts.cutShort} were cut short; lost: ${counts.lost}; half-written files left after a start: ${left}\n`,
);
process.exit(counts.lost > 0 || left > 0 ? 1 : 0);
