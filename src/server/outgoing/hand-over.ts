/** Handing a message to a mail server (RFC 6409), once: what went wrong is said in a sentence, and nothing is tried again. */
import { Readable } from "node:stream";
import nodemailer from "nodemailer";

export interface MailServer {
  readonly host: string;
  readonly port: number;
  readonly security: "tls" | "starttls";
  /** Empty where the server asks nobody. */
  readonly user: string;
  readonly password: string;
}

export interface Letter {
  readonly from: string;
  readonly to: string;
  /** RFC 5322, as it is sent. */
  readonly raw: Uint8Array;
}

/** Why a mail server could not be used, in a sentence. */
export class MailTrouble extends Error {
  constructor(
    message: string,
    /** Whether the letter may have gone all the same. */
    readonly open = false,
  ) {
    super(message);
  }
}

export interface Patience {
  /** How long each step may take; ms. */
  readonly step?: number;
  /** A certificate to trust beside those that the machine trusts; PEM. */
  readonly trusted?: string;
}

const transportFor = (
  { host, port, security, user, password }: MailServer,
  { step = 15_000, trusted }: Patience,
) =>
  nodemailer.createTransport({
    host,
    port,
    secure: security === "tls",
    requireTLS: security === "starttls",
    ...(user === "" ? {} : { auth: { user, pass: password } }),
    tls: { minVersion: "TLSv1.2", ...(trusted ? { ca: trusted } : {}) },
    connectionTimeout: step,
    greetingTimeout: step,
    socketTimeout: step,
    dnsTimeout: step,
    disableFileAccess: true,
    disableUrlAccess: true,
  });

interface MailError extends Error {
  readonly code?: string;
  readonly responseCode?: number;
  readonly response?: string;
}

/** What a server said of itself, as much as fits a sentence. */
const answer = ({ response }: MailError): string => (response ?? "").replace(/\s+/g, " ").slice(0, 160);

/** The sentence for what went wrong. */
function sentence(error: MailError, { host, port, security, user }: MailServer): string {
  const where = `${host}, port ${port}`;
  const { code, message } = error;
  if (code === "EDNS" || /ENOTFOUND|EAI_AGAIN|getaddrinfo/.test(message))
    return `There is no server called ${host}: look at its name.`;
  if (/ECONNREFUSED/.test(message)) return `Nothing takes mail at ${where}: look at the port.`;
  if (/wrong version number|packet length too long|unknown protocol/i.test(message))
    return `${where} does not begin with TLS: choose STARTTLS, or the port that begins with it.`;
  if (code === "ETLS" && /upgrade|STARTTLS/i.test(`${message} ${answer(error)}`))
    return `${where} offers no STARTTLS: choose TLS, or another port.`;
  if (/certificate|self[- ]signed|altname|CERT_/i.test(message))
    return `The certificate of ${host} cannot be trusted (${message.slice(0, 120)}): is that the server’s own name?`;
  if (code === "EAUTH")
    return `${host} does not take ${user === "" ? "letters without a user" : "this user and password"}.`;
  if (code === "ETIMEDOUT" || /timed? ?out/i.test(message))
    return `${where} took too long to answer${security === "starttls" ? ": does it begin with TLS?" : "."}`;
  if (code === "EENVELOPE")
    return `${host} does not take a letter from or to these addresses: ${answer(error)}`;
  if (error.responseCode !== undefined) return `${host} refused: ${answer(error)}`;
  return `The line to ${where} broke: ${message.slice(0, 160)}`;
}

/** Resolves once the server has let this user in. Rejects with a MailTrouble. */
export async function tryServer(server: MailServer, patience: Patience = {}): Promise<void> {
  const transport = transportFor(server, patience);
  try {
    await transport.verify();
  } catch (error) {
    throw new MailTrouble(sentence(error as MailError, server));
  } finally {
    transport.close();
  }
}

/** Resolves once the server has taken the letter. Rejects with a MailTrouble that says whether it may have gone. */
export async function handOver(
  server: MailServer,
  { from, to, raw }: Letter,
  patience: Patience = {},
): Promise<void> {
  const transport = transportFor(server, patience);
  // Read to its end, it was on its way.
  let given = false;
  const source = Readable.from([Buffer.from(raw)]).on("end", () => {
    given = true;
  });
  try {
    await transport.sendMail({ envelope: { from, to: [to] }, raw: source });
  } catch (error) {
    const said = sentence(error as MailError, server);
    // A line that breaks then leaves open what became of the letter.
    const open = given && (error as MailError).responseCode === undefined;
    throw new MailTrouble(
      open ? `${said} The letter may have gone: look for it before you send it again.` : said,
      open,
    );
  } finally {
    transport.close();
  }
}
