/** Files that links lead to, kept under the hash of their bytes for ever. */
import { hostedPath } from "@/core/addresses";
import { buildCalendar, publicFile, type CalendarEvent } from "@/core/links";
import { buildCard } from "@/core/people";
import { database } from "../database/database";
import { hostedFiles } from "../database/schema";
import { notFound, Refusal } from "../http/refusal";
import { contentHash } from "../imaging/content-hash";
import { findPerson } from "../people/people";
import { pictureStore } from "../store/store";

/** Keeps a file. Resolves with its path `/h/…`; refuses an ending that is not hosted. */
export async function hostFile(bytes: Uint8Array, name: string): Promise<string> {
  const fileName = publicFile(name);
  if (!fileName)
    throw new Refusal(
      422,
      "not-hosted",
      `“${name}” is of no kind that is hosted here: PDF, text, calendar, contact and office files, zips and MP3 are.`,
    );
  if (bytes.length === 0) throw new Refusal(422, "empty-file", `“${name}” is empty.`);
  const key = { kind: "file", hash: contentHash(bytes), fileName } as const;
  await pictureStore().put(key, bytes);
  await (
    await database()
  )
    .insert(hostedFiles)
    .values({ hash: key.hash, fileName, bytes: bytes.length, createdAt: Date.now() })
    .onConflictDoNothing();
  return hostedPath(key);
}

/** Hosts an event's calendar file. The same event is the same file, whenever it is asked for. */
export async function hostCalendar(event: CalendarEvent): Promise<string> {
  const uid = `${contentHash(Buffer.from(JSON.stringify(event)))}@still-line`;
  // A stamp that changed with the clock would make another file of the same event.
  const built = buildCalendar(event, uid, Date.UTC(2026, 0, 1));
  if (!built.ok) throw new Refusal(422, "bad-event", built.message);
  return hostFile(Buffer.from(built.file), `${event.title}.ics`);
}

/** Hosts the contact card of somebody of the directory, as it is now. */
export async function hostCardOf(personId: string): Promise<string> {
  const found = await findPerson(personId);
  if (!found) throw notFound("person");
  const { person } = found;
  if (!person.name.trim()) throw new Refusal(422, "no-name", "A contact card needs a name.");
  return hostFile(Buffer.from(buildCard(person)), `${person.name}.vcf`);
}
