/** The files in which two of the Mailroom's clients keep signatures: placed, named, taken out, read and written by their programs. */
import { and, eq, inArray } from "drizzle-orm";
import type { Desk, HeldChange } from "@/contract";
import { freeName, type DeskClient, type DeskClientId } from "@/core/desks";
import { kitFiles } from "@/core/install";
import { bytesOfBase64 } from "@/core/mail";
import {
  archivePictures,
  closed,
  emptyArchive,
  filesOfSignature,
  opened,
  readFolder,
  renamedPage,
  type DeskArchive,
} from "@/core/mailroom";

import { database } from "../database/database";
import { deskFiles } from "../database/schema";
import { notFound, Refusal } from "../http/refusal";
import { kitSource } from "../install/kit-source";
import { findDetails } from "../people/people";
import { findSignature } from "../signatures/signatures";
import { clientNamed, filesOf, keepSettings, openDesk, settingsOf, type DeskFileRow } from "./desk";
import { happened } from "./happenings";
import { mailboxOf } from "./mailboxes";

/** The most that a client's files may weigh together; bytes. */
const heaviestFolder = 10 * 1024 * 1024;

const atDesk = (personId: string, client: DeskClientId) =>
  and(eq(deskFiles.personId, personId), eq(deskFiles.client, client));

interface NewFile {
  readonly path: string;
  readonly bytes: Uint8Array;
}

function filing(clientId: string): DeskClient {
  const client = clientNamed(clientId);
  if (client.holding === "text")
    throw new Refusal(422, "no-files", `${client.name} keeps no signatures in files.`);
  return client;
}

/** A path as it may be in a folder: relative, without steps up, in forward slashes. */
function pathIn(path: string): string {
  const plain = path.replaceAll("\\", "/").replace(/^\.?\/+/, "");
  const steps = plain.split("/");
  if (plain === "" || steps.some((step) => step === "" || step === "." || step === ".."))
    throw new Refusal(422, "bad-path", `“${path}” is no path of a file in a folder. Nothing was placed.`);
  return plain;
}

type Placed = NewFile & { readonly name?: string; readonly held?: Uint8Array | null };

/** Writes files, and removes those of some paths, all or none. */
async function write(
  personId: string,
  client: DeskClient,
  files: readonly Placed[],
  gone: readonly string[] = [],
): Promise<void> {
  const there = await filesOf(personId, client.id);
  const after = new Map([...there, ...files].map(({ path, bytes }) => [path, bytes.length]));
  for (const path of gone) after.delete(path);
  if ([...after.values()].reduce((sum, weight) => sum + weight, 0) > heaviestFolder)
    throw new Refusal(
      413,
      "too-heavy",
      `${client.name}’s folder holds 10 MB, and these files are more. Nothing was placed.`,
    );
  const db = await database();
  const removing = db
    .delete(deskFiles)
    .where(and(atDesk(personId, client.id), inArray(deskFiles.path, [...gone])));
  await db.batch([
    removing,
    ...files.map(({ path, bytes, name, held }) => {
      const values = {
        bytes: Buffer.from(bytes),
        updatedAt: Date.now(),
        ...(name === undefined ? {} : { name }),
        ...(held === undefined ? {} : { held: held && Buffer.from(held) }),
      };
      return db
        .insert(deskFiles)
        .values({ personId, client: client.id, path, ...values })
        .onConflictDoUpdate({ target: [deskFiles.personId, deskFiles.client, deskFiles.path], set: values });
    }),
  ]);
}

/** Into a folder any file goes; into the archives only one that takes the place of another of the same name. */
function checked(
  client: DeskClient,
  there: readonly DeskFileRow[],
  files: readonly NewFile[],
): readonly NewFile[] {
  if (client.holding === "folder") return files;
  for (const { path } of files)
    if (!there.some((file) => file.path === path))
      throw new Refusal(
        422,
        "no-archive",
        `${client.name} has no signature whose file is called “${path}”, so it would never look at it. Nothing was placed: make an empty signature there first, and give the file its name.`,
      );
  return files;
}

/** Puts files into a client's folder, each in place of one of the same path. */
export async function placeFiles(
  personId: string,
  clientId: string,
  given: readonly { readonly path: string; readonly base64: string }[],
): Promise<Desk> {
  const client = filing(clientId);
  await mailboxOf(personId);
  const files = given.map(({ path, base64 }) => {
    const bytes = bytesOfBase64(base64);
    if (!bytes) throw new Refusal(422, "bad-file", `“${path}” did not arrive whole. Nothing was placed.`);
    return { path: pathIn(path), bytes };
  });
  const there = await filesOf(personId, client.id);
  await write(personId, client, checked(client, there, files));
  // A program that is open writes over what is put there.
  if (client.holding === "folder" || there.every(({ held }) => held === null))
    await happened(personId, client.id, "placed");
  return openDesk(personId, clientId);
}

/** Puts the kit of a signature, with the person's details, into the folder. */
export async function placeKit(personId: string, clientId: string, signatureId: string): Promise<Desk> {
  const client = filing(clientId);
  if (client.holding !== "folder")
    throw new Refusal(422, "no-folder", `${client.name} takes no kit: its archives are replaced one by one.`);
  await mailboxOf(personId);
  const signature = await findSignature(signatureId);
  const source = await kitSource(signature, await findDetails(personId));
  await write(personId, client, kitFiles(client.kind, source));
  await happened(personId, client.id, "placed");
  return openDesk(personId, clientId);
}

