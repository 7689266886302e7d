/** Finding what will go wrong. Nothing is mended here. */
import type { Node } from "prosemirror-model";
import { isPrivateHost } from "../addresses";
import { commonWebmail, signatureOverrun } from "../clients";
import { compile } from "../compile";
import { describeLink, type NetworkKind } from "../links";
import type { Person } from "../people";
import { signatureBudget } from "../pictures";
import { font, image, outerTable, placeOf, settingsOf, tableMap, webSafeFont } from "../signature";
import { costliestParts } from "./costliest-parts";
import { checkPicture, type PictureFactsBySource } from "./check-picture";
import { checkColors } from "./check-colors";
import { checkLinks, type LinkAnswers } from "./check-links";
import type { Finding } from "./finding";
import type { Mend } from "./mend";
import { suggestAlt } from "./suggest-alt";
import { weightOf } from "./weight-of";

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

/** Pictures side by side in one line of text whose heights differ. */
function checkIcons(node: Node, at: string, position: number): Finding[] {
  const heights: number[] = [];
  node.forEach((child) => {
    if (image.is(child)) heights.push(image.of(child).height);
  });
  if (node.type.name !== "line" || new Set(heights).size < 2) return [];
  const onlyIcons = node.content.content.every(
    (child) => image.is(child) || (child.isText && (child.text ?? "").trim() === ""),
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

const missingFont = (family: string, at: string): Finding => ({
  code: "font-not-web-safe",
  severity: "attention",
  station: "build",
  at,
  message: `“${family}” is not on most machines: recipients will see Arial.`,
});

/** Fonts of single pieces of text that recipients do not have, each once a line. */
function checkFonts(node: Node, at: string): Finding[] {
  if (node.type.name !== "line") return [];
  const fonts = node.content.content.flatMap(({ marks }) =>
    marks.filter(font.is).map((mark) => font.of(mark).font),
  );
  return [...new Set(fonts)]
    .filter((family) => !webSafeFont(family))
    .map((family) => missingFont(family, at));
}

/** What another address mends. */
const aboutAddress: ReadonlySet<Finding["code"]> = new Set(["picture-moved", "picture-not-open"]);

/** What another alt text mends. */
const aboutAlt: ReadonlySet<Finding["code"]> = new Set(["picture-without-alt", "picture-alt-is-a-file-name"]);

/** What the finding of a code about the picture at a position is put right by; null where nothing is known. */
function mendOfPicture(
  document: Node,
  position: number,
  code: Finding["code"],
  options: CheckOptions,
): Mend | null {
  if (aboutAlt.has(code)) {
    const alt = suggestAlt(document, position, options);
    return alt ? { kind: "describe", label: `Say “${alt}”`, position, alt } : null;
  }
  if (!aboutAddress.has(code)) return null;
  const node = document.nodeAt(position);
  const better = node && options.pictures?.[image.of(node).source]?.trouble?.better;
  return better
    ? { kind: "show-from", label: `Show it from ${describeLink(better).shown}`, position, source: better }
    : null;
}

function checkNode(document: Node, node: Node, position: number, options: CheckOptions): Finding[] {
  const at = placeOf(document, position);
  const found = [...checkIcons(node, at, position), ...checkFonts(node, at)];
  if (!image.is(node)) return found;
  for (const finding of checkPicture(node, at, options.pictures)) {
    const mend = mendOfPicture(document, position, finding.code, options);
    found.push(mend ? { ...finding, mend } : finding);
  }
  return found;
}

function checkWhole(document: Node, options: CheckOptions): Finding[] {
  const found: Finding[] = [];
  const settings = settingsOf(document);
  const { width } = tableMap(outerTable(document));
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
  const over = signatureOverrun(html, commonWebmail);
  if (over > 0) {
    const parts = costliestParts(document, options)
      .slice(0, 3)
      .map((part) => `${part.at} (${part.characters.toLocaleString("en")})`);
    found.push({
      code: "signature-too-long",
      severity: "break",
      station: "install",
      at: "signature",
      message: `It has ${html.length.toLocaleString("en")} characters, and common webmail takes ${(html.length - over).toLocaleString("en")}. Most are in ${parts.join("; ")}.`,
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
  return [
    ...found,
    ...checkColors(document, options.person),
    ...checkLinks(document, options.person, options.answers),
  ];
}
