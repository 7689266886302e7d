/** Every destination of a document for a person, in reading order: where it is used and what leads there. */
import { append } from "../../values";
import type { Node } from "prosemirror-model";
import { detectLinks } from "../../links";
import { fieldLink, type Person } from "../../people";
import { hrefOf } from "./href-of";
import { fieldText, personField } from "../kinds/person-field";
import { image } from "../kinds/picture";
import { settingsOf, type Settings } from "../settings";
import { isHiddenFrom } from "../shown-for";

export type LinkUse = "text" | "field" | "picture" | "icon" | "button";

export interface PlacedLink {
  /** Where it begins in the document, and where it ends. */
  readonly position: number;
  readonly end: number;
  readonly use: LinkUse;
  readonly href: string;
  /** The text or the alt text that leads there. */
  readonly text: string;
  /** The source of the picture that leads there, or null. */
  readonly source: string | null;
  /** Set where it was made by hand; others follow from what is written, or from the person's details. */
  readonly byHand: boolean;
}

/** What a field shows, and where that leads. */
function fieldOf(
  node: Node,
  person: Person | null,
  { visitLink }: Settings,
): { text: string; href: string | null } {
  const { field } = personField.of(node);
  const text = fieldText(node, person);
  const link = text ? fieldLink(field, text, person?.callingCode) : null;
  return { text, href: link === "visit" ? visitLink : link };
}

/** Links of one node that no mark makes: its own, a field's, and those that clients find in text. */
function* ownLinks(
  node: Node,
  position: number,
  person: Person | null,
  settings: Settings,
): Generator<PlacedLink> {
  const end = position + node.nodeSize;
  if (node.type.name === "personField") {
    const { text, href } = fieldOf(node, person, settings);
    if (href) yield { position, end, use: "field", href, text, source: null, byHand: false };
  } else if (node.isText)
    for (const { start, end: last, href } of detectLinks(node.text ?? "")) {
      const target = href ?? settings.visitLink;
      const text = (node.text ?? "").slice(start, last);
      if (target)
        yield {
          position: position + start,
          end: position + last,
          use: "text",
          href: target,
          text,
          source: null,
          byHand: false,
        };
    }
}

/** What leads somewhere under a mark or by an attribute of its own. */
function madeLink(
  node: Node,
  parent: Node | null,
  position: number,
  person: Person | null,
  settings: Settings,
): PlacedLink | null {
  const href = hrefOf(node);
  if (href === null) return null;
  const placed = { position, end: position + node.nodeSize, href, byHand: true };
  switch (node.type.name) {
    case "picture":
    case "inlinePicture":
      return {
        ...placed,
        use: node.type.name === "picture" ? "picture" : "icon",
        text: image.of(node).alt,
        source: image.of(node).source,
      };
    case "button":
      return { ...placed, use: "button", text: textOf(node, person, settings), source: null };
    case "personField":
      return { ...placed, use: "text", text: fieldOf(node, person, settings).text, source: null };
    default:
      return {
        ...placed,
        use: parent?.type.name === "button" ? "button" : "text",
        text: node.text ?? "",
        source: null,
      };
  }
}

const textOf = (node: Node, person: Person | null, settings: Settings): string =>
  node.content.content
    .map((child) =>
      child.isText
        ? (child.text ?? "")
        : child.type.name === "personField"
          ? fieldOf(child, person, settings).text
          : "",
    )
    .join("");

/** Neighbouring text under one link is one entry. Without a person, fields lead where their fallbacks do. */
export function linksOf(document: Node, person: Person | null = null): readonly PlacedLink[] {
  const settings = settingsOf(document);
  const found: PlacedLink[] = [];
  document.descendants((node, position, parent) => {
    if (isHiddenFrom(node, person)) return false;
    const made = madeLink(node, parent, position, person, settings);
    const last = found.at(-1);
    if (!made) append(found, ownLinks(node, position, person, settings));
    else if (
      made.use === "text" &&
      last?.use === "text" &&
      last.byHand &&
      last.href === made.href &&
      last.end === position
    )
      found[found.length - 1] = { ...last, end: made.end, text: last.text + made.text };
    else found.push(made);
    return node.type.name !== "button";
  });
  return found;
}