/** A file of a client, or a picture within one of its archives. */
export async function deskFile(personId: string, clientId: string, path: string): Promise<Uint8Array> {
  const client = filing(clientId);
  const [file] = await (
    await database()
  )
    .select()
    .from(deskFiles)
    .where(and(atDesk(personId, client.id), eq(deskFiles.path, path)));
  if (file) return file.bytes;
  const [archive, ...url] = path.split("/");
  const files = client.holding === "archives" ? await filesOf(personId, client.id) : [];
  const own = files.find((each) => each.path === archive);
  const found =
    own && archivePictures(own.held ?? own.bytes).find((picture) => picture.url === url.join("/"));
  if (found) return found.bytes;
  throw notFound("file");
}

const codeName = (): string =>
  `${Array.from({ length: 3 }, () =>
    Math.floor(Math.random() * 0x10000)
      .toString(16)
      .toUpperCase()
      .padStart(4, "0"),
  ).join("-")}.webarchive`;

/** Renames a choice with its signature: a signature of a folder is known by the path of its page. */
async function chosenAnew(personId: string, client: DeskClientId, from: string, to: string): Promise<void> {
  const settings = await settingsOf(personId, client);
  const moved = (id: string | null): string | null => (id === from ? to : id);
  await keepSettings(personId, client, {
    ...settings,
    choices: settings.choices.map((choice) => ({
      ...choice,
      underNew: moved(choice.underNew),
      underAnswers: moved(choice.underAnswers),
    })),
  });
}

/** A signature of a folder under another name: its page, plain text and rich text; pictures stay where the page names them. */
function renamedFiles(files: readonly DeskFileRow[], id: string, name: string): readonly NewFile[] {
  const from = id.replace(/\.[^.]*$/, "");
  return files
    .filter(({ path }) => [id, `${from}.txt`, `${from}.rtf`].includes(path))
    .map(({ path, bytes }) => ({ path: renamedPage(path, name), bytes }));
}

async function changeInFolder(personId: string, client: DeskClient, change: HeldChange): Promise<void> {
  if (change.kind === "make")
    throw new Refusal(
      422,
      "no-making",
      `${client.name} makes no signatures: it shows those whose files are in its folder.`,
    );
  const files = await filesOf(personId, client.id);
  const folder = readFolder(files, client.id);
  const own = folder.signatures.find(({ id }) => id === change.id);
  if (!own) throw notFound("signature");
  if (change.kind === "take-out") return write(personId, client, [], filesOfSignature(folder, change.id));
  const others = folder.signatures.map(({ name }) => name).filter((name) => name !== own.name);
  const wanted =
    change.kind === "rename"
      ? change.name.replaceAll(/[/\\:*?"<>|]/g, " ").trim()
      : freeName(own.name, [own.name, ...others]);
  if (others.includes(wanted) || wanted === "")
    throw new Refusal(422, "same-name", `There is a file called “${wanted}” already. Nothing was changed.`);
  if (wanted === own.name) return;
  const renamed = renamedFiles(files, own.id, wanted);
  if (change.kind === "duplicate") return write(personId, client, renamed);
  await write(personId, client, renamed, [own.id, `${own.name}.txt`, `${own.name}.rtf`]);
  await chosenAnew(personId, client.id, own.id, renamedPage(own.id, wanted));
}

async function changeArchives(personId: string, client: DeskClient, change: HeldChange): Promise<void> {
  const files = await filesOf(personId, client.id);
  const names = files.map(({ name }) => name);
  if (files.length > 0 && files.every(({ held }) => held === null))
    throw new Refusal(409, "closed", `${client.name} is closed. Open it first.`);
  if (change.kind === "make") {
    const bytes = emptyArchive();
    await happened(personId, client.id, "made");
    return write(personId, client, [
      { path: codeName(), name: freeName(change.name, names), bytes, held: bytes },
    ]);
  }
  const own = files.find(({ path }) => path === change.id);
  if (!own) throw notFound("signature");
  if (change.kind === "take-out") return write(personId, client, [], [own.path]);
  const held = own.held ?? own.bytes;
  if (change.kind === "duplicate")
    return write(personId, client, [
      { path: codeName(), name: freeName(own.name, names), bytes: held, held },
    ]);
  if (names.some((name, index) => name === change.name && files[index] !== own))
    throw new Refusal(
      422,
      "same-name",
      `There is a signature named “${change.name}” already. Nothing was changed.`,
    );
  return write(personId, client, [{ path: own.path, bytes: own.bytes, name: change.name }]);
}

/** Changes one of the signatures that a client holds in files. */
export async function changeHeld(personId: string, clientId: string, change: HeldChange): Promise<Desk> {
  const client = filing(clientId);
  await mailboxOf(personId);
  await (client.holding === "folder" ? changeInFolder : changeArchives)(personId, client, change);
  return openDesk(personId, clientId);
}

/** Opens or closes the program that keeps archives; closing writes what it holds over what is on the disk. */
export async function runDesk(
  personId: string,
  clientId: string,
  running: boolean,
): Promise<Desk & { readonly lost: readonly string[] }> {
  const client = filing(clientId);
  if (client.holding !== "archives") throw new Refusal(422, "no-program", `${client.name} is always open.`);
  await mailboxOf(personId);
  const files: readonly DeskArchive[] = await filesOf(personId, client.id);
  const { archives, lost } = running ? { archives: opened(files), lost: [] } : closed(files);
  await write(personId, client, archives);
  await happened(personId, client.id, running ? "reopened" : "shut");
  return { ...(await openDesk(personId, clientId)), lost };
}
