/**
 * What a person has set in one client of the Mailroom: signatures with names, and for each own address which of them goes
 * under what. A signature that is gone is chosen nowhere.
 */
import { choice, flag, list, nameOf, object, optional, text, type TypeOf } from "../values";
import type { DeskClient } from "./desk-clients";

const id = text(200);

/** Which of an address's letters have which signature; null for none. */
export const signatureChoice = object({
  address: text(320),
  underNew: optional(id),
  /** Under answers and what is handed on. */
  underAnswers: optional(id),
  /** Above or below what an answer quotes. */
  place: choice("above", "below"),
  /** Whether the delimiter line stands before it. */
  delimiter: flag,
});
export type SignatureChoice = TypeOf<typeof signatureChoice>;

/** The longest HTML of one signature; characters. A picture in it counts with its bytes. */
const longestDeskSignature = 1_000_000;

export const deskSignature = object({
  id,
  name: nameOf("A signature's name", 80, "A signature needs a name."),
  html: text(longestDeskSignature),
});
export type DeskSignature = TypeOf<typeof deskSignature>;

export const deskSettings = object({
  /** None where the client holds files: those are its signatures. */
  signatures: list(deskSignature, { most: 40, what: "signatures" }),
  choices: list(signatureChoice, { most: 10, what: "addresses" }),
});
export type DeskSettings = TypeOf<typeof deskSettings>;

/** A signature as a client holds it and puts it under a letter. */
export interface HeldSignature {
  readonly id: string;
  readonly name: string;
  /** A fragment of a body; pictures that the client has itself are at `cid:` addresses (RFC 2392). */
  readonly html: string;
  /** Where in the client's files each of those lies, by its content id. */
  readonly pictures: Readonly<Record<string, string>>;
  /** What the client has to say against it. */
  readonly complaints: readonly string[];
}

/** What holds for an address for which nothing was chosen. */
const usualChoice = (client: DeskClient, address: string): SignatureChoice => ({
  address,
  underNew: null,
  underAnswers: null,
  place: client.usualPlace,
  delimiter: client.usualDelimiter,
});

/** One choice for each own address, in their order, with no signature that is not held. */
export function choicesFor(
  client: DeskClient,
  chosen: readonly SignatureChoice[],
  addresses: readonly string[],
  held: readonly Pick<HeldSignature, "id">[],
): readonly SignatureChoice[] {
  const there = (id: string | null): string | null => (held.some((each) => each.id === id) ? id : null);
  return addresses.map((address) => {
    const own = chosen.find((each) => each.address === address) ?? usualChoice(client, address);
    return { ...own, underNew: there(own.underNew), underAnswers: there(own.underAnswers) };
  });
}

/** A name that none of some others is: the name itself, or with the first number from 2 that is free. */
export function freeName(wanted: string, others: readonly string[]): string {
  const taken = new Set(others);
  let name = wanted;
  for (let number = 2; taken.has(name); number += 1) name = `${wanted} ${number}`;
  return name;
}
