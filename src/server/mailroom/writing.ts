/** Letters that are written at a desk: how they begin, drafts of them, and sending. */
import { randomUUID } from "node:crypto";
import { format } from "date-fns";
import { and, desc, eq } from "drizzle-orm";
import {
  addressOf,
  endpoints,
  type Desk,
  type Draft,
  type LetterAbout,
  type LetterBegun,
  type MailName,
  type NewLetter,
} from "@/contract";
import { received } from "@/core/clients";
import { deskClients, type HeldSignature } from "@/core/desks";
import { bytesOfBase64 } from "@/core/mail";
import {
  answerRecipients,
  answerSubject,
  asSent,
  forwardSubject,
  handedOn,
  letterStart,
  quotedIn,
  referencesOf,
  signatureMark,
  type AnsweredLetter,
} from "@/core/mailroom";
import { database } from "../database/database";
import { drafts } from "../database/schema";
import { notFound, Refusal } from "../http/refusal";
import { sendMessage, type AttachedPicture } from "../mail/send";
import { listPeople } from "../people/people";
import { clientNamed, openDesk } from "./desk";
import { deskFile } from "./desk-files";
import { happened } from "./happenings";
import { letterOf } from "./letters";
import { mailboxName, mailboxOf } from "./mailboxes";
import { pictureType } from "./picture-type";
import type { ReadLetter } from "./read-letter";

const sentAt = (time: number): string => format(time, "EEEE, d MMMM yyyy, HH:mm");

const answeredLetter = (letter: ReadLetter & { readonly receivedAt: number }): AnsweredLetter => ({
  ...letter,
  when: sentAt(letter.receivedAt),
});

/** Where the pictures that a signature's client has itself are drawn from, by content id. */
const signaturePictures = (desk: Desk, { pictures }: HeldSignature): Readonly<Record<string, string>> =>
  Object.fromEntries(
    Object.entries(pictures).map(([id, path]) => [
      id,
      addressOf(endpoints.deskFile, { person: desk.person.id, client: desk.client }, { path }),
    ]),
  );

const letterPictures = (
  person: string,
  letter: string,
  { parts }: ReadLetter,
): Readonly<Record<string, string>> =>
  Object.fromEntries(
    parts.map(({ id }) => [id, addressOf(endpoints.letterPart, { person, letter }, { id })]),
  );

const picturesOf = async (
  desk: Desk,
  about: LetterAbout | null,
): Promise<Readonly<Record<string, string>>> => ({
  ...(about
    ? letterPictures(desk.person.id, about.letter, await letterOf(desk.person.id, about.letter))
    : {}),
  ...Object.fromEntries(desk.held.flatMap((signature) => Object.entries(signaturePictures(desk, signature)))),
});

export interface Beginning {
  readonly to?: string;
  readonly subject?: string;
  readonly text?: string;
  readonly about?: LetterAbout | null;
  /** An answer goes to everybody whom the letter was for. */
  readonly all?: boolean;
  readonly draft?: string | null;
}

const addresses = (list: readonly MailName[]): readonly string[] => list.map(({ address }) => address);

/** Which of the own addresses an answer is written from: the one that the letter came to. */
function answersFrom(desk: Desk, letter: AnsweredLetter): string {
  const reached = [...letter.to, ...letter.cc].map(({ address }) => address.toLowerCase());
  return desk.addresses.find((address) => reached.includes(address)) ?? desk.addresses[0] ?? "";
}

async function draftOf(desk: Desk, id: string): Promise<LetterBegun> {
  const [row] = await (
    await database()
  )
    .select()
    .from(drafts)
    .where(and(eq(drafts.id, id), eq(drafts.personId, desk.person.id), eq(drafts.client, desk.client)));
  if (!row) throw notFound("draft");
  const letter = JSON.parse(row.letter) as NewLetter;
  const signature = desk.held.find((held) => held.id === letter.signature)?.id ?? null;
  return { ...letter, draft: id, signature, pictures: await picturesOf(desk, letter.about) };
}

/** How a letter begins at a desk: with its signature where that client puts it, and with what it answers. */
export async function beginLetter(
  personId: string,
  clientId: string,
  { to = "", subject = "", text = "", about = null, all = false, draft = null }: Beginning,
): Promise<LetterBegun> {
  const desk = await openDesk(personId, clientId);
  if (draft !== null) return draftOf(desk, draft);
  const client = deskClients[desk.client];
  const letter = about ? answeredLetter(await letterOf(personId, about.letter)) : null;
  const from = letter ? answersFrom(desk, letter) : (desk.addresses[0] ?? "");
  const choice = desk.choices.find(({ address }) => address === from);
  const chosen = (letter ? choice?.underAnswers : choice?.underNew) ?? null;
  const signature = desk.held.find(({ id }) => id === chosen) ?? null;
  const recipients =
    letter && about?.how === "answer" ? answerRecipients(letter, desk.addresses, all) : { to: [], cc: [] };
  return {
    from,
    to: letter ? addresses(recipients.to) : to === "" ? [] : [to],
    cc: addresses(recipients.cc),
    subject: letter ? (about?.how === "answer" ? answerSubject : forwardSubject)(letter.subject) : subject,
    html: letterStart({
      text,
      signature: signature?.html ?? null,
      delimiter: choice?.delimiter ?? client.usualDelimiter,
      place: choice?.place ?? client.usualPlace,
      quoted: letter ? (about?.how === "answer" ? quotedIn : handedOn)(letter, client) : null,
    }),
    about,
    draft: null,
    signature: signature?.id ?? null,
    pictures: await picturesOf(desk, about),
  };
}

