/** What somebody types or pastes where a link is asked for, as the address that it means. */
import { readHostedPath } from "../addresses";
import { buildMail, isMailAddress, mailtoLink, parseMail } from "./mail";
import { buildPhone, dialled, parsePhone, telLink } from "./phone";
import { unwrapTyped } from "./unwrap-typed";
import { followingParameters, mendWeb } from "./web";

export type LinkReading =
  | {
      readonly ok: true;
      readonly href: string;
      /** What was put right, one sentence each. */
      readonly changes: readonly string[];
      /** Names of its parameters that follow a reader; they can be taken out (`withoutFollowing`). */
      readonly following: readonly string[];
    }
  | { readonly ok: false; readonly message: string };

export interface ReadLinkOptions {
  /** The calling code of phone numbers that are written without one, such as "44". */
  readonly callingCode?: string | null;
}

const refuse = (message: string): LinkReading => ({ ok: false, message });
const take = (href: string, changes: readonly string[] = []): LinkReading => ({
  ok: true,
  href,
  changes,
  following: followingParameters(href),
});

/** Schemes that run something, open what is on one machine only, or hold their content in themselves. */
const never =
  /^(?:javascript|vbscript|livescript|data|file|blob|about|view-source|chrome|ms-[a-z-]+|cid|mid)$/;

const onlyThese = "A link can lead to a page, a mail address, a phone number or a text message only.";

const shortened = (text: string): string => (text.length > 60 ? `${text.slice(0, 57)}…` : text);

/**
 * What stands before the first colon, with everything taken out that a browser would skip over (white space,
 * control and invisible characters, escapes), so that no spelling hides a scheme.
 */
