/** Web addresses: a bare host gets its scheme, and what slips in when they are typed or pasted is mended. */
import { wordTable } from "../values";
import { invisible, mendSlips, type Mended, type Slip } from "./slips";

const label = String.raw`[\p{L}\p{N}_](?:[\p{L}\p{M}\p{N}_-]*[\p{L}\p{M}\p{N}])?`;
const hostPattern = new RegExp(
  String.raw`^(?:${label}\.)+(?:\p{L}[\p{L}\p{M}]+|xn--[a-z0-9-]+)\.?(?::\d{1,5})?(?:[/?#]\S*)?$`,
  "iu",
);

/** `https:` before a bare host, what already has a web scheme as it is; null when it is no web address. */
export function webLink(address: string): string | null {
  const trimmed = address.trim();
  const bare = trimmed.replace(/^https?:\/\//i, "");
  if (!hostPattern.test(bare)) return null;
  return bare === trimmed ? `https://${bare}` : trimmed;
}

/** The slips around and at the beginning of an address; order matters. */
const slips: readonly Slip[] = [
  invisible,
  { find: /^www\.\s*(?=https?:\/\/)/i, put: "", said: "What stood before it is taken off." },
  { find: /^[\s<"'“”„‘’«»[(]+(?=\S)/, put: "", said: "What stood before it is taken off." },
  { find: /\s+([./:])/g, put: "$1", said: "The space in it is taken out." },
  { find: /^((?:https?:\/\/)?[^\s/]*\.)\s+(?=\S)/i, put: "$1", said: "The space in it is taken out." },
  { find: /([:/])\s+(?=\S)/g, put: "$1", said: "The space in it is taken out." },
  {
    find: /^(?:h?t{1,3}ps?|http?s{1,2}|hhttps?|htpps?|https?)\s*(?:[:;.,]\s*[/\\]+|[/\\]+:?[/\\]*|:(?=[^\d/\\]))(?=[^/\\])/i,
    put: "https://",
    said: "The beginning is https:// now.",
  },
  { find: /^www[,;]/i, put: "www.", said: "The comma after www is a full stop now." },
  { find: /^(?:\/\/)(?=\S)/, put: "https://", said: "https:// is put before it." },
  { find: /\\/g, put: "/", said: "The slashes lean the right way now." },
];

/** Well-formed beginnings are left to be as they are. */
const slipped = (given: string): Mended =>
  mendSlips(given, slips, ({ put }, text) => put !== "https://" || !/^https?:\/\/[^/\\]/i.test(text));

const closers = wordTable<string>({ ")": "(", "]": "[", "}": "{" });

/** Punctuation and quotes after an address; a closing bracket stays where its opening one is in the address. */
function withoutTail(text: string): string {
  let end = text.length;
  for (; end > 0; end--) {
    const last = text.charAt(end - 1);
    const opener = closers[last];
    const paired =
      opener !== undefined &&
      text.slice(0, end).split(opener).length >= text.slice(0, end).split(last).length;
    if (paired || !(opener !== undefined || /[\s.,;:!?>"'“”„‘’«»…]/.test(last))) break;
  }
  return text.slice(0, end);
}

/** Drops all but the last of several beginnings: `https://https://…`, `https://site.example/https://site.example/…`. */
function withoutDoubling(text: string): string {
  const last = text.toLowerCase().lastIndexOf("://");
  const begins = /https?$/i.exec(text.slice(0, Math.max(0, last)));
  if (!begins || begins.index === 0) return text;
  const before = text.slice(0, begins.index);
  const after = text.slice(begins.index);
  // An address that is handed on as a parameter belongs where it is.
  if (/[?#]/.test(before)) return text;
  const bare = before
    .replace(/^(?:https?:\/\/)+/i, "")
    .replace(/\/$/, "")
    .toLowerCase();
  const again = after.replace(/^https?:\/\//i, "").toLowerCase();
  return bare === "" || again.startsWith(bare) ? after : text;
}

const beginning = /^(https?:\/\/)([^/?#]*)(.*)$/is;

/** The host in small letters and in ASCII (RFC 5891), which every client opens; null where it cannot be one. */
function asciiHost(host: string): string | null {
  const [, name = "", port = ""] = /^(.*?)(:\d{1,5})?$/s.exec(host) ?? [];
  if (/^[a-z0-9.-]*$/.test(name)) return host;
  if (!URL.canParse(`https://${name}`) || /[@\s]/.test(name)) return null;
  return new URL(`https://${name}`).hostname + port;
}

/** What an address cannot hold as percent escapes of its UTF-8 (RFC 3986, section 2.1). */
const escapeAddress = (text: string): string =>
  text
    .toWellFormed()
    .replace(/[\s\u0000-\u0020\u007f"<>`{}|^\u0080-\u{10ffff}]+/gu, (part) => encodeURIComponent(part));

/** An address as every client opens it: a web address's host in ASCII, the rest escaped. Never throws. */
export function writtenAddress(href: string): string {
  const [, scheme = "", host = "", rest = href] = beginning.exec(href) ?? [];
  return scheme + (asciiHost(host) ?? host) + escapeAddress(rest);
}

/** Parameters by which senders of campaigns and networks follow a reader; their endings are shared by many. */
const following = /^(?:utm_[a-z_]+|[a-z]*clid|trk[a-z_]*|ref_?src|mc_[ce]id|_ga|_gl)$/i;

const nameOf = (pair: string): string => pair.split("=", 1)[0] ?? "";

/** The names of the parameters in a web address that follow its reader. */
export function followingParameters(href: string): readonly string[] {
  const query = /^https?:\/\/[^?#]*\?([^#]*)/i.exec(href)?.[1] ?? "";
  return query
    .split("&")
    .map(nameOf)
    .filter((name) => following.test(name));
}

/** The address without parameters that follow its reader; all others keep their bytes and their order. */
export function withoutFollowing(href: string): string {
  const [, before, query = "", after = ""] = /^(https?:\/\/[^?#]*)\?([^#]*)(#.*)?$/i.exec(href) ?? [];
  if (before === undefined) return href;
  const kept = query.split("&").filter((pair) => !following.test(nameOf(pair)));
  return before + (kept.length > 0 ? `?${kept.join("&")}` : "") + after;
}

/** A web address as it was meant: its slips mended, or null when it cannot be one. */
export function mendWeb(typed: string): Mended | null {
  const first = slipped(typed);
  const changes = [...first.changes];
  const change = (before: string, after: string, said: string): string => {
    if (after !== before) changes.push(said);
    return after;
  };
  let text = change(first.text, withoutDoubling(first.text), "Its beginning stood there twice.");
  text = change(text, withoutTail(text), "What stood after it is taken off.");
  const schemed = /^https?:\/\//i.test(text) ? text : `https://${text}`;
  const parts = beginning.exec(schemed);
  if (!parts) return null;
  const [, scheme = "", host = "", rest = ""] = parts;
  const typedHost = host.replace(/(?<=\.)\.+/g, "");
  const ascii = asciiHost(typedHost);
  if (ascii === null) return null;
  if (schemed !== text) changes.push("https:// is put before it.");
  change(host, typedHost, "Two full stops in a row are one now.");
  if (ascii !== typedHost)
    changes.push(
      ascii === typedHost.toLowerCase()
        ? "Its host is in small letters now."
        : `Its host is written ${ascii}, which every client opens.`,
    );
  const path = change(rest, escapeAddress(rest), "What an address cannot hold is escaped.");
  const href = scheme.toLowerCase() + ascii + path;
  if (scheme !== scheme.toLowerCase()) changes.push("Its beginning is in small letters now.");
  return isWeb(href) ? { text: href, changes: [...new Set(changes)] } : null;
}

/** Hosts without a dot, such as this machine, and numbered hosts are fine when the scheme is there. */
const isWeb = (href: string): boolean =>
  webLink(href) !== null ||
  /^https?:\/\/(?:localhost|[\w-]+(?=:\d)|\d{1,3}(?:\.\d{1,3}){3})(?::\d{1,5})?(?:[/?#]\S*)?$/i.test(href);
