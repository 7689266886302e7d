/** Addresses built from what people write: mail (RFC 6068), phone (RFC 3966) and web. */

const mailPattern = /^[^\s@<>",;:()]+@[^\s@<>",;:()]+\.[^\s@<>",;:().]+$/;

/** `mailto:` with everything escaped that RFC 6068 section 2 asks for; null when it is no mail address. */
export function mailtoLink(address: string): string | null {
  const trimmed = address.trim();
  if (!mailPattern.test(trimmed)) return null;
  const at = trimmed.lastIndexOf("@");
  const escape = (part: string): string =>
    encodeURIComponent(part).replace(/%2B/g, "+").replace(/%26/g, "%26");
  return `mailto:${escape(trimmed.slice(0, at))}@${encodeURIComponent(trimmed.slice(at + 1))}`;
}

/**
 * `tel:` of a phone number, visual separators taken out (RFC 3966 section 5.1.1); an extension after "ext" or
 * "x" becomes `;ext=`. Null with fewer than 5 or more than 15 digits (ITU-T E.164), or other letters.
 */
export function telLink(number: string): string | null {
  const [main, extension] = number
    .trim()
    .toLowerCase()
    .split(/\s*(?:ext\.?|x)\s*/, 2) as [string, string?];
  const bare = main.replace(/\(0\)/, "").replace(/[\s().\-/\u00a0\u2011]/g, "");
  if (!/^\+?\d{5,15}$/.test(bare)) return null;
  if (extension === undefined) return `tel:${bare}`;
  return /^\d{1,8}$/.test(extension) ? `tel:${bare};ext=${extension}` : null;
}

const hostPattern =
  /^(?:[\p{L}\p{N}](?:[\p{L}\p{N}-]*[\p{L}\p{N}])?\.)+[\p{L}]{2,}(?::\d{1,5})?(?:[/?#]\S*)?$/u;

/** `https:` before a bare host, what already has a web scheme as it is; null when it is no web address. */
export function webLink(address: string): string | null {
  const trimmed = address.trim();
  const bare = trimmed.replace(/^https?:\/\//i, "");
  if (!hostPattern.test(bare)) return null;
  return bare === trimmed ? `https://${bare}` : trimmed;
}
