/** Finding what will go wrong. Nothing is mended here. */
import type { Node } from "prosemirror-model";
import { compile } from "../compile";
import type { NetworkKind } from "../links";
import type { Person } from "../people";
import { signatureBudget } from "../pictures";
import {
  picturesOf,
  placeOf,
  tableMap,
  webSafeFont,
  type PictureAttributes,
  type Settings,
} from "../signature";
import { costliestParts } from "./costliest-parts";
import { checkPicture, type PictureFactsBySource } from "./check-picture";
import { checkLinks, type LinkAnswers } from "./check-links";
import type { Finding } from "./finding";
import { isPrivateHost } from "./private-host";
import { suggestAlt } from "./suggest-alt";

export interface CheckOptions {
  readonly person: Person | null;
  /** The public address of hosted pictures. */
  readonly base: string;
  /** What is known of the files of its pictures. */
  readonly pictures?: PictureFactsBySource;
  /** What answered at its web links. */
  readonly answers?: LinkAnswers;
  /** Who it speaks for, and the networks that it may lead to; for suggestions. */
  readonly organisation?: string;
  readonly networks?: readonly NetworkKind[];
}

/** Characters of HTML that common webmail takes in its signature settings. */
const lengthLimit = 10_000;

/** Pictures side by side in one line of text whose heights differ. */
function checkIcons(node: Node, at: string, position: number): Finding[] {
  const heights: number[] = [];
  node.forEach((child) => {
    if (child.type.name === "inlinePicture") heights.push((child.attrs as PictureAttributes).height);
  });
  if (node.type.name !== "line" || new Set(heights).size < 2) return [];
  const onlyIcons = node.content.content.every(
    (child) => child.type.name === "inlinePicture" || (child.isText && child.text!.trim() === ""),
  );
  return [
    {
      code: "icons-of-different-sizes",
      severity: "attention",
      station: "pictures",
      at,
      message: `The icons are ${heights.join(", ")} px high: an icon row draws them all at one size.`,
      ...(onlyIcons && { mend: { kind: "make-icon-row", label: "Make it an icon row", position } }),
    },
  ];
}

const missingFont = (font: string, at: string): Finding => ({
  code: "font-not-web-safe",
  severity: "attention",
  station: "build",
  at,
  message: `“${font}” is not on most machines: recipients will see Arial.`,
});

/** Fonts of single pieces of text that recipients do not have, each once a line. */
function checkFonts(node: Node, at: string): Finding[] {
  if (node.type.name !== "line") return [];
  const fonts = node.content.content.flatMap(({ marks }) =>
    marks.filter(({ type }) => type.name === "font").map((mark) => mark.attrs.font as string),
  );
  return [...new Set(fonts)].filter((font) => !webSafeFont(font)).map((font) => missingFont(font, at));
}

function checkNode(document: Node, node: Node, position: number, options: CheckOptions): Finding[] {
  const at = placeOf(document, position);
  const found = [...checkIcons(node, at, position), ...checkFonts(node, at)];
  if (node.type.name !== "picture" && node.type.name !== "inlinePicture") return found;
  for (const finding of checkPicture(node, at, options.pictures)) {
    const alt = finding.code === "picture-without-alt" ? suggestAlt(document, position, options) : "";
    found.push(
      alt ? { ...finding, mend: { kind: "describe", label: `Say “${alt}”`, position, alt } } : finding,
    );
  }
  return found;
}

/** Bytes of a signature's pictures whose files are known, each counted once. */
export function weightOf(document: Node, pictures: PictureFactsBySource): number {
  const sources = new Set(picturesOf(document).map(({ node }) => node.attrs.source as string));
  return [...sources].reduce((sum, source) => sum + (pictures[source]?.bytes ?? 0), 0);
}

function checkWhole(document: Node, options: CheckOptions): Finding[] {
  const found: Finding[] = [];
  const settings = document.attrs as Settings;
  const { width } = tableMap(document.firstChild!);
  if (!webSafeFont(settings.font)) found.push(missingFont(settings.font, "signature"));
  if (width > settings.maxWidth)
    found.push({
      code: "table-too-wide",
      severity: "attention",
      station: "build",
      at: "signature",
      message: `The table is ${width} px wide, and ${settings.maxWidth} px is the most it should be.`,
    });
  const html = compile(document, { destination: "webmail-paste", ...options });
  if (html.length > lengthLimit) {
    const parts = costliestParts(document, options)
      .slice(0, 3)
      .map((part) => `${part.at} (${part.characters.toLocaleString("en")})`);
    found.push({
      code: "signature-too-long",
      severity: "break",
      station: "install",
      at: "signature",
      message: `It has ${html.length.toLocaleString("en")} characters, and common webmail takes 10,000. Most are in ${parts.join("; ")}.`,
    });
  }
  if (compile(document, { destination: "plain-text", ...options }) === "" && !html.includes("<img"))
    found.push({
      code: "signature-empty",
      severity: "attention",
      station: "build",
      at: "signature",
      message: "There is nothing in it yet.",
    });
  if (html.includes(`${options.base.replace(/\/+$/, "")}/h/`) && isPrivateHost(options.base))
    found.push({
      code: "address-not-public",
      severity: "break",
      station: "install",
      at: "signature",
      message: `Pictures are at ${options.base}, which only this machine can reach: set the public address before you install.`,
    });
  const weight = weightOf(document, options.pictures ?? {});
  if (weight > signatureBudget)
    found.push({
      code: "pictures-too-heavy",
      severity: "attention",
      station: "pictures",
      at: "signature",
      message: `Its pictures weigh ${Math.round(weight / 1024)} KB, and ${signatureBudget / 1024} KB is the most they should.`,
    });
  return found;
}

/**
 * Everything that will go wrong with a signature for a person: what concerns the whole, then its parts in document
 * order, then its links in reading order.
 */
export function checkSignature(document: Node, options: CheckOptions): readonly Finding[] {
  const found = checkWhole(document, options);
  document.descendants((node, position) => {
    found.push(...checkNode(document, node, position, options));
  });
  return [...found, ...checkLinks(document, options.person, options.answers)];
}
