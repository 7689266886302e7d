/** How a letter begins at a desk: new, in answer, handed on, or where it was left. */
import { format } from "date-fns";
import { heldAddresses, partAddress, type Desk, type LetterAbout, type LetterBegun } from "@/contract";
import { deskClients } from "@/core/desks";
import {
  answerRecipients,
  answerSubject,
  forwardSubject,
  handedOn,
  letterStart,
  quotedIn,
  type AnsweredLetter,
  type MailAddress,
} from "@/core/mailroom";
import { openDesk } from "./desk";
import { findDraft } from "./drafts";
import { letterOf, type KeptLetter } from "./letters";

/** The letter that another one is about; null where it is about none. */
const letterAbout = async (personId: string, about: LetterAbout | null): Promise<KeptLetter | null> =>
  about ? letterOf(personId, about.letter) : null;

/** Where the pictures are drawn from that may stand in a letter, by content id. */
const picturesIn = (desk: Desk, letter: KeptLetter | null): Readonly<Record<string, string>> => {
  const own = desk.held.map(({ pictures }) => heldAddresses(desk.person.id, desk.client, pictures));
  const came = (letter?.parts ?? []).map(({ id }) => [
    [id, partAddress(desk.person.id, letter?.id ?? "", id)] as const,
  ]);
  return Object.fromEntries([...came.flat(), ...own.flatMap((each) => Object.entries(each))]);
};

const addresses = (list: readonly MailAddress[]): readonly string[] => list.map(({ address }) => address);

/** Which of the own addresses an answer is written from: the one that the letter came to. */
function answersFrom(desk: Desk, letter: AnsweredLetter): string {
  const reached = addresses([...letter.to, ...letter.cc]).map((address) => address.toLowerCase());
  return desk.addresses.find((address) => reached.includes(address)) ?? desk.addresses[0] ?? "";
}

/** The text, signature and quote that it begins with, for one of the own addresses. */
function begun(
  desk: Desk,
  from: string,
  text: string,
  quoted: string | null,
): Pick<LetterBegun, "html" | "signature"> {
  const client = deskClients[desk.client];
  const choice = desk.choices.find(({ address }) => address === from);
  const chosen = quoted === null ? choice?.underNew : choice?.underAnswers;
  const signature = desk.held.find(({ id }) => id === chosen) ?? null;
  return {
    signature: signature?.id ?? null,
    html: letterStart({
      text,
      signature: signature?.html ?? null,
      delimiter: choice?.delimiter ?? client.usualDelimiter,
      place: choice?.place ?? client.usualPlace,
      quoted,
    }),
  };
}

export interface Beginning {
  readonly to?: string;
  readonly subject?: string;
  readonly text?: string;
  readonly about?: LetterAbout | null;
  /** An answer goes to everybody whom the letter was for. */
  readonly all?: boolean;
  readonly draft?: string | null;
}

async function fromDraft(desk: Desk, id: string): Promise<LetterBegun> {
  const letter = await findDraft(desk.person.id, desk.client, id);
  const about = await letterAbout(desk.person.id, letter.about);
  const signature = desk.held.find((held) => held.id === letter.signature)?.id ?? null;
  return { ...letter, draft: id, signature, pictures: picturesIn(desk, about) };
}

/** With the signature where that client puts it, and with what it answers. */
export async function beginLetter(
  personId: string,
  clientId: string,
  { to = "", subject = "", text = "", about = null, all = false, draft = null }: Beginning,
): Promise<LetterBegun> {
  const desk = await openDesk(personId, clientId);
  if (draft !== null) return fromDraft(desk, draft);
  const [own = ""] = desk.addresses;
  const kept = await letterAbout(personId, about);
  const pictures = picturesIn(desk, kept);
  if (!kept || !about)
    return {
      ...begun(desk, own, text, null),
      ...{ from: own, to: to === "" ? [] : [to], cc: [], subject, about, draft, pictures },
    };
  const letter: AnsweredLetter = { ...kept, when: format(kept.receivedAt, "EEEE, d MMMM yyyy, HH:mm") };
  const answers = about.how === "answer";
  const from = answersFrom(desk, letter);
  const whom = answers ? answerRecipients(letter, desk.addresses, all) : { to: [], cc: [] };
  return {
    ...begun(desk, from, text, (answers ? quotedIn : handedOn)(letter, deskClients[desk.client])),
    from,
    to: addresses(whom.to),
    cc: addresses(whom.cc),
    subject: (answers ? answerSubject : forwardSubject)(letter.subject),
    about,
    draft,
    pictures,
  };
}
