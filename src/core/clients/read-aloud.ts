/**
 * What a screen reader says of a signature, in order. Layout tables say nothing of themselves (`role="presentation"`,
 * WAI-ARIA 1.2), links are announced, and a picture without alt text is read out by its file name.
 */
import {
  attributeOf,
  isElement,
  isText,
  nodesIn,
  parseMessage,
  visitNodes,
  type ChildNode,
  type Element,
} from "../html";

export interface Utterance {
  readonly kind: "text" | "link" | "picture";
  readonly text: string;
  /** Set where there is nothing to say: a file name or an address is read out instead. */
  readonly unnamed: boolean;
}

const blocks = new Set(["table", "tbody", "tr", "td", "div", "p", "br", "ul", "li"]);

const fileName = (source: string): string =>
  source
    .replace(/[?#].*$/s, "")
    .split("/")
    .at(-1) ?? "";

/** What the inside of a link says: its text and its pictures' alt texts. */
const named = (link: Element): string =>
  nodesIn(link)
    .map((node) =>
      isText(node)
        ? node.value
        : isElement(node) && node.tagName === "img"
          ? ` ${attributeOf(node, "alt") ?? ""} `
          : "",
    )
    .join("");

const tidy = (text: string): string => text.replace(/[\s\u00a0]+/g, " ").trim();

function sayPicture(image: Element): Utterance | null {
  const alt = attributeOf(image, "alt");
  if (alt !== null && tidy(alt) === "") return null;
  return alt === null
    ? { kind: "picture", text: fileName(attributeOf(image, "src") ?? ""), unnamed: true }
    : { kind: "picture", text: tidy(alt), unnamed: false };
}

/** Reads compiled HTML for a body. Never throws. */
export function readAloud(html: string): readonly Utterance[] {
  const said: Utterance[] = [];
  let waiting = "";
  const finish = (): void => {
    const text = tidy(waiting);
    if (/[\p{L}\p{N}]/u.test(text)) said.push({ kind: "text", text, unnamed: false });
    waiting = "";
  };
  /** The link that is being read, all of which is said at once. */
  let within: Element | null = null;
  const enter = (node: ChildNode): void => {
    if (within) return;
    if (isText(node)) waiting += node.value;
    if (!isElement(node)) return;
    const href = node.tagName === "a" ? attributeOf(node, "href") : null;
    if (node.tagName === "img") {
      finish();
      const picture = sayPicture(node);
      if (picture) said.push(picture);
    } else if (href !== null) {
      finish();
      within = node;
      const text = tidy(named(node));
      said.push({ kind: "link", text: text || href, unnamed: text === "" });
    } else if (blocks.has(node.tagName)) finish();
  };
  const leave = (element: Element): void => {
    if (element === within) within = null;
    else if (!within && blocks.has(element.tagName)) finish();
  };
  visitNodes(parseMessage(html).body, { enter, leave });
  finish();
  return said;
}
