/** The mail server of the user's own: kept with its password sealed, off until it is set up, and used to send a test. */
import { eq } from "drizzle-orm";
import type { OutgoingServer } from "@/contract";
import { kitLetter } from "@/core/install";
import type { InstallForm, PicturesIn } from "@/core/install-kinds";
import { choice, object, text } from "@/core/values";
import { database } from "../database/database";
import { settings } from "../database/schema";
import { Refusal } from "../http/refusal";
import { kitSource } from "../install/kit-source";
import { findDetails } from "../people/people";
import { setting } from "../settings/settings";
import { findSignature } from "../signatures/signatures";
import { handOver, MailTrouble, tryServer, type MailServer, type Patience } from "./hand-over";
import { seal, unseal } from "./seal";

export interface WantedServer {
  readonly host: string;
  readonly port: string;
  readonly security: "tls" | "starttls";
  readonly user: string;
  /** Empty for the one that is kept. */
  readonly password: string;
  readonly from: string;
}

const kept = setting(
  "outgoing mail",
  object({
    host: text(253),
    port: text(5),
    security: choice("tls", "starttls"),
    user: text(320),
    /** Sealed; empty for none. */
    password: text(4000),
    from: text(254),
  }),
);

/** What is kept, but for the password; null while nothing is set up. */
export async function findOutgoing(): Promise<OutgoingServer | null> {
  const found = await kept.find();
  if (!found) return null;
  const { password, ...server } = found;
  return { ...server, hasPassword: password !== "" };
}

/** The password that is meant: the typed one, or else the one that is kept for this very server and user. */
async function passwordFor({ host, user, password }: WantedServer): Promise<string> {
  if (password !== "") return password;
  const found = await kept.find();
  if (!found || found.password === "" || found.host !== host || found.user !== user) return "";
  const opened = await unseal(found.password);
  if (opened === null)
    throw new Refusal(
      422,
      "sealed",
      "The kept password cannot be opened with this key any more: type it again.",
    );
  return opened;
}

export async function keepOutgoing(wanted: WantedServer): Promise<void> {
  const password = await passwordFor(wanted);
  await kept.keep({
    ...wanted,
    host: wanted.host.trim(),
    password: password === "" ? "" : await seal(password),
  });
}

/** Forgets server and password. */
export async function forgetOutgoing(): Promise<void> {
  await (await database()).delete(settings).where(eq(settings.name, kept.name));
}

async function serverOf(wanted: WantedServer): Promise<MailServer> {
  const { host, port, security, user } = wanted;
  return { host: host.trim(), port: Number(port), security, user, password: await passwordFor(wanted) };
}

/** The code of a refusal after which it is not known what became of the letter. */
export const mayHaveGone = "may-have-gone";

/** What a mail server would not do, as a refusal that can be shown. */
async function orRefusal<T>(action: () => Promise<T>): Promise<T> {
  try {
    return await action();
  } catch (error) {
    if (error instanceof MailTrouble)
      throw new Refusal(422, error.open ? mayHaveGone : "mail-server", error.message);
    throw error;
  }
}

/** Resolves once the server has let the user in. Refuses with what is wrong. */
export const tryOutgoing = (wanted: WantedServer, patience?: Patience): Promise<void> =>
  orRefusal(async () => tryServer(await serverOf(wanted), patience));

/** The mail server that is set up, for letters that are sent one after the other. Refuses while there is none. */
export async function openOutgoing(patience?: Patience): Promise<{
  readonly from: string;
  /** Refuses with what went wrong. */
  readonly send: (to: string, raw: Uint8Array) => Promise<void>;
}> {
  const found = await kept.find();
  if (!found) throw new Refusal(409, "not-set-up", "Set up a mail server first: nothing is sent until then.");
  const server = await serverOf({ ...found, password: "" });
  const { from } = found;
  return { from, send: (to, raw) => orRefusal(() => handOver(server, { from, to, raw }, patience)) };
}

export interface WantedTest {
  readonly to: string;
  readonly form: InstallForm;
  readonly pictures: PicturesIn;
}

/** Sends a signature as the letter of its kit to an address. Refuses while nothing is set up, and with what went wrong. */
export async function sendTest(
  signatureId: string,
  { to, form, pictures }: WantedTest,
  patience?: Patience,
): Promise<void> {
  const outgoing = await openOutgoing(patience);
  const signature = await findSignature(signatureId);
  const source = await kitSource(signature, await findDetails(signature.personId));
  const { bytes: raw } = kitLetter(source, form, pictures);
  await outgoing.send(to, raw);
}
