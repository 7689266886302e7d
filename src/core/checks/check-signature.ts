/** Finding what will go wrong. Nothing is mended here. */
import { append } from "../values";
import type { Node } from "prosemirror-model";
import { isPrivateHost } from "../addresses";
import { commonWebmail, signatureOverrun } from "../clients";
import { compile } from "../compile";
import { describeLink, type NetworkKind } from "../links";
import type { Person } from "../people";
import { signatureBudget } from "../pictures";
import {
  hasShortForm,
  hasWords,
  hrefOf,
  image,
  picturesOf,
  placeOf,
  shortForm,
  textRunsOf,
  hiddenFrom,
  shownTo,
  withPicturesOf,
  type TextRun,
} from "../signature";
import { asideKey, type Asides } from "./asides";
import { entryOf } from "./catalogue";
import { checkBoxes } from "./check-boxes";
import { checkColors } from "./check-colors";
import { checkDarkPictures, type ColorsBySource } from "./check-dark-pictures";
import { checkLinks, type LinkAnswers } from "./check-links";
import { checkPicture, type PictureFactsBySource } from "./check-picture";
import { checkShown } from "./check-shown";
import { checkReply, checkText, type DirectoryGaps } from "./check-text";
import { costliestParts } from "./costliest-parts";
import type { Finding, Found } from "./finding";
import type { Mend } from "./mend";
import { suggestAlt } from "./suggest-alt";
import { weightOf } from "./weight-of";

export interface CheckOptions {
  readonly person: Person | null;
  /** The public address of hosted pictures. */
  readonly base: string;
  /** What is known of the files of its pictures. */
  readonly pictures?: PictureFactsBySource;
  /** The colours of its hosted pictures, by their sources. */
  readonly colors?: ColorsBySource;
  /** What answered at its web links. */
  readonly answers?: LinkAnswers;
  /** Who it speaks for, and the networks that it may lead to; for suggestions. */
  readonly organisation?: string;
  readonly networks?: readonly NetworkKind[];
  /** How many people of the directory lack each field. */
  readonly gaps?: DirectoryGaps;
  /** The findings that are left as they are, with the reason of each. */
  readonly asides?: Asides;
}

/** What clients with a limit show of a message before they cut it off; the letter itself needs room as well. */
const clippedAt = 102 * 1024;

/** Letters under which a signature with large pictures is more picture than text, and how large those are; px². */
const fewLetters = 40;
const muchPicture = 40_000;

/** Pictures side by side in one line of text whose heights differ. */
function checkIcons(node: Node, position: number): Found[] {
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
      position,
      message: `The icons are ${heights.join(", ")} px high: an icon row draws them all at one size.`,
      ...(onlyIcons && { mend: { kind: "make-icon-row", label: "Make it an icon row", position } }),
    },
  ];
}

/** What another address mends. */
const aboutAddress: ReadonlySet<Finding["code"]> = new Set([
  "picture-moved",
  "picture-not-open",
  "picture-is-a-page",
]);

/** What another alt text mends. */
const aboutAlt: ReadonlySet<Finding["code"]> = new Set([
  "picture-without-alt",
  "picture-alt-is-a-file-name",
  "decorative-picture-leads",
]);

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
  const node = document.nodeAt(position);
  if (!node) return null;
  const { source, height } = image.of(node);
  if (code === "picture-not-encrypted")
    return {
      kind: "show-from",
      label: "Show it from https://",
      position,
      source: `https${source.slice("http".length)}`,
    };
  if (code === "picture-stretched") {
    const pixels = options.pictures?.[source]?.pixels;
    if (!pixels) return null;
    const width = Math.max(1, Math.round((pixels.width * height) / pixels.height));
    return { kind: "show-at", label: `Show it ${width} px wide, as it is`, position, width, height };
  }
  if (!aboutAddress.has(code)) return null;
  const better = options.pictures?.[source]?.trouble?.better;
  return better
    ? { kind: "show-from", label: `Show it from ${describeLink(better).shown}`, position, source: better }
    : null;
}

function checkPictures(document: Node, options: CheckOptions): Found[] {
  const found: Found[] = [];
  document.descendants((node, position) => {
    append(found, checkIcons(node, position));
    if (!image.is(node)) return;
    const leads = Boolean(hrefOf(node));
    for (const finding of checkPicture(node, position, leads, options.pictures)) {
      const mend = mendOfPicture(document, position, finding.code, options);
      found.push(mend ? { ...finding, mend } : finding);
    }
  });
  return found;
}

/** The share from which a picture is of one colour: nothing is drawn in it. */
const oneColor = 0.985;

/** Loops whose first frame is of one colour, or of none. */
function checkFirstFrames(document: Node, { pictures = {}, colors = {} }: CheckOptions): Found[] {
  return picturesOf(document).flatMap(({ node, position }): Found[] => {
    const { source } = image.of(node);
    const first = colors[source];
    // A picture that is wholly clear has no colours.
    const empty = first && (first[0]?.share ?? 1) >= oneColor;
    if (pictures[source]?.use !== "loop" || !empty) return [];
    return [
      {
        code: "loop-begins-empty",
        position,
        message:
          "Its first frame is empty, and where only that is shown nothing is seen: begin elsewhere in the loop.",
      },
    ];
  });
}

