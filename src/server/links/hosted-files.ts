/** Files that links lead to, kept under the hash of their bytes for ever. */
import { and, eq } from "drizzle-orm";
import {
  buildCalendar,
  hostedFilePath,
  publicFile,
  type CalendarEvent,
  type HostedFileAddress,
} from "@/core/links";
import { buildCard, type Person } from "@/core/people";
import { database } from "../database/database";
import { hostedFiles } from "../database/schema";
import { Refusal } from "../http/refusal";
import { contentHash } from "../imaging/content-hash";
import { pictureStore } from "../store/store";

/** The most that a file behind a link may weigh; bytes. */
export const largestLinkedFile = 10 * 1024 * 1024;

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
  return hostedFilePath(key);
}

/** Null when it is not hosted under this name. */
export async function readFileBytes({ hash, fileName }: HostedFileAddress): Promise<Buffer | null> {
  const [row] = await (
    await database()
  )
    .select({ hash: hostedFiles.hash })
    .from(hostedFiles)
    .where(and(eq(hostedFiles.hash, hash), eq(hostedFiles.fileName, fileName)));
  return row ? pictureStore().get({ kind: "file", hash, fileName }) : null;
}

/** Hosts an event's calendar file. The same event is the same file, whenever it is asked for. */
export async function hostCalendar(event: CalendarEvent): Promise<string> {
  const uid = `${contentHash(Buffer.from(JSON.stringify(event)))}@still-line`;
  // A stamp that changed with the clock would make another file of the same event.
  const built = buildCalendar(event, uid, Date.UTC(2026, 0, 1));
  if (!built.ok) throw new Refusal(422, "bad-event", built.message);
  return hostFile(Buffer.from(built.file), `${event.title}.ics`);
}

export async function hostCard(person: Person): Promise<string> {
  if (!person.name.trim()) throw new Refusal(422, "no-name", "A contact card needs a name.");
  return hostFile(Buffer.from(buildCard(person)), `${person.name}.vcf`);
}
