/** What a web page says of itself, read without running anything in it. */
import { parse, type DefaultTreeAdapterMap } from "parse5";
import type { Fetched } from "./fetch-bounded";

type Element = DefaultTreeAdapterMap["element"];

/** Elements of a parsed page, in order. */
function* elements(node: DefaultTreeAdapterMap["parentNode"]): Generator<Element> {
  for (const child of node.childNodes)
    if ("tagName" in child) {
      yield child;
      yield* elements(child);
    }
}

const attribute = ({ attrs }: Element, name: string): string | undefined =>
  attrs.find((candidate) => candidate.name === name)?.value;

export interface Page {
  /** Whether it asks for a password. */
  readonly signIn: boolean;
  /** The picture that it is about: what it names for previews, or the only one it shows. */
  readonly picture: string | null;
}

export function readPage({ bytes, address }: Pick<Fetched, "bytes" | "address">): Page {
  const shown: string[] = [];
  let named: string | undefined;
  let signIn = false;
  for (const element of elements(parse(new TextDecoder().decode(bytes)))) {
    if (element.tagName === "input" && attribute(element, "type") === "password") signIn = true;
    if (element.tagName === "img") shown.push(attribute(element, "src") ?? "");
    if (element.tagName === "meta" && attribute(element, "property") === "og:image")
      named ??= attribute(element, "content");
  }
  const found = named ?? (shown.length === 1 ? shown[0] : undefined);
  return { signIn, picture: found && URL.canParse(found, address) ? new URL(found, address).href : null };
}
