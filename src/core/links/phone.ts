/** Phone links: `tel:` (RFC 3966) and `sms:` (RFC 5724); numbers are read and written by `libphonenumber-js`. */
import { parsePhoneNumberFromString } from "libphonenumber-js/min";

export interface PhoneParts {
  readonly kind: "call" | "text-message";
  /** Digits, after a plus where the country's code is among them. */
  readonly number: string;
  /** Digits, or empty. */
  readonly extension: string;
  /** What a text message begins with; empty for a call. */
  readonly message: string;
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
  const bare = main.replace(/\(0\)/, "").replace(/[\s().\-/\u00a0\u2011\u2013]/g, "");
  if (!/^\+?\d{5,15}$/.test(bare)) return null;
  if (extension === undefined) return `tel:${bare}`;
  return /^\d{1,8}$/.test(extension) ? `tel:${bare};ext=${extension}` : null;
}

/**
 * A number as it is dialled from anywhere: "0044", "011 44" and "+44 (0)" become "+44", and a number that is written
 * without its country's code gets the one that is given, such as "44". What cannot be a number stays as it was.
 */
export function dialled(number: string, callingCode?: string | null): string {
  const international = number.trim().replace(/^(?:00[\s.-]*|011[\s.-]+)(?=[1-9])/, "+");
  const parsed = parsePhoneNumberFromString(international.replace("(0)", ""), {
    ...(callingCode && { defaultCallingCode: callingCode }),
    extract: false,
  });
  if (!parsed?.isPossible()) return international;
  return parsed.number + (parsed.ext ? ` ext. ${parsed.ext}` : "");
}

/** The calling code of a number that is written with it, such as "44"; null where there is none. */
export const callingCodeOf = (number: string): string | null =>
  parsePhoneNumberFromString(number.trim(), { extract: false })?.countryCallingCode ?? null;

/** A number as people write it: `+44 1632 960100`, with its extension after "ext."; what is none, as it is. */
export function shownNumber(number: string): string {
  const parsed = parsePhoneNumberFromString(number, { extract: false });
  return parsed?.isPossible() ? parsed.formatInternational() : number;
}

/** How phone numbers are written. */
export interface NumberForm {
  /** With the country's code, or as they are dialled within the country of `callingCode`. */
  readonly style: "international" | "national";
  /** Whether an extension is written behind a number. */
  readonly extension: boolean;
  /** That of numbers that are written without one, such as "44"; empty where it is not known. */
  readonly callingCode: string;
}

/**
 * A number as a form says; what cannot be a number stays as it was. Numbers of other countries are written with their code
 * in either form: without it they would dial somebody else.
 */
export function formatNumber(number: string, { style, extension, callingCode }: NumberForm): string {
  const parsed = parsePhoneNumberFromString(dialled(number, callingCode), { extract: false });
  if (!parsed?.isPossible()) return number;
  const written =
    style === "national" && parsed.countryCallingCode === callingCode
      ? parsed.format("NATIONAL", { formatExtension: (main) => main })
      : parsed.format("INTERNATIONAL", { formatExtension: (main) => main });
  return extension && parsed.ext ? `${written} ext. ${parsed.ext}` : written;
}

/** The address that dials or writes to a number; null when it is none. */
export function buildPhone({ kind, number, extension, message }: PhoneParts): string | null {
  if (!/^\+?\d{5,15}$/.test(number) || !/^\d{0,8}$/.test(extension)) return null;
  if (kind === "call") return `tel:${number}${extension ? `;ext=${extension}` : ""}`;
  return `sms:${number}${message ? `?body=${encodeURIComponent(message.toWellFormed())}` : ""}`;
}

/** The parts of a `tel:` or `sms:` address; null when it is none. */
export function parsePhone(href: string): PhoneParts | null {
  const found = /^(tel|sms):(\+?[\d().-]+)((?:;[^?#]*)?)(?:\?(.*))?$/i.exec(href);
  if (!found) return null;
  const [, scheme = "", written = "", parameters = "", query = ""] = found;
  const number = written.replace(/[().-]/g, "");
  if (!/^\+?\d{5,15}$/.test(number)) return null;
  const extension = /;ext=(\d{1,8})(?=;|$)/i.exec(parameters)?.[1] ?? "";
  if (scheme.toLowerCase() === "tel") return { kind: "call", number, extension, message: "" };
  const body = /(?:^|&)body=([^&]*)/i.exec(query)?.[1] ?? "";
  let message = body;
  try {
    message = decodeURIComponent(body);
  } catch {
    // Broken escapes are shown as they are.
  }
  return { kind: "text-message", number, extension: "", message };
}
