/** A message as every stand-in begins with it: read once, cleaned of what no client shows, its places named. */
import {
  copyTree,
  elementsIn,
  isText,
  parseMessage,
  placesIn,
  setAttribute,
  writeParts,
  type Element,
  type Message,
} from "../html";
import type { Change, Report } from "./changes";
import { longWordIn } from "./transforms/break-long-words";
import { dropWhatRuns } from "./transforms/drop-what-runs";
import { linksIn, textsOf } from "./transforms/link-by-itself";

/** What there is in a message at all: what works on something else has nothing to do. */
export interface Contents {
  /** Names of attributes, and of elements in angle brackets. */
  readonly names: ReadonlySet<string>;
  /** Whether a word is longer than some kinds leave whole. */
  readonly longWords: () => boolean;
  /** What stands outside links and some kinds would make links of. */
  readonly linkable: () => ReadonlySet<string>;
}

/** What is read from HTML once for all kinds and modes. Its trees are never changed. */
export interface ReadMessage extends Message {
  /** The body's elements, in document order. */
  readonly elements: readonly Element[];
  /** What was taken out because no client shows it. */
  readonly changes: readonly Change[];
  readonly placeOf: (element: Element) => string;
  readonly has: Contents;
}

/** One kind's own copy of a message, to be changed, and where its changes are told. */
export interface OwnMessage extends Message {
  readonly has: Contents;
  /** Visits the body's elements as they were copied, in document order. */
  readonly eachElement: (visit: (element: Element, report: Report) => void) => void;
  readonly reportAt: (element: Element) => Report;
}

const whole = "message";

/** Attributes that parts are found by in what a stand-in shows. */
export const partAttribute = "data-part";
export const wholeAttribute = "data-whole";
/** Cells with a border or a background of their own: lines, filled cells, buttons, dividers. */
export const boxAttribute = "data-box";

const setsBox = /(?:^|;)\s*(?:border(?:-(?:top|right|bottom|left))?|background(?:-color)?)\s*:/i;

const isBox = ({ tagName, attrs }: Element): boolean =>
  tagName === "td" &&
  attrs.some(({ name, value }) => name === "bgcolor" || (name === "style" && setsBox.test(value)));

/** Names the parts of a message: runs of text, pictures and boxes, and what holds all of them. */
function markParts(elements: readonly Element[]): void {
  elements.forEach((element, index) => {
    if (isBox(element)) setAttribute(element, boxAttribute, String(index));
    const holdsText = element.childNodes.some((node) => isText(node) && node.value.trim() !== "");
    if (element.tagName === "img" || (holdsText && element.tagName !== "style"))
      setAttribute(element, partAttribute, String(index));
  });
  const [outermost] = elements.filter(({ tagName }) => tagName === "table");
  if (outermost) setAttribute(outermost, wholeAttribute, "");
}

/** Reads any HTML as a browser would; `marked` gives every part of it a name that its drawings keep. Never throws. */
export function readMessage(html: string, marked = false): ReadMessage {
  const message = parseMessage(html);
  const changes: Change[] = [];
  // Before anything is taken out: siblings are counted.
  const places = placesIn(message.body);
  const placeOf = (element: Element): string => places.get(element) ?? whole;
  dropWhatRuns(message.body, (element) => (code, what, reason) => {
    changes.push({ code, at: placeOf(element), what, reason });
  });
  const elements = elementsIn(message.body);
  if (marked) markParts(elements);
  return { ...message, elements, changes, placeOf, has: contentsOf(message, elements) };
}

function contentsOf({ head, body }: Message, elements: readonly Element[]): Contents {
  const names = new Set<string>(elementsIn(head).map(({ tagName }) => `<${tagName}>`));
  for (const { tagName, attrs } of [body, ...elements]) {
    names.add(`<${tagName}>`);
    for (const { name } of attrs) names.add(name);
  }
  let longWords: boolean | null = null;
  let linkable: Set<string> | null = null;
  return {
    names,
    // Asked by some kinds only, and not by those that are drawn with each key.
    longWords: () => (longWords ??= textsOf(body).some(({ text }) => longWordIn(text.value) !== null)),
    linkable: () =>
      (linkable ??= new Set(
        textsOf(body).flatMap(({ text, inLink }) =>
          inLink ? [] : linksIn(text.value).map(({ kind }) => kind),
        ),
      )),
  };
}

/** The message as it was designed: nothing but what cannot run is taken out of it. */
export const designOf = ({ body }: ReadMessage): string => writeParts(body);

/** A copy for one kind, which tells its changes in the order in which they are made. */
export function copyMessage(read: ReadMessage, changes: Change[]): OwnMessage {
  const elements: Element[] = [];
  const head = copyTree(read.head);
  const body = copyTree(read.body, (copy) => elements.push(copy));
  /** Of copies: which original each was made of. */
  let originals: ReadonlyMap<Element, Element | undefined> | null = null;
  const say = (original: Element | undefined, ...[code, what, reason]: Parameters<Report>): void => {
    changes.push({ code, at: original ? read.placeOf(original) : whole, what, reason });
  };
  return {
    head,
    body,
    has: read.has,
    eachElement: (visit) => {
      let at = 0;
      const report: Report = (...change) => say(read.elements[at], ...change);
      for (; at < elements.length; at++) visit(elements[at] as Element, report);
    },
    reportAt:
      (element) =>
      (...change) => {
        if (element !== body)
          originals ??= new Map(elements.map((copy, index) => [copy, read.elements[index]]));
        say(originals?.get(element), ...change);
      },
  };
}
