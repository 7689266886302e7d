/** Where a letter leads and what it loads: its links and pictures as they were received, each address once. */
import { attributeOf, isElement, isText, nodesIn, parseMessage, walkElements, type Element } from "../html";

interface Destination {
  readonly kind: "link" | "picture";
  /** The words or the alternative of the picture in a link; the alternative of a picture. Empty where there is none. */
  readonly says: string;
  readonly address: string;
}

const plain = (text: string): string => text.replace(/[\s\u00a0]+/g, " ").trim();

const wordsIn = (element: Element): string =>
  plain(
    nodesIn(element)
      .map((node) =>
        isText(node)
          ? node.value
          : isElement(node) && node.tagName === "img"
            ? (attributeOf(node, "alt") ?? "")
            : "",
      )
      .join(" "),
  );

/** At most `most`, in the order of the HTML. Attached pictures (RFC 2392) are none: they are loaded from nowhere. Never throws. */
export function destinationsIn(html: string, most = 200): readonly Destination[] {
  const found = new Map<string, Destination>();
  walkElements(parseMessage(html).body, (element) => {
    const kind = element.tagName === "a" ? "link" : element.tagName === "img" ? "picture" : null;
    if (!kind || found.size >= most) return;
    const address = (attributeOf(element, kind === "link" ? "href" : "src") ?? "").trim();
    if (address === "" || /^(cid|data|#)/i.test(address) || found.has(`${kind} ${address}`)) return;
    const says = kind === "link" ? wordsIn(element) : plain(attributeOf(element, "alt") ?? "");
    found.set(`${kind} ${address}`, { kind, says, address });
  });
  return [...found.values()];
}
