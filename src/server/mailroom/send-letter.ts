/** Letters that are sent from a desk, as its client writes them. */
import { randomUUID } from "node:crypto";
import type { Desk, NewLetter } from "@/contract";
import { received } from "@/core/clients";
import { deskClients } from "@/core/desks";
import { bytesOfBase64 } from "@/core/mail";
import { asSent, referencesOf, signatureMark, type MailAddress } from "@/core/mailroom";
import { Refusal } from "../http/refusal";
import { sendMessage, type AttachedPicture } from "../mail/send";
import { listPeople } from "../people/people";
import { openDesk } from "./desk";
import { deskFile } from "./desk-files";
import { dropDraft } from "./drafts";
import { happened } from "./happenings";
import { letterOf, type KeptLetter } from "./letters";
import { mailboxName } from "./mailboxes";
import { pictureType } from "./picture-type";

const attachedAddress = /\bsrc="cid:([^"]+)"/g;
const dataAddress = /\bsrc="data:(image\/[a-z+.-]+);base64,([^"]+)"/g;

/** The pictures that a letter's HTML names by content id: out of the client's own files, or out of what it is about. */
async function attachedPictures(
  desk: Desk,
  about: KeptLetter | null,
  html: string,
): Promise<readonly AttachedPicture[]> {
  const wanted = [...new Set([...html.matchAll(attachedAddress)].flatMap(([, id]) => id ?? []))];
  if (wanted.length === 0) return [];
  const paths = new Map(desk.held.flatMap(({ pictures }) => Object.entries(pictures)));
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
  const [own = ""] = desk.addresses;
  if (!desk.addresses.includes(letter.from.toLowerCase()))
    throw new Refusal(
      422,
      "not-own",
      `${letter.from} is no address of ${desk.person.name}. The letter was not sent.`,
    );
  if (letter.to.length + letter.cc.length === 0)
    throw new Refusal(422, "no-recipient", "Say who it goes to. The letter was not sent.");
  const names = new Map((await listPeople()).map((each) => [mailboxName(each), each.person.name]));
  const named = (address: string): MailAddress => ({ name: names.get(address.toLowerCase()) ?? "", address });
  const about = letter.about ? await letterOf(personId, letter.about.letter) : null;
  const sent = dataAttached(received(asSent(letter.html), client.standIn).html, client.id);
  await sendMessage({
    client,
    from: { name: desk.person.name, address: letter.from },
    to: letter.to.map(named),
    cc: letter.cc.map(named),
    subject: letter.subject,
    html: sent.html,
    pictures: [...sent.pictures, ...(await attachedPictures(desk, about, sent.html))],
    inReplyTo: letter.about?.how === "answer" ? (about?.messageId ?? "") : "",
    references: about ? referencesOf(about.references, about.messageId) : [],
    keptBy: own,
  });
  if (hasSignature.test(letter.html)) {
    await happened(personId, client.id, "sent");
    const reached = [...letter.to, ...letter.cc].map((address) => address.toLowerCase());
    // What is copied on the phone is a letter that one sent to oneself.
    if (client.id !== "wren" && reached.includes(own)) await happened(personId, "wren", "delivered");
  }
  if (letter.draft) await dropDraft(personId, letter.draft);
}
