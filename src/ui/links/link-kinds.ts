/** What a link can lead to, what is asked for each, and the address that comes of it. */
import {
  buildMail,
  buildMap,
  buildPhone,
  describeLink,
  isMailAddress,
  isMapPattern,
  parseMail,
  parseMap,
  parsePhone,
  readLink,
  readPlace,
  type LinkReading,
} from "@/core/links";

export interface LinkDefaults {
  /** Whose signature it is, and what they are called. */
  readonly personId: string | null;
  readonly personName: string | null;
  /** The pattern of the user's map, and where the organisation is; empty where nothing is known. */
  readonly map: string;
  readonly address: string;
  /** Of numbers that are written without one; null where none is known. */
  readonly callingCode: string | null;
}

export type Kind = "address" | "letter" | "call" | "message" | "place" | "event" | "card" | "file";

export const kindNames: Readonly<Record<Kind, string>> = {
  address: "a page or any address",
  letter: "a letter to write",
  call: "a phone call",
  message: "a text message",
  place: "a place on a map",
  event: "an event for the calendar",
  card: "a contact card",
  file: "a file",
};

export function kindOf(href: string | null, map: string): Kind {
  if (!href) return "address";
  if (map && parseMap(map, href)) return "place";
  const { kind } = describeLink(href);
  const kinds: Partial<Record<typeof kind, Kind>> = {
    mail: "letter",
    phone: "call",
    "text message": "message",
  };
  return kinds[kind] ?? "address";
}

/** What each kind asks for, as it is typed. */
export interface Typed {
  address: string;
  to: string;
  subject: string;
  body: string;
  number: string;
  message: string;
  place: string;
  map: string;
  title: string;
  start: string;
  end: string;
  description: string;
  personId: string;
}

export function typedFrom(href: string | null, { map, address, personId }: LinkDefaults): Typed {
  const mail = href ? parseMail(href) : null;
  const phone = href ? parsePhone(href) : null;
  const where = href && map ? parseMap(map, href) : null;
  return {
    address: href ?? "",
    to: mail?.to.join(", ") ?? "",
    subject: mail?.subject ?? "",
    body: mail?.body ?? "",
    number: phone ? phone.number + (phone.extension && ` ext. ${phone.extension}`) : "",
    message: phone?.message ?? "",
    place: !where
      ? address
      : where.kind === "address"
        ? where.address
        : `${where.latitude}, ${where.longitude}`,
    map,
    title: "",
    start: "",
    end: "",
    description: "",
    personId: personId ?? "",
  };
}

const ok = (href: string | null, otherwise: string): LinkReading =>
  href === null ? { ok: false, message: otherwise } : { ok: true, href, changes: [], following: [] };

function readNumber(
  { number, message }: Typed,
  kind: "call" | "message",
  callingCode: string | null,
): LinkReading {
  const reading = readLink(number, { callingCode });
  if (!reading.ok) return reading;
  const phone = parsePhone(reading.href);
  if (!phone) return { ok: false, message: "This is no phone number." };
  if (kind === "call") return reading;
  const href = buildPhone({ ...phone, kind: "text-message", extension: "", message });
  return href === null ? { ok: false, message: "This is no phone number." } : { ...reading, href };
}

/** The address that what is typed comes to; events, cards and files are made by the server. */
export function read(kind: Kind, typed: Typed, callingCode: string | null): LinkReading {
  switch (kind) {
    case "letter": {
      const to = typed.to
        .split(/[,;]/)
        .map((address) => address.trim())
        .filter((address) => address);
      const wrong = to.find((address) => !isMailAddress(address));
      if (wrong) return { ok: false, message: `“${wrong}” is no mail address.` };
      return ok(
        buildMail({ to, cc: [], subject: typed.subject.trim(), body: typed.body }),
        "Say who it goes to.",
      );
    }
    case "call":
    case "message":
      return readNumber(typed, kind, callingCode);
    case "place":
      if (!isMapPattern(typed.map))
        return {
          ok: false,
          message: "Say how your map's addresses look, such as https://fenmap.example/?at={place}.",
        };
      return ok(buildMap(typed.map, readPlace(typed.place)), "Say which place.");
    default:
      return readLink(typed.address, { callingCode });
  }
}
