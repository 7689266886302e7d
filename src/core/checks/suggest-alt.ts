/** Alt text suggested from how a picture is used: what a recipient who does not see it has to know. */
import type { Node } from "prosemirror-model";
import { readPicturePath } from "../addresses";
import { describeLink, detectLinks, splitNetworkAddress, type NetworkKind } from "../links";
import { fieldLabel, type Person } from "../people";
import { hrefOf, image, personField } from "../signature";

export interface AltContext {
  readonly person: Person | null;
  readonly organisation?: string;
  readonly networks?: readonly NetworkKind[];
}

const words = (fileName: string): string =>
  fileName
    .replace(/\.[a-z]+$/, "")
    .replace(/[-_]+/g, " ")
    .trim();

const firstOf = (text: string, separator: string | RegExp): string => text.split(separator, 1).join("");

const capitalised = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What a link says of the picture that leads there. */
function bySaying(href: string, who: string, networks: readonly NetworkKind[]): string | null {
  const page = splitNetworkAddress(networks, href);
  if (page) return who ? `${who} on ${page.kind.name}` : page.kind.name;
  const { kind, shown, detail } = describeLink(href);
  if (kind === "mail")
    return detail ? `Write to ${shown} about ${firstOf(detail, ", ")}` : `Write to ${shown}`;
  if (kind === "phone") return `Call ${shown}`;
  if (kind === "text message") return `Text ${shown}`;
  return null;
}

/** Smaller than this, a picture is an icon, whoever it is named after; px. */
const smallestPortrait = 48;

/** What a small picture in a line stands before: the field, or what the link after it is. */
function labelOfNext(document: Node, position: number): string | null {
  const at = document.resolve(position);
  if (at.parent.type.name !== "line") return null;
  const next = at.parent.children
    .slice(at.index() + 1)
    .find((node) => personField.is(node) || (node.text ?? "").trim() !== "");
  if (!next) return null;
  if (personField.is(next)) return fieldLabel(personField.of(next).field);
  const href = hrefOf(next) ?? detectLinks(next.text ?? "")[0]?.href;
  const kind = href && describeLink(href).kind;
  return kind === "phone"
    ? fieldLabel("phone")
    : kind === "mail"
      ? fieldLabel("mail")
      : kind === "page"
        ? fieldLabel("web")
        : null;
}

/** About as high as wide and unlinked, or named after the person: a portrait. */
function isPortrait(node: Node, fileName: string, name: string): boolean {
  if (node.type.name !== "picture" || hrefOf(node)) return false;
  if (image.of(node).height < smallestPortrait) return false;
  const said = words(fileName).toLowerCase();
  if (/portrait|photo|headshot/.test(said)) return true;
  if (name && said.includes(firstOf(name, " ").toLowerCase())) return true;
  const { width, height } = image.of(node);
  return height >= 56 && height / width > 0.8 && height / width < 1.6 && !/logo|banner|icon|seal/.test(said);
}

/** Empty where nothing can be said of it. Throws a RangeError when no picture begins at the position. */
export function suggestAlt(document: Node, position: number, context: AltContext): string {
  const node = document.nodeAt(position);
  if (!node) throw new RangeError(`No picture at position ${position}`);
  const { person, organisation = person?.organisation ?? "", networks = [] } = context;
  const { source } = image.of(node);
  const fileName = readPicturePath(source)?.fileName ?? firstOf(source, /[?#]/).split("/").at(-1) ?? "";
  const href = hrefOf(node);
  const linked = href ? bySaying(href, organisation || (person?.name ?? ""), networks) : null;
  if (linked) return linked;
  const label = node.type.name === "inlinePicture" && !href ? labelOfNext(document, position) : null;
  if (label) return label;
  if (person?.name && isPortrait(node, fileName, person.name)) return `Portrait of ${person.name}`;
  if (/logo/i.test(fileName) && organisation) return organisation;
  if (href && node.type.name === "inlinePicture" && organisation) return `${organisation} on the web`;
  if (href) {
    const last = firstOf(describeLink(href).shown, /[?#]/)
      .split("/")
      .filter((part) => part)
      .slice(1)
      .at(-1);
    if (last) return capitalised(words(last));
  }
  const said = words(fileName);
  return /[a-z]{3}/i.test(said) ? capitalised(said) : "";
}
