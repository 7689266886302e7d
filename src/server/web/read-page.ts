/** What a web page says of itself, read without running anything in it. */
import { attributeOf, elementsIn, parsePage } from "@/core/html";
import type { Fetched } from "./fetch-bounded";

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
  for (const element of elementsIn(parsePage(new TextDecoder().decode(bytes)))) {
    if (element.tagName === "input" && attributeOf(element, "type") === "password") signIn = true;
    if (element.tagName === "img") shown.push(attributeOf(element, "src") ?? "");
    if (element.tagName === "meta" && attributeOf(element, "property") === "og:image")
      named ??= attributeOf(element, "content") ?? undefined;
  }
  const found = named ?? (shown.length === 1 ? shown[0] : undefined);
  return { signIn, picture: found && URL.canParse(found, address) ? new URL(found, address).href : null };
}
