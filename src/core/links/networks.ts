/** Kinds of network: the user's own list of places where people and organisations have a page under a handle. */
import { isContentHash } from "../addresses";
import { glyphList } from "../icons";
import { describeValue, nameOf, object, type TypeOf, words } from "../values";
import { mendWeb } from "./web";

/** Whether a pattern is a web address with at most one slot for the handle. */
export const isNetworkPattern = (pattern: string): boolean =>
  /^https?:\/\/[^\s/{}]+\/[^\s{}]*(?:\{handle\}[^\s{}]*)?$/i.test(pattern);

const own = "own:";
const isOwnIcon = (glyph: string): boolean => glyph.startsWith(own) && isContentHash(glyph.slice(own.length));
const isDrawn = (glyph: string): boolean => glyphList.some(({ name }) => name === glyph);

const patternWords = words("An address pattern", 300, "Say where its pages are.");

export const networkKind = object({
  id: describeValue<string, "id">("id", (value) =>
    typeof value === "string" && /^[a-z0-9-]{1,60}$/.test(value)
      ? null
      : "A network's id has small letters, digits and hyphens only.",
  ),
  name: nameOf("A network's name", 60, "A network needs a name."),
  /** What stands for it: the name of a drawn glyph, or `own:` and the hash of an icon of the user's own. */
  glyph: describeValue<string, "glyph">("glyph", (value) =>
    typeof value === "string" && (value === "" || isDrawn(value) || isOwnIcon(value))
      ? null
      : "A network's icon is one of the drawn glyphs, or one of your own.",
  ),
  /** Where its pages are: the handle follows, or goes where `{handle}` stands. */
  pattern: describeValue<string, "pattern">(
    "pattern",
    (value) =>
      patternWords.check(value) ??
      (isNetworkPattern(patternWords.read(value))
        ? null
        : "Say where its pages are, such as https://plotline.example/ with the handle after it."),
    patternWords.read,
  ),
});
export type NetworkKind = TypeOf<typeof networkKind>;

export interface NetworkPage {
  readonly kind: NetworkKind;
  readonly handle: string;
}

/** The hash of the user's own icon that stands for a network, or null where a drawn glyph does. */
export const ownIconOf = ({ glyph }: Pick<NetworkKind, "glyph">): string | null =>
  isOwnIcon(glyph) ? glyph.slice(own.length) : null;

const slot = "{handle}";

const around = ({ pattern }: NetworkKind): readonly [before: string, after: string] => {
  const at = pattern.indexOf(slot);
  return at < 0 ? [pattern, ""] : [pattern.slice(0, at), pattern.slice(at + slot.length)];
};

/** An address without its scheme, a leading `www.` and its case, for comparing. */
const bare = (address: string): string =>
  address
    .replace(/^https?:\/\//i, "")
    .replace(/^www\./i, "")
    .toLowerCase();

/** The page of a handle, which may be typed with an @ before it; null when there is none or it has spaces in it. */
export function networkAddress(kind: NetworkKind, handle: string): string | null {
  const [before, after] = around(kind);
  const plain = handle
    .trim()
    .replace(before.endsWith("@") ? /^@+/ : /^@(?=[^@]+$)/, "")
    .replace(/^\/+|\/+$/g, "");
  if (plain === "" || /[\s?#<>"{}]/.test(plain)) return null;
  const escaped = plain
    .split("/")
    .map((part) => encodeURIComponent(part.toWellFormed()).replaceAll("%40", "@").replaceAll("%25", "%"))
    .join("/");
  return before + escaped + after;
}

/** The kind and the handle that an address names; mended first, so that a doubled beginning does not matter. */
export function splitNetworkAddress(kinds: readonly NetworkKind[], address: string): NetworkPage | null {
  const web = mendWeb(address)?.text;
  if (!web) return null;
  const plain = web.replace(/^https?:\/\//i, "").replace(/^www\./i, "");
  for (const kind of kinds) {
    const [before, after] = around(kind);
    const begin = bare(before);
    if (!plain.toLowerCase().startsWith(begin)) continue;
    const rest = plain.slice(begin.length).replace(/[?#].*$/, "");
    if (after && !rest.endsWith(after)) continue;
    const handle = rest.slice(0, rest.length - after.length).replace(/\/+$/, "");
    if (handle) return { kind, handle };
  }
  return null;
}

/**
 * What is typed for an icon of a kind: a handle, or the whole address of a page, also with its beginning twice. Null
 * when it is neither. A page of another kind comes back as that kind's.
 */
export function readNetworkPage(
  kinds: readonly NetworkKind[],
  kind: NetworkKind | null,
  typed: string,
): (NetworkPage & { readonly href: string }) | null {
  const page =
    splitNetworkAddress(kinds, typed) ??
    (kind && !/[:\s]/.test(typed.trim()) ? { kind, handle: typed } : null);
  const href = page && networkAddress(page.kind, page.handle);
  return page && href
    ? { kind: page.kind, handle: page.handle.trim().replace(/^@(?=[^@]+$)/, ""), href }
    : null;
}