/** Keeps what was written so far; answers under which id. */
export async function keepDraft(personId: string, clientId: string, letter: NewLetter): Promise<string> {
  const client = clientNamed(clientId);
  await mailboxOf(personId);
  const values = {
    personId,
    client: client.id,
    letter: JSON.stringify(letter),
    updatedAt: Date.now(),
  };
  const id = letter.draft ?? randomUUID();
  const db = await database();
  // One that was sent or dropped from another window does not come back as itself.
  const kept = letter.draft
    ? await db
        .update(drafts)
        .set(values)
        .where(and(eq(drafts.id, id), eq(drafts.personId, personId)))
        .returning()
    : [];
  if (kept.length > 0) return id;
  const fresh = randomUUID();
  await db.insert(drafts).values({ id: fresh, ...values });
  return fresh;
}

export async function listDrafts(personId: string, clientId: string): Promise<readonly Draft[]> {
  const client = clientNamed(clientId);
  const rows = await (
    await database()
  )
    .select()
    .from(drafts)
    .where(and(eq(drafts.personId, personId), eq(drafts.client, client.id)))
    .orderBy(desc(drafts.updatedAt));
  return rows.map(({ id, letter, updatedAt }) => {
    const { to, subject } = JSON.parse(letter) as NewLetter;
    return { id, client: client.id, to, subject, updatedAt };
  });
}

export async function dropDraft(personId: string, id: string): Promise<void> {
  await mailboxOf(personId);
  await (await database()).delete(drafts).where(and(eq(drafts.id, id), eq(drafts.personId, personId)));
}

const attachedAddress = /\bsrc="cid:([^"]+)"/g;
const dataAddress = /\bsrc="data:(image\/[a-z+.-]+);base64,([^"]+)"/g;

/** The pictures that a letter's HTML names by content id: out of the client's own files, or out of what it is about. */
async function attachedPictures(
  desk: Desk,
  letter: NewLetter,
  html: string,
): Promise<readonly AttachedPicture[]> {
  const wanted = [...new Set([...html.matchAll(attachedAddress)].flatMap(([, id]) => id ?? []))];
  if (wanted.length === 0) return [];
  const paths = new Map(desk.held.flatMap(({ pictures }) => Object.entries(pictures)));
  const about = letter.about ? await letterOf(desk.person.id, letter.about.letter) : null;
  const found = await Promise.all(
    wanted.map(async (id): Promise<AttachedPicture | null> => {
      const path = paths.get(id);
      if (path !== undefined) {
        const bytes = await deskFile(desk.person.id, desk.client, path);
        return {
          id,
          name: path.slice(path.lastIndexOf("/") + 1),
          type: pictureType(bytes) ?? "application/octet-stream",
          bytes,
        };
      }
      const part = about?.parts.find((each) => each.id === id);
      return part ? { id, name: part.name, type: part.type, bytes: part.bytes } : null;
    }),
  );
  return found.filter((each) => each !== null);
}

/** Pictures that stand in the HTML as their bytes, taken out of it and attached. */
function dataAttached(
  html: string,
  client: string,
): { readonly html: string; readonly pictures: readonly AttachedPicture[] } {
  const pictures: AttachedPicture[] = [];
  const written = html.replace(dataAddress, (whole, type: string, base64: string) => {
    const bytes = bytesOfBase64(base64);
    if (!bytes) return whole;
    const name = `picture-${pictures.length + 1}.${type.slice("image/".length).replace(/\+.*/, "")}`;
    const id = `${name}.${randomUUID().slice(0, 8)}@${client}.invalid`;
    pictures.push({ id, name, type, bytes });
    return `src="cid:${id}"`;
  });
  return { html: written, pictures };
}

/** A signature's element that is not empty. */
const hasSignature = new RegExp(`${signatureMark}="">(?!</div>)`);

/** Sends what somebody wrote, as its client writes letters, and files it among what was sent. */
export async function sendLetter(personId: string, clientId: string, letter: NewLetter): Promise<void> {
  const desk = await openDesk(personId, clientId);
  const client = deskClients[desk.client];
  const owner = await mailboxOf(personId);
  if (!desk.addresses.includes(letter.from.toLowerCase()))
    throw new Refusal(
      422,
      "not-own",
      `${letter.from} is no address of ${desk.person.name}. The letter was not sent.`,
    );
  if (letter.to.length + letter.cc.length === 0)
    throw new Refusal(422, "no-recipient", "Say who it goes to. The letter was not sent.");
  const people = await listPeople();
  const named = (address: string): MailName => ({
    name: people.find((each) => mailboxName(each) === address.toLowerCase())?.person.name ?? "",
    address,
  });
  const about = letter.about ? await letterOf(personId, letter.about.letter) : null;
  const sent = dataAttached(received(asSent(letter.html), client.standIn).html, client.id);
  await sendMessage({
    client,
    from: { name: owner.person.name, address: letter.from },
    to: letter.to.map(named),
    cc: letter.cc.map(named),
    subject: letter.subject,
    html: sent.html,
    pictures: [...sent.pictures, ...(await attachedPictures(desk, letter, sent.html))],
    inReplyTo: letter.about?.how === "answer" ? (about?.messageId ?? "") : "",
    references: about ? referencesOf(about.references, about.messageId) : [],
    keptBy: mailboxName(owner),
  });
  if (hasSignature.test(letter.html)) await happened(personId, client.id, "sent");
  if (letter.draft) await dropDraft(personId, letter.draft);
}
