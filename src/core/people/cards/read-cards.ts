/**
 * Contact cards as they come from address books (vCard 3.0, RFC 2426, and 4.0, RFC 6350; read by ical.js), as people of a list. A card
 * that cannot be read is told with the line on which it begins, counted from 1, and does not take others with it.
 */
import ICAL from "ical.js";
import { mostPeople, type Details } from "../change-person";
import { fieldId, isPictureField, type FieldId } from "../fields";
import type { BrokenLine } from "../sheet/read-sheet";
import type { ListedPerson } from "../sheet/plan-import";
import { ownParameter, ownProperty } from "./build-card";
import { photoIn, type CardParameters, type CardProperty, type PhotoInCard } from "./card-photo";

/** Somebody of a card. */
export interface CardPerson extends ListedPerson {
  readonly photo: PhotoInCard;
}

export interface ReadCards {
  readonly listed: readonly CardPerson[];
  readonly broken: readonly BrokenLine[];
  /** Whether there was more than is read. */
  readonly cut: boolean;
}

/** UTF-16 units; portraits are within cards. */
const longestCard = 4_000_000;

export const holdsCards = (text: string): boolean => /^\uFEFF?\s*BEGIN:VCARD/i.test(text);

const typesOf = ({ type = [] }: CardParameters): readonly string[] =>
  [type].flat().flatMap((each) => each.toLowerCase().split(","));

/** A text of a property that the package does not know, and leaves escaped. */
const unescaped = (text: string): string =>
  text.replace(/\\([\s\S])/g, (_whole, letter: string) => (letter === "n" || letter === "N" ? "\n" : letter));

const partsOf = ([, , , value]: CardProperty): readonly string[] => [value ?? ""].flat().map(String);
const textOf = (property: CardProperty): string => partsOf(property).join(" ").trim();

/** A number as it is written: without the scheme, its extension as people write it. */
const numberOf = (property: CardProperty): string =>
  textOf(property)
    .replace(/^tel:/i, "")
    .replace(/;ext=(\d+).*$/i, " ext. $1")
    .replace(/;phone-context=.*$/i, "");

const isCell = ([, parameters]: CardProperty): boolean => typesOf(parameters).includes("cell");
const isFax = ([, parameters]: CardProperty): boolean =>
  ["fax", "pager", "modem"].some((type) => typesOf(parameters).includes(type));

/** The one that is preferred, else the first. */
function best(properties: readonly CardProperty[]): CardProperty | undefined {
  const rank = ([, parameters]: CardProperty): number =>
    typesOf(parameters).includes("pref") ? 1 : Number(parameters.pref ?? 100);
  return properties.reduce<CardProperty | undefined>(
    (chosen, each) => (chosen === undefined || rank(each) < rank(chosen) ? each : chosen),
    undefined,
  );
}

function nameIn(all: (name: string) => readonly CardProperty[]): string {
  const [full] = all("fn");
  if (full && textOf(full) !== "") return textOf(full);
  const [family = "", given = ""] = all("n").flatMap(partsOf);
  return [given, family].filter(Boolean).join(" ").trim();
}

function detailsIn(properties: readonly CardProperty[]): Details {
  const all = (name: string): readonly CardProperty[] => properties.filter(([each]) => each === name);
  const numbers = all("tel").filter((each) => !isFax(each));
  const said = (property: CardProperty | undefined): string => (property ? textOf(property) : "");
  const [organisation = "", ...within] = all("org").slice(0, 1).flatMap(partsOf);
  const own = all(ownProperty.toLowerCase()).flatMap(([, parameters, , value]) => {
    const field = String(parameters[ownParameter.toLowerCase()] ?? "");
    return fieldId.check(field) === null && !isPictureField(field as FieldId)
      ? [[field, unescaped(String(value ?? ""))] as const]
      : [];
  });
  const [phone, mobile] = [best(numbers.filter((each) => !isCell(each))), best(numbers.filter(isCell))];
  const found: Partial<Record<FieldId, string>> = {
    name: nameIn(all),
    pronouns: unescaped(said(all("pronouns")[0])),
    title: said(best(all("title"))) || said(best(all("role"))),
    department: within.filter(Boolean).join(", "),
    phone: phone ? numberOf(phone) : "",
    mobile: mobile ? numberOf(mobile) : "",
    mail: said(best(all("email"))).replace(/^mailto:/i, ""),
    web: said(best(all("url"))),
    address: all("adr")
      .slice(0, 1)
      .flatMap(partsOf)
      .map((part) => part.trim().replace(/\s*\n\s*/g, ", "))
      .filter(Boolean)
      .join(", "),
    organisation,
    ...Object.fromEntries(own),
  };
  // What a card does not say is not said to be empty.
  return Object.fromEntries(
    (Object.entries(found) as [FieldId, string][])
      .map(([field, value]) => [field, value.replace(/\s*\n\s*/g, " ").trim()] as const)
      .filter(([, value]) => value !== ""),
  );
}

interface Card {
  readonly line: number;
  readonly text: string;
  readonly closed: boolean;
}

/** The cards of a text, each from its first line to its last; one that is not closed ends where the next begins. */
function* cardsIn(text: string): Generator<Card> {
  let held: string[] | null = null;
  let begun = 0;
  let number = 0;
  for (const line of text.split(/\r\n|\r|\n/)) {
    number += 1;
    const said = line.trim().toUpperCase();
    if (said === "BEGIN:VCARD") {
      if (held) yield { line: begun, text: held.join("\n"), closed: false };
      held = [];
      begun = number;
    }
    held?.push(line);
    if (said === "END:VCARD" && held) {
      yield { line: begun, text: held.join("\n"), closed: true };
      held = null;
    }
  }
  if (held) yield { line: begun, text: held.join("\n"), closed: false };
}

/** Throws an Error that says what is wrong with a card. */
function readCard(card: Card): Pick<CardPerson, "details" | "photo"> {
  if (!card.closed) throw new RangeError("The card is not closed: END:VCARD is missing.");
  if (card.text.length > longestCard) throw new RangeError("The card is larger than 4 MB.");
  if (/^VERSION:2\.1\s*$/im.test(card.text))
    throw new RangeError("The card is of version 2.1, which is not read: write it as 3.0 or 4.0.");
  const [, properties] = ICAL.parse(card.text) as unknown as [string, CardProperty[]];
  return {
    details: detailsIn(properties),
    photo: photoIn(best(properties.filter(([name]) => name === "photo"))),
  };
}

function toldOf(error: unknown): string {
  if (error instanceof RangeError) return error.message;
  const said = /["']([^"']*)["'][^"']*$/.exec(String((error as Error).message));
  const what = (said?.[1] ?? "").slice(0, 60);
  return what === "" ? "It is not a contact card." : `“${what}” is no line of a contact card.`;
}

/** Never throws. */
export function readCards(given: string): ReadCards {
  const listed: CardPerson[] = [];
  const broken: BrokenLine[] = [];
  for (const card of cardsIn(given.replace(/^\uFEFF/, ""))) {
    if (listed.length + broken.length >= mostPeople) return { listed, broken, cut: true };
    try {
      listed.push({ line: card.line, text: card.text, ...readCard(card) });
    } catch (error) {
      broken.push({ line: card.line, text: card.text, reason: toldOf(error) });
    }
  }
  return { listed, broken, cut: false };
}
