/**
 * The letter that carries the address of somebody's page: written once, filled in and sent to each, nobody twice. That one goes is kept
 * before it is handed over, so that a process that ends in between sends none again.
 */
import { setImmediate } from "node:timers/promises";
import { and, eq, inArray } from "drizzle-orm";
import MailComposer from "nodemailer/lib/mail-composer";
import {
  pageLetter,
  type FailedFor,
  type LettersWritten,
  type LetterState,
  type LetterWay,
  type PageLetter,
} from "@/contract";
import { pageAddress } from "@/core/addresses";
import { escapeAttribute, escapeText } from "@/core/html";
import { mailtoLink } from "@/core/links";
import { messagePage } from "@/core/mail";
import { fieldValue, fillLetter, pagePlace, signaturesOf, unknownPlaces, type Person } from "@/core/people";
import { database } from "../database/database";
import { pageLetters } from "../database/schema";
import { paced } from "../http/paced";
import { Refusal } from "../http/refusal";
import { carry } from "../mail/send";
import { mayHaveGone, openOutgoing } from "../outgoing/outgoing";
import { isInDepartment } from "../people/find-people";
import { listOwnFields } from "../people/own-fields";
import { listPeople } from "../people/people";
import { listGiven } from "../people/who-gets-what";
import { setting } from "../settings/settings";
import { pageFor } from "./pages";

const kept = setting("letter of pages", pageLetter);

const usual: PageLetter = {
  subject: "Your mail signature",
  text: `Hello {Name},

your mail signature is ready. A page of your own shows it, with the steps that put it into your mail:

${pagePlace}

If something about you is wrong there, say so on that page.
`,
  base: "",
};

/** The letter as it was written last. */
export const findPageLetter = async (): Promise<PageLetter> => (await kept.find()) ?? usual;

/** Refuses an address that is none, a letter without the place of the page, and places that mean nothing. */
async function checkLetter({ subject, text, base }: PageLetter): Promise<void> {
  if (!/^https?:\/\/[^\s/]+/i.test(base) || !URL.canParse(base))
    throw new Refusal(422, "bad-address", "The address of the pages begins with http:// or https://.");
  if (!text.toLowerCase().includes(pagePlace.toLowerCase()))
    throw new Refusal(422, "no-page", `The letter lacks ${pagePlace}, where the address of the page comes.`);
  const [unknown] = unknownPlaces(`${subject}\n${text}`, await listOwnFields());
  if (unknown !== undefined)
    throw new Refusal(422, "unknown-place", `There is no field ${unknown}: nothing was sent.`);
}

const asHtml = (text: string, page: string): string =>
  text
    .trim()
    .split(/\n{2,}/)
    .map((paragraph) => `<p>${escapeText(paragraph).replaceAll("\n", "<br>")}</p>`)
    .join("\n")
    .replaceAll(escapeText(page), (shown) => `<a href="${escapeAttribute(page)}">${shown}</a>`);

/** The letter for somebody as its bytes. */
function compose({ subject, text }: PageLetter, person: Person, from: string, page: string): Promise<Buffer> {
  const own = fillLetter(text, person, page);
  return new MailComposer({
    from,
    to: { name: fieldValue(person, "name"), address: fieldValue(person, "mail") },
    subject: fillLetter(subject, person, page).replace(/\s+/g, " "),
    text: own,
    html: messagePage(asHtml(own, page)),
    disableFileAccess: true,
    disableUrlAccess: true,
  })
    .compile()
    .build();
}

/** Keeps that a letter goes; false where one has gone already, or is about to. */
async function claim(secret: string, way: LetterWay): Promise<boolean> {
  const going = { state: "going" as const, trouble: "", at: Date.now() };
  const db = await database();
  const begun = await db
    .insert(pageLetters)
    .values({ secret, way, ...going })
    .onConflictDoUpdate({
      target: [pageLetters.secret, pageLetters.way],
      set: going,
      // Only what certainly did not go is tried again.
      setWhere: eq(pageLetters.state, "failed"),
    })
    .returning({ secret: pageLetters.secret });
  return begun.length > 0;
}

