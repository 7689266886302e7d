/** Finding what will go wrong. Nothing is mended here. */
import type { Node } from "prosemirror-model";
import { compile } from "../compile";
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
import type { Finding } from "./finding";

export interface CheckOptions {
  readonly person: Person | null;
  /** The public address of hosted pictures. */
  readonly base: string;
  /** What is known of the files of its pictures. */
  readonly pictures?: PictureFactsBySource;
}

/** Characters of HTML that common webmail takes in its signature settings. */
const lengthLimit = 10_000;

/** Hosts that only this machine or this network can reach (RFC 1918, RFC 6761, RFC 4193). */
export function isPrivateHost(address: string): boolean {
  let host: string;
  try {
    host = new URL(address).hostname.toLowerCase();
  } catch {
    return true;
  }
  return (
    host === "localhost" ||
    host.endsWith(".localhost") ||
    host.endsWith(".local") ||
    !/[.:]/.test(host) ||
    /^(127|10|0)\.|^192\.168\.|^169\.254\.|^172\.(1[6-9]|2\d|3[01])\./.test(host) ||
    /^\[(::1?|f[cd].*|fe80.*)\]$/.test(host)
  );
}

function checkLink(href: string, at: string): Finding[] {
  if (/^https?:\/\/.*https?:\/\//i.test(href))
    return [
      {
        code: "link-doubled",
        severity: "break",
        station: "links",
        at,
        message: `“${href}” has its beginning twice, so it opens nothing.`,
      },
    ];
  if (/^https?:/i.test(href) && isPrivateHost(href))
    return [
      {
        code: "link-unreachable",
        severity: "break",
        station: "links",
        at,
        message: `“${href}” leads to a place that recipients cannot reach.`,
      },
    ];
  return [];
}

/** Pictures side by side in one line of text whose heights differ. */
function checkIcons(node: Node, at: string): Finding[] {
  const heights: number[] = [];
  node.forEach((child) => {
    if (child.type.name === "inlinePicture") heights.push((child.attrs as PictureAttributes).height);
  });
  if (node.type.name !== "line" || new Set(heights).size < 2) return [];
  return [
    {
      code: "icons-of-different-sizes",
      severity: "attention",
      station: "pictures",
      at,
      message: `The icons are ${heights.join(", ")} px high: an icon row draws them all at one size.`,
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

function checkNode(node: Node, at: string, { pictures }: CheckOptions): Finding[] {
  const found = [...checkIcons(node, at), ...checkFonts(node, at)];
  if (node.type.name === "picture" || node.type.name === "inlinePicture")
    found.push(...checkPicture(node, at, pictures));
  const link =
    (node.attrs.link as string | null | undefined) ??
    node.marks.find((mark) => mark.type.name === "link")?.attrs.href;
  if (typeof link === "string") found.push(...checkLink(link, at));
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

/** Everything that will go wrong with a signature for a person, in document order after what concerns the whole. */
export function checkSignature(document: Node, options: CheckOptions): readonly Finding[] {
  const found = checkWhole(document, options);
  let lastLink: string | null = null;
  document.descendants((node, position) => {
    for (const finding of checkNode(node, placeOf(document, position), options)) {
      // One link over several runs of text is one finding.
      const repeated = finding.station === "links" && finding.message === lastLink;
      if (!repeated) found.push(finding);
      lastLink = finding.station === "links" ? finding.message : lastLink;
    }
  });
  return found;
}
