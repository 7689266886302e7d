/**
 * What a kind of mail client shows of a message's HTML: pure transforms, one after the other, and the list of what they
 * changed. The answer is a fragment for a message's body, in which nothing can run.
 */
import { writeParts } from "../html";
import type { Change } from "./changes";
import { factsOf } from "./facts/kind-facts";
import type { Account } from "./facts/limits";
import { copyMessage, readMessage, type OwnMessage, type ReadMessage } from "./message";
import type { Mode, StandIn, StandInId } from "./stand-in";
import { standIns } from "./stand-ins";
import { bodyToDiv } from "./transforms/body-to-div";
import { darken } from "./transforms/darken";
import { filterElements } from "./transforms/filter-elements";
import { filterStyleSheets } from "./transforms/filter-style-sheet";
import { linkByItself } from "./transforms/link-by-itself";
import { hasConditionalComments, openConditionalComments } from "./transforms/open-conditional-comments";
import { ownBehaviours } from "./transforms/own-behaviours";
import { quote } from "./transforms/quote";

/** How a message is drawn, whatever the mode. */
export interface Drawing {
  /** How often the message is quoted, in an answer and in answers to it. */
  readonly quoted?: number;
  /** Whose account it came in: one of the provider that makes the client, or another's. */
  readonly account?: Account;
  /** How much larger the display draws text than at 96 dpi. */
  readonly scale?: number;
}

export interface ReceiveOptions extends Drawing {
  readonly mode?: Mode;
}

export interface Received {
  readonly html: string;
  readonly changes: readonly Change[];
}

/** HTML that has been read, for any number of kinds and modes. */
export interface Message {
  readonly read: ReadMessage;
  /** As document engines read it: with what their conditional comments hold. */
  readonly opened: ReadMessage;
}

/** Reads any HTML once; `marked` gives every part of it a name that its drawings keep. Never throws. */
export function messageOf(html: string, marked = false): Message {
  const read = readMessage(html, marked);
  const differs = hasConditionalComments(html);
  return { read, opened: differs ? readMessage(openConditionalComments(html), marked) : read };
}

/** A kind's own copy of a message with all but what dark mode and quoting do. */
function filtered(
  source: ReadMessage,
  changes: Change[],
  client: StandInId,
  mode: Mode,
  options: Drawing,
): OwnMessage {
  const { account = "own", scale = 1 } = options;
  const standIn = standIns[client];
  const facts = factsOf(client, account);
  const message = copyMessage(source, changes);
  filterStyleSheets(message, facts, mode);
  filterElements(message, facts);
  bodyToDiv(message, client);
  for (const behaviour of standIn.behaviours) ownBehaviours[behaviour](message, facts, { scale });
  linkByItself(message, standIn.ownLinks, standIn.linkColor.light);
  return message;
}

function shown(
  message: OwnMessage,
  changes: readonly Change[],
  standIn: StandIn,
  mode: Mode,
  quoted: number,
): Received {
  const { body, reportAt } = message;
  if (mode === "dark") darken(body, standIn, reportAt(body));
  if (quoted > 0) quote(body, standIn.quote, quoted);
  return { html: writeParts(body), changes: [...changes] };
}

/**
 * The HTML that a stand-in shows, with its changes in the order in which they are made. Takes HTML, or a message that has
 * been read, which it leaves as it is. Never throws for any HTML.
 */
export function received(html: string | Message, client: StandInId, options: ReceiveOptions = {}): Received {
  const { mode = "light", quoted = 0 } = options;
  const source = sourceFor(html, client);
  const changes: Change[] = [...source.changes];
  return shown(filtered(source, changes, client, mode, options), changes, standIns[client], mode, quoted);
}

/** What a stand-in shows by light and in the dark: the same as `received` gives for each, for less work. */
export function receivedInModes(
  html: string | Message,
  client: StandInId,
  options: Drawing = {},
): Readonly<Record<Mode, Received>> {
  const source = sourceFor(html, client);
  const standIn = standIns[client];
  // A style sheet may ask for the mode, and what is quoted is darkened before.
  if (source.has.names.has("<style>") || options.quoted)
    return {
      light: received(html, client, { ...options, mode: "light" }),
      dark: received(html, client, { ...options, mode: "dark" }),
    };
  const changes: Change[] = [...source.changes];
  const message = filtered(source, changes, client, "light", options);
  const light = shown(message, changes, standIn, "light", 0);
  return { light, dark: standIn.darkMode === "none" ? light : shown(message, changes, standIn, "dark", 0) };
}

const sourceFor = (html: string | Message, client: StandInId): ReadMessage => {
  const { read, opened } = typeof html === "string" ? messageOf(html) : html;
  return client === "desktop-document" ? opened : read;
};

/** One proof: a kind of client in a mode, with an account of one sort. */
export interface ProofKey {
  readonly client: StandInId;
  readonly mode: Mode;
  readonly account: Account;
}

export interface Proof extends ProofKey, Received {}

/** Those proofs of some HTML, in the order in which they are asked for, of one reading. Never throws. */
export function proofsFor(html: string, keys: readonly ProofKey[]): readonly Proof[] {
  const message = messageOf(html);
  return keys.map((key) => ({ ...key, ...received(message, key.client, key) }));
}

/** Whether a signature's HTML is longer than a stand-in's settings take; in characters. */
export function signatureOverrun(html: string, client: StandInId): number {
  const limit = standIns[client].signatureLimit;
  return limit === null ? 0 : Math.max(0, html.length - limit);
}