async function settle(secret: string, way: LetterWay, after: Omit<LetterState, "at">): Promise<void> {
  await (
    await database()
  )
    .update(pageLetters)
    .set({ ...after, at: Date.now() })
    .where(and(eq(pageLetters.secret, secret), eq(pageLetters.way, way)));
}

/** What became of the letters of some pages, by the pages' secrets. */
export async function lettersOf(
  secrets: readonly string[],
): Promise<ReadonlyMap<string, Readonly<Partial<Record<LetterWay, LetterState>>>>> {
  const rows = await (
    await database()
  )
    .select()
    .from(pageLetters)
    .where(inArray(pageLetters.secret, [...secrets]));
  const found = new Map<string, Partial<Record<LetterWay, LetterState>>>();
  for (const { secret, way, state, trouble, at } of rows)
    found.set(secret, { ...found.get(secret), [way]: { state, trouble, at } });
  return found;
}

interface Sender {
  readonly from: (person: Person) => string;
  readonly send: (from: string, to: string, raw: Buffer) => Promise<void>;
}

/** In the Mailroom a letter comes as if one had sent it to oneself: there is no office among its desks. */
async function senderOf(way: LetterWay): Promise<Sender> {
  if (way === "mailroom")
    return {
      from: (person) => fieldValue(person, "mail"),
      send: (from, to, raw) => carry(from, [to], raw),
    };
  const { from, send } = await openOutgoing();
  return { from: () => from, send: (_from, to, raw) => send(to, raw) };
}

/** Why somebody cannot be written to; null where they can. */
function hindrance(person: Person): string | null {
  const mail = fieldValue(person, "mail");
  if (mail === "") return "They have no mail address.";
  return mailtoLink(mail) ? null : "Their mail address is none.";
}

export interface LettersWanted {
  readonly letter: PageLetter;
  readonly way: LetterWay;
  /** Null for all of them; empty for people without one. */
  readonly department: string | null;
}

/** Looks at the letter, and at whether it can go that way, before anything is answered; keeps it for the next time. */
export async function prepareLetters({ letter, way }: LettersWanted): Promise<Sender> {
  await checkLetter(letter);
  const sender = await senderOf(way);
  await kept.keep(letter);
  return sender;
}

/** Writes to everybody with a signature who was not written to that way before. Stops where `signal` is aborted, between two letters. */
export async function writeLetters(
  { letter, way, department }: LettersWanted,
  sender: Sender,
  send: (told: LettersWritten) => void,
  signal: AbortSignal,
): Promise<void> {
  const [given, everybody] = await Promise.all([listGiven(), listPeople()]);
  const people = everybody.filter(
    (each) => isInDepartment(each, department) && signaturesOf(given, each).length > 0,
  );
  const failed: FailedFor[] = [];
  let [done, written, before] = [0, 0, 0];
  const tell = paced(send);
  tell(done, people.length);
  for (const { id, person } of people) {
    signal.throwIfAborted();
    const trouble = hindrance(person);
    const { secret, withdrawnAt } = await pageFor(id);
    if (trouble !== null) failed.push({ name: person.name, reason: trouble });
    else if (withdrawnAt !== null) failed.push({ name: person.name, reason: "Their page was withdrawn." });
    else if (!(await claim(secret, way))) before += 1;
    else {
      const from = sender.from(person);
      try {
        await sender.send(
          from,
          fieldValue(person, "mail"),
          await compose(letter, person, from, pageAddress(letter.base, secret)),
        );
        await settle(secret, way, { state: "gone", trouble: "" });
        written += 1;
      } catch (error) {
        if (!(error instanceof Refusal)) throw error;
        // Where it may have gone all the same, it stays as one that goes: nobody is written to twice by mistake.
        const open = error.code === mayHaveGone;
        await settle(secret, way, { state: open ? "going" : "failed", trouble: error.message });
        failed.push({ name: person.name, reason: error.message });
      }
    }
    done += 1;
    tell(done, people.length);
    await setImmediate();
  }
  send({ kind: "written", written, before, failed });
}
