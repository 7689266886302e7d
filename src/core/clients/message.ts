/** A message as every stand-in begins with it: read once, cleaned of what no client shows, its places named. */
import { copyTree, elementsIn, parseMessage, placeInMessage, type Element, type Message } from "../html";
import type { Change, Report } from "./changes";
import { dropWhatRuns } from "./transforms/drop-what-runs";

/** What is read from HTML once for all kinds and modes. Its trees are never changed. */
export interface ReadMessage extends Message {
  /** What was taken out because no client shows it. */
  readonly changes: readonly Change[];
  readonly placeOf: (element: Element) => string;
}

/** One kind's own copy of a message, to be changed, and where its changes are told. */
export interface OwnMessage extends Message {
  readonly reportAt: (element: Element) => Report;
}

const whole = "message";

/** Reads any HTML as a browser would. Never throws. */
export function readMessage(html: string): ReadMessage {
  const message = parseMessage(html);
  const changes: Change[] = [];
  const places = new WeakMap<Element, string>();
  for (const element of elementsIn(message.body)) places.set(element, placeInMessage(element));
  const placeOf = (element: Element): string => places.get(element) ?? whole;
  dropWhatRuns(message.body, (element) => (code, what, reason) => {
    changes.push({ code, at: placeOf(element), what, reason });
  });
  return { ...message, changes, placeOf };
}

/** A copy for one kind, which tells its changes in the order in which they are made. */
export function copyMessage(read: ReadMessage, changes: Change[]): OwnMessage {
  const originals = new Map<Element, Element>();
  const remember = (copy: Element, original: Element): void => void originals.set(copy, original);
  return {
    head: copyTree(read.head),
    body: copyTree(read.body, remember),
    reportAt: (element) => (code, what, reason) => {
      const original = originals.get(element);
      changes.push({ code, at: original ? read.placeOf(original) : whole, what, reason });
    },
  };
}
