/**
 * What a kind of mail client shows of a message's HTML: a pure transform and the list of what it changed.
 * The answer is a fragment for a message's body, in which nothing can run.
 */
import {
  append,
  createElement,
  parseMessage,
  placeInMessage,
  writeParts,
  type Element,
  type Message,
} from "../html";
import type { Change, Report } from "./changes";
import { standIns, type StandInId } from "./stand-ins";
import { toDesktopDocument } from "./transforms/desktop-document";
import { dropWhatRuns } from "./transforms/drop-what-runs";
import { mirrorColors } from "./transforms/mirror-colors";
import { toWebmailInline } from "./transforms/webmail-inline";

export interface ReceiveOptions {
  readonly mode?: "light" | "dark";
  /** Whether the message is shown quoted in an answer. */
  readonly reply?: boolean;
}

export interface Received {
  readonly html: string;
  readonly changes: readonly Change[];
}

const transforms: Readonly<
  Record<StandInId, (message: Message, reportAt: (element: Element) => Report) => void>
> = {
  "webmail-inline": toWebmailInline,
  "desktop-document": toDesktopDocument,
};

/** Puts everything in the body into one new element. */
function wrap(body: Element, name: string, style: string): void {
  const wrapper = createElement(name, { style });
  for (const child of [...body.childNodes]) {
    child.parentNode = null;
    append(wrapper, child);
  }
  body.childNodes = [];
  append(body, wrapper);
}

/** The HTML that a stand-in shows, with its changes in document order. Never throws for any HTML. */
export function received(html: string, client: StandInId, options: ReceiveOptions = {}): Received {
  const changes: Change[] = [];
  const message = parseMessage(html);
  const reportAt =
    (element: Element): Report =>
    (code, what, reason) => {
      changes.push({ code, at: placeInMessage(element), what, reason });
    };
  dropWhatRuns(message.body, reportAt);
  transforms[client](message, reportAt);
  if (options.reply)
    wrap(message.body, "blockquote", "margin:0 0 0 8px;border-left:1px solid #CCCCCC;padding:0 0 0 12px");
  if (options.mode === "dark" && standIns[client].darkMode === "full") {
    wrap(message.body, "div", "background-color:#FFFFFF;color:#000000");
    mirrorColors(message.body, reportAt(message.body));
  }
  return { html: writeParts(message.body), changes };
}

/** What one of several stand-ins shows. */
export interface Proof extends Received {
  readonly client: StandInId;
}

/** The HTML that each of the stand-ins shows, in the order in which they are given. Never throws for any HTML. */
export const receivedByEach = (html: string, clients: readonly StandInId[]): readonly Proof[] =>
  clients.map((client) => ({ client, ...received(html, client) }));

/** Whether a signature's HTML is longer than a stand-in's settings take; in characters. */
export function signatureOverrun(html: string, client: StandInId): number {
  const limit = standIns[client].signatureLimit;
  return limit === null ? 0 : Math.max(0, html.length - limit);
}