function schemeOf(text: string): string | null {
  let plain = text;
  try {
    plain = decodeURIComponent(text);
  } catch {
    // Broken escapes hide no scheme.
  }
  plain = plain
    .replace(/&(?:#x0*3a|#0*58|colon);?/gi, ":")
    .replace(/&(?:tab|newline|#x?0*[0-9a-f]{1,2});?/gi, "")
    .replace(/[\s\p{C}"'“”‘’<>(]/gu, "")
    .normalize("NFKC");
  return /^([a-z][a-z0-9+.-]*):/i.exec(plain)?.[1]?.toLowerCase() ?? null;
}

/** "Ada Brook <ada@harrowfen.example>", "mailto:mailto:ada@…", "https://ada@…": the mail address in it. */
function readMail(text: string): LinkReading | null {
  const changes: string[] = [];
  const say = (said: string): void => void (changes.includes(said) || changes.push(said));
  let rest = text;
  const named =
    /^[^<>@]*<\s*([^<>\s]+@[^<>\s]+)\s*>[\s.,;]*$/.exec(rest)?.[1] ??
    /^[^()@]+\(\s*([^()\s]+@[^()\s]+)\s*\)[\s.,;]*$/.exec(rest)?.[1];
  if (named !== undefined) {
    rest = named;
    say("The name beside it is taken off.");
  }
  const web = /^https?:\/\/(?:www\.)?(?=[^/?#@\s]+@[^/?#@\s]+\/?$)/i;
  if (web.test(rest)) {
    rest = rest.replace(web, "").replace(/\/$/, "");
    say("It is a mail address, so it begins with mailto:.");
  }
  const doubled = /^(?:mailto\s*:\s*\/{0,2}\s*)+/i.exec(rest);
  const asked = rest.indexOf("?");
  // An address with a subject behind it is a letter, whether that was said or not.
  const schemed = doubled !== null || (asked > 0 && isMailAddress(rest.slice(0, asked).trim()));
  if (doubled) {
    rest = rest.slice(doubled[0].length);
    if (/mailto.*mailto/i.test(doubled[0])) say("Its beginning stood there twice.");
    else if (doubled[0] !== "mailto:") say("Its beginning is mailto: now.");
  }
  const at = rest.indexOf("?");
  const address = (schemed && at >= 0 ? rest.slice(0, at) : rest).trim();
  const clean = address.replace(/^[\s<"'“”‘’(]+|[\s>"'“”‘’).,;:!?]+$/g, "").replace(/\s*@\s*/, "@");
  if (schemed) {
    const query = at >= 0 ? rest.slice(at) : "";
    const list = clean.split(",").map((one) => one.trim());
    const escaped = `mailto:${list.join(",")}${query.trim()}`;
    const parts = parseMail(escaped);
    if (!parts) return null;
    if (clean !== address) say("What stood around it is taken off.");
    if (/\s/.test(query.trim())) say("The spaces in it are escaped.");
    if (!/\s/.test(escaped) && changes.length === 0 && !/[^\x21-\x7e]/.test(escaped)) return take(escaped);
    const built = buildMail(parts);
    return built === null ? null : take(built, changes);
  }
  const several = clean.split(/\s*[,;]\s*|\s+/);
  if (several.length > 1 && several.every(isMailAddress)) {
    const letter = buildMail({ to: several, cc: [], subject: "", body: "" });
    const all = several.length === 2 ? "Both addresses go" : `All ${several.length} addresses go`;
    return letter === null ? null : take(letter, [...changes, `${all} into one letter.`]);
  }
  if (!isMailAddress(clean)) return null;
  if (clean !== address) say("What stood around it is taken off.");
  const made = mailtoLink(clean);
  return made === null ? null : take(made, changes);
}

/** "01632 960100", "tel:+44…", "0044 …": the number in it. */
function readPhone(text: string, callingCode?: string | null): LinkReading | null {
  const found = /^(tel|sms)?\s*[:.]?\s*(?=[+(\d])(.*)$/is.exec(text);
  if (!found) return null;
  const word = found[1]?.toLowerCase();
  const schemed = /^(tel|sms):/i.test(text);
  const changes: string[] = [];
  const parts = schemed ? parsePhone(text) : null;
  if (parts && !/[().]/.test(text)) {
    const built = buildPhone(parts);
    const kept = `${word}${text.slice(word?.length ?? 0)}`;
    return /\s/.test(kept) && built !== null ? take(built, ["The spaces in it are escaped."]) : take(kept);
  }
  const bare = (found[2] ?? "").replace(/[\s.,;]+$/, "").replace(/;ext=/i, " ext. ");
  const full = dialled(bare, callingCode);
  const href = telLink(full);
  if (!href) return null;
  if (full.startsWith("+") && !bare.trimStart().startsWith("+"))
    changes.push("It is written as it is dialled from anywhere.");
  return take(word === "sms" ? href.replace(/^tel:/, "sms:").replace(/;ext=.*/, "") : href, changes);
}

function whyNot(text: string): string {
  const shown = shortened(text);
  if (/@/.test(text)) return `“${shown}” is no whole mail address: something like desk@harrowfen.example is.`;
  if (/^https?:/i.test(text)) return `“${shown}” is no web address: something like harrowfen.example is.`;
  if (/^\+?[\d\s().-]+$/.test(text)) return `“${shown}” has too few or too many digits for a phone number.`;
  if (/\s/.test(text)) return `“${shown}” has spaces in it, so it is no address.`;
  return `“${shown}” is neither a web address, a mail address nor a phone number.`;
}

/** Reads a typed address, mends its slips and says them. Never throws, and never gives an address that runs. */
export function readLink(typed: string, options: ReadLinkOptions = {}): LinkReading {
  if (readHostedPath(typed.trim())) return take(typed.trim());
  if (typed.trim().length > 2000) return refuse("An address has at most 2,000 characters.");
  const { text, changes } = unwrapTyped(typed);
  const reading = readBare(text, options);
  return reading.ok && changes.length > 0
    ? { ...reading, changes: [...new Set([...changes, ...reading.changes])] }
    : reading;
}

/** Reads an address that nothing stands around any more. */
function readBare(text: string, { callingCode }: ReadLinkOptions): LinkReading {
  if (text === "") return refuse("Type where the link leads.");
  const scheme = schemeOf(text);
  if (scheme && never.test(scheme)) return refuse(onlyThese);
  const known = scheme === null || /^(?:h*t+ps*|mailto|tel|sms|geo)$/.test(scheme);
  // A colon after a host is a port, or one that slipped in.
  if (!known && !scheme.includes(".") && !/^[\w-]+:\d/.test(text)) return refuse(onlyThese);
  if (/^geo:/i.test(text))
    return refuse("Few mail clients open geo: addresses: choose “A place” and a map instead.");
  if (scheme === "mailto" || text.includes("@")) {
    const mail = readMail(text);
    if (mail) return mail;
    if (scheme === "mailto" || !text.includes("/")) return refuse(whyNot(text));
  }
  const phone = readPhone(text, callingCode);
  if (phone) return phone;
  if (scheme === "tel" || scheme === "sms") return refuse(whyNot(text.replace(/^\w+:\s*/, "")));
  const web = mendWeb(text);
  return web ? take(web.text, web.changes) : refuse(whyNot(text));
}
