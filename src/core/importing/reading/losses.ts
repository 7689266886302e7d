/** What is left out of a message, told with every text, link and picture in it, so that nothing is lost unsaid. */
import { wordTable, append } from "../../values";
import { attributeOf, isElement, isText, walkLeaves, type Element } from "../../html";
import type { Reporter } from "../report";
import { asRead, leadingTo } from "../style/cascade";
import type { Look } from "../style/look";
import { isBlankLine, type Part } from "./parts";

/** What no client shows, and no signature holds. */
export const left: ReadonlySet<string> = new Set(
  (
    "script noscript style title base meta link iframe frame frameset object embed applet template svg math audio video " +
    "source track canvas dialog portal select datalist xml"
  ).split(" "),
);
/** What asks something of the reader: its words stay. */
export const asking: ReadonlySet<string> = new Set([
  "form",
  "button",
  "label",
  "fieldset",
  "legend",
  "output",
  "textarea",
  "option",
]);

const leftReasons = wordTable<string>({
  style: "",
  title: "",
  meta: "",
  link: "a mail brings no style sheets along",
  xml: "only one program reads it",
  svg: "mail clients draw no vector pictures: save it as a picture and place that",
  math: "mail clients draw none",
});

/** The words of a text as they are read. */
export const wordsOf = (text: string): string => text.replace(/[\s\u00a0]+/g, " ").trim();

/** Where the parts of a message lead. */
function linksIn(parts: readonly Part[]): ReadonlySet<string> {
  const found = new Set<string>();
  const waiting: Part[] = [...parts];
  const take = (look: Look): void => {
    if (look.link !== null) found.add(look.link);
  };
  for (let part = waiting.pop(); part; part = waiting.pop()) {
    // A line of spaces is a gap, whatever its spaces lead to.
    if (part.kind === "line" && !isBlankLine(part.inlines)) for (const { look } of part.inlines) take(look);
    else if (part.kind === "icons") for (const { look } of part.icons) take(look);
    else if (part.kind === "picture") take(part.look);
    else if (part.kind === "button") found.add(part.link);
    else if (part.kind === "table") for (const cell of part.cells) append(waiting, cell.parts);
  }
  return found;
}

/** Tells what is left out of one message. */
export class Losses {
  private readonly lostLinks = new Set<string>();

  constructor(private readonly reporter: Reporter) {}

  /** An element that no client shows, with what is in it. */
  lose(element: Element): void {
    const { tagName } = element;
    const reason = leftReasons[tagName] ?? "no mail client shows it";
    if (reason === "") return;
    const { say } = this.reporter;
    say(element, "lost", "running", `<${tagName}>`, reason);
    this.loseWords(element, reason);
  }

  /** Names every text, link and picture in what is left out. */
  loseWords(element: Element, reason: string): void {
    const { say } = this.reporter;
    walkLeaves(element, (node, parent) => {
      const code = parent.nodeName === "script" || parent.nodeName === "style";
      if (isText(node) && !code && wordsOf(node.value) !== "")
        say(element, "lost", "text", wordsOf(node.value), reason);
    });
    const waiting: Element[] = [element];
    for (let one = waiting.pop(); one; one = waiting.pop()) {
      const leads = one.tagName === "a" || one.tagName === "area" ? attributeOf(one, "href") : null;
      const href = leads ? asRead(leads) : null;
      if (href !== null) {
        this.lostLinks.add(href);
        say(one, "lost", "link", href, reason);
      }
      const source = one.tagName === "img" ? attributeOf(one, "src") : null;
      if (source) say(one, "lost", "picture", source, reason);
      append(waiting, one.childNodes.filter(isElement));
    }
  }

  /** Links that nothing leads by: around nothing, within another, of a picture map without a picture, or running something. */
  loseLinks(body: Element, parts: readonly Part[]): void {
    const held = linksIn(parts);
    const waiting: Element[] = [body];
    for (let one = waiting.pop(); one; one = waiting.pop()) {
      const written = one.tagName === "a" || one.tagName === "area" ? attributeOf(one, "href") : null;
      const href = written ? asRead(written) : null;
      if (href && !held.has(href) && !this.lostLinks.has(href)) {
        this.lostLinks.add(href);
        const reason =
          leadingTo(written) === null
            ? "it leads nowhere outside its own page, or runs something"
            : "there is nothing in it to click on";
        this.reporter.say(one, "lost", "link", href, reason);
      }
      append(waiting, one.childNodes.filter(isElement));
    }
  }
}
