/**
 * Kits for many people at once, as one zip that waits outside of the data folder until it is taken. Between two people others are
 * answered; whoever leaves stops it, and nothing of it stays.
 */
import { randomUUID } from "node:crypto";
import { createReadStream, createWriteStream } from "node:fs";
import { mkdir, readdir, rm, stat } from "node:fs/promises";
import os from "node:os";
import path from "node:path";
import { Readable } from "node:stream";
import { finished } from "node:stream/promises";
import { setImmediate } from "node:timers/promises";
import { ZipFile } from "yazl";
import type { DirectoryPerson, FailedFor, KitsMade, KitsWanted, KitsWhom } from "@/contract";
import { fileNameOf } from "@/core/compile";
import { foldersFor, kitOfPerson, type KitSource, type PersonKit } from "@/core/install";
import { isKitKind, type KitKind } from "@/core/install-kinds";
import { fieldValue, type Person } from "@/core/people";
import { picturesLacking } from "@/core/signature";
import { paced } from "../http/paced";
import { notFound, Refusal } from "../http/refusal";
import { isInDepartment } from "../people/find-people";
import { listPeople } from "../people/people";
import { peopleOf } from "../people/who-gets-what";
import { findSignature, type StoredSignature } from "../signatures/signatures";
import { kitSource, kitSourceFor } from "./kit-source";

/** How long a zip waits; ms. */
const waits = 60 * 60 * 1000;

const place = path.join(os.tmpdir(), "still-line-kits");

async function sweep(): Promise<void> {
  await mkdir(place, { recursive: true, mode: 0o700 });
  for (const file of await readdir(place)) {
    const at = path.join(place, file);
    // Another server may take it away at the same time.
    const { mtimeMs } = await stat(at).catch(() => ({ mtimeMs: Infinity }));
    if (Date.now() - mtimeMs > waits) await rm(at, { force: true });
  }
}

export interface PreparedKits {
  readonly signature: StoredSignature;
  readonly kind: KitKind;
  readonly wanted: KitsWanted;
}

/** Refuses a signature and a kind that there are not, before anything is answered. */
export async function prepareKits(
  signatureId: string,
  kind: string,
  wanted: KitsWanted,
): Promise<PreparedKits> {
  if (!isKitKind(kind)) throw notFound("kit");
  return { signature: await findSignature(signatureId), kind, wanted };
}

async function peopleFor(whom: KitsWhom, signatureId: string): Promise<readonly DirectoryPerson[]> {
  switch (whom.kind) {
    case "everybody":
      return listPeople();
    case "department":
      return (await listPeople()).filter((each) => isInDepartment(each, whom.name));
    case "theirs":
      return peopleOf(signatureId);
    case "chosen": {
      const chosen = new Set(whom.people);
      return (await listPeople()).filter(({ id }) => chosen.has(id));
    }
  }
}

/** Nothing of whoever has a picture that could not be made: a place without it would not be noticed before it is sent. */
const withoutPicture = (own: KitSource, person: Person, folder: string): PersonKit | null =>
  picturesLacking(own.full, own.person).length === 0
    ? null
    : {
        person,
        folder,
        files: [],
        failed: "A picture of theirs is not in the library any more: choose another.",
      };

/** Makes them, telling how far it is. Rejects once `signal` is aborted, and where the disk is full. */
export async function makeKits(
  { signature, kind, wanted }: PreparedKits,
  send: (told: KitsMade) => void,
  signal: AbortSignal,
): Promise<void> {
  await sweep();
  const people = (await peopleFor(wanted.whom, signature.id)).map(({ person }) => person);
  const source = await kitSource(signature, null);
  const file = randomUUID();
  const at = path.join(place, `${file}.zip`);
  const zip = new ZipFile();
  const written = createWriteStream(at, { mode: 0o600 });
  const failed: FailedFor[] = [];
  let done = 0;
  const tell = paced(send);
  try {
    const whole = finished(zip.outputStream.pipe(written));
    // What breaks off is said where it is awaited.
    whole.catch(() => undefined);
    tell(done, people.length);
    const folders = foldersFor(people);
    for (const [index, person] of people.entries()) {
      const own = await kitSourceFor(source, person);
      const {
        folder,
        files,
        failed: reason,
      } = withoutPicture(own, person, folders[index] ?? "") ??
      kitOfPerson(kind, own, folders[index] ?? "", wanted.pictures);
      if (reason !== null) failed.push({ name: fieldValue(person, "name"), reason });
      for (const { path: own, bytes, type } of files)
        zip.addBuffer(Buffer.from(bytes), `${folder}/${own}`, {
          mtime: new Date(1980, 0, 1),
          compress: !type.startsWith("image/"),
        });
      done += 1;
      tell(done, people.length);
      await setImmediate();
      signal.throwIfAborted();
    }
    zip.end();
    await whole;
    const { size } = await stat(at);
    send({ kind: "made", file, bytes: size, made: done - failed.length, failed });
  } catch (error) {
    written.destroy();
    await rm(at, { force: true });
    throw error;
  }
}

/** The zip that was made, while it waits. */
export async function takeKits(file: string): Promise<Response> {
  const at = path.join(place, `${file}.zip`);
  const found = /^[0-9a-f-]{36}$/.test(file) ? await stat(at).catch(() => null) : null;
  if (!found) throw new Refusal(404, "not-found", "These kits do not wait here any more: make them again.");
  return new Response(Readable.toWeb(createReadStream(at)) as ReadableStream, {
    headers: {
      "content-type": "application/zip",
      "content-length": String(found.size),
      "content-disposition": `attachment; filename="${fileNameOf("kits for everybody", ".zip")}"`,
    },
  });
}