/** How much is said in words, and how much in pictures. */
function checkShare(document: Node, runs: readonly TextRun[]): Found[] {
  const letters = runs.reduce((sum, { text }) => sum + (hasWords(text) ? text.trim().length : 0), 0);
  const areas = picturesOf(document)
    .map(({ node }) => image.of(node))
    .filter(({ source }) => source !== "")
    .map(({ width, height }) => width * height);
  if (areas.length === 0) return [];
  const area = areas.reduce((sum, each) => sum + each, 0);
  if (letters === 0)
    return [
      {
        code: "text-only-in-pictures",
        position: null,
        message:
          "All that it says is in pictures: while they are blocked there is nothing, and no number can be copied.",
      },
    ];
  return letters < fewLetters && area > muchPicture
    ? [
        {
          code: "more-picture-than-text",
          position: null,
          message: `It has ${letters} letters beside pictures of ${area.toLocaleString("en")} px²: filters take such mails for advertising.`,
        },
      ]
    : [];
}

function checkWhole(document: Node, shown: Node, options: CheckOptions): Found[] {
  const found: Found[] = [];
  const html = compile(document, { destination: "webmail-paste", ...options });
  const over = signatureOverrun(html, commonWebmail);
  const costly = (): string =>
    costliestParts(document, options)
      .slice(0, 3)
      .map((part) => `${part.at} (${part.characters.toLocaleString("en")})`)
      .join("; ");
  const whole = (code: Found["code"], message: string): void =>
    void found.push({ code, position: null, message });
  if (over > 0)
    whole(
      "signature-too-long",
      `It has ${html.length.toLocaleString("en")} characters, and common webmail takes ${(html.length - over).toLocaleString("en")}. Most are in ${costly()}.`,
    );
  const bytes = new TextEncoder().encode(html).length;
  if (bytes > clippedAt)
    whole(
      "clipped-by-webmail",
      `Its HTML weighs ${Math.round(bytes / 1024)} KB, and webmail cuts messages off at ${clippedAt / 1024} KB. Most is in ${costly()}.`,
    );
  if (compile(document, { destination: "plain-text", ...options }) === "" && !html.includes("<img"))
    whole("signature-empty", "There is nothing in it yet.");
  if (html.includes(`${options.base.replace(/\/+$/, "")}/h/`) && isPrivateHost(options.base))
    whole(
      "address-not-public",
      `Pictures are at ${options.base}, which only this machine can reach: set the public address before you install.`,
    );
  const weight = weightOf(shown, options.pictures ?? {});
  if (weight > signatureBudget)
    whole(
      "pictures-too-heavy",
      `Its pictures weigh ${Math.round(weight / 1024)} KB, and ${signatureBudget / 1024} KB is the most they should.`,
    );
  return found;
}

/** What the catalogue and the document say of it, beside what was found. */
function whole(document: Node, found: Found, asides: Asides): Finding {
  const { severity, station, clients } = entryOf(found.code);
  const aside = asides[asideKey(found)];
  return {
    severity,
    station,
    clients,
    ...found,
    at: found.position === null ? "signature" : placeOf(document, found.position),
    ...(aside !== undefined && { aside }),
  };
}

/**
 * Everything that will go wrong with a signature for a person: what concerns the whole, then its parts in document
 * order, then its links in reading order.
 */
export function checkSignature(given: Node, options: CheckOptions): readonly Finding[] {
  const { person, colors, answers, asides = {} } = options;
  const document = withPicturesOf(given, person);
  /** What is written for them: parts that are for others are gone from it, and positions in it are others. */
  const shown = shownTo(given, person);
  const hidden = hiddenFrom(given, person);
  const runs = textRunsOf(document, person);
  const found: Found[] = [
    ...checkWhole(given, shown, options),
    ...checkBoxes(document, runs),
    ...checkText(document, runs, options.gaps),
    ...(hasShortForm(shown) ? checkReply(shortForm(shown), person) : []),
    ...checkShare(shown, runs),
    ...checkPictures(document, options),
    ...checkFirstFrames(document, options),
    ...checkDarkPictures(document, colors),
    ...checkColors(document, person),
    ...checkLinks(document, person, answers),
    ...checkShown(given),
  ];
  const isSeen = ({ code, position }: Found): boolean =>
    position === null ||
    code === "part-for-nobody" ||
    hidden.every(({ from, to }) => position < from || position >= to);
  return found.filter(isSeen).map((one) => whole(document, mendedIn(given, document, one), asides));
}

/** A finding without a mend of a picture that is somebody's own: the document holds how it is made, and not that picture. */
function mendedIn(given: Node, shown: Node, { mend, ...found }: Found): Found {
  const { position } = found;
  const own = position !== null && given.nodeAt(position) !== shown.nodeAt(position);
  return mend && !own ? { ...found, mend } : found;
}
