/** Finding what will go wrong where a signature leads. */
import type { Node } from "prosemirror-model";
import { isPrivateHost } from "../addresses";
import {
  compared,
  detectLinks,
  mailtoLink,
  readLink,
  sameDestination,
  telLink,
  webLink,
  type LinkAnswer,
  type LinkVerdict,
} from "../links";
import type { Person } from "../people";
import { button, hrefOf, iconRow, image, linksOf, settingsOf, type PlacedLink } from "../signature";
import type { FindingCode } from "./catalogue";
import type { Found } from "./finding";
import type { Mend } from "./mend";

/** What answered at web links when they were walked, by address. */
export type LinkAnswers = Readonly<Record<string, LinkAnswer>>;

const leadTo = ({ position, end }: PlacedLink, href: string, label: string): Mend => ({
  kind: "lead-to",
  label,
  from: position,
  to: end,
  href,
});

type OfLink = Omit<Found, "position">;

/** What is wrong with an address by itself. */
function checkAddress(link: PlacedLink): OfLink | null {
  const { href, byHand } = link;
  const reading = readLink(href);
  const mend =
    reading.ok && reading.href !== href && byHand
      ? leadTo(link, reading.href, `Lead to ${reading.href}`)
      : undefined;
  if (/^https?:\/\/[^?#]*https?:\/\//i.test(href) && mend)
    return {
      code: "link-doubled",
      message: `“${href}” has its beginning twice, so it opens nothing.`,
      mend,
    };
  if (/^https?:/i.test(href) && isPrivateHost(href))
    return {
      code: "link-unreachable",
      message: `“${href}” leads to a place that recipients cannot reach.`,
    };
  if (!reading.ok)
    return {
      code: "link-not-an-address",
      message: `“${href}” opens nothing: it is no address of a page, a mail or a phone.`,
    };
  if (mend)
    return {
      code: "link-misspelt",
      message: `“${href}” is not as it should be written. ${reading.changes.join(" ")}`,
      mend,
    };
  return null;
}

const hostAndPath = (href: string): readonly [host: string, path: string] => {
  const [, host = "", path = ""] = /^([^/?#]*)(.*)$/s.exec(compared(href)) ?? [];
  return [host, path];
};

/** The address that a text names, or null where it reads as none. */
export function namedAddress(text: string): string | null {
  const said = text.trim();
  if (said === "" || /\s/.test(said.replace(/^[+()\d\s.-]+$/, ""))) return null;
  return (
    mailtoLink(said) ??
    telLink(said) ??
    (/^(?:https?:\/\/|www\.)|^[a-z0-9-]+(?:\.[a-z0-9-]+)*\.[a-z]{2,}(?:[/?#]|$)/.test(said)
      ? webLink(said)
      : null)
  );
}

/** Whether somebody who reads the one address and lands at the other is where they expected to be. */
function keepsItsWord(named: string, href: string): boolean {
  if (sameDestination(named, href)) return true;
  if (/^https?:/i.test(named) && /^https?:/i.test(href)) {
    const [namedHost, namedPath] = hostAndPath(named);
    const [host, path] = hostAndPath(href);
    return namedHost === host && path.startsWith(namedPath);
  }
  if (/^mailto:/i.test(named)) return href.toLowerCase().split("?")[0] === named.toLowerCase();
  // The last digits of a number are the same with and without its country's code.
  const digits = (address: string): string => address.replace(/;.*$/, "").replace(/\D/g, "").slice(-8);
  return /^(?:tel|sms):/i.test(href) && digits(named) === digits(href);
}

function checkText(document: Node, link: PlacedLink): OfLink | null {
  if (!link.byHand || (link.use !== "text" && link.use !== "button")) return null;
  const named = namedAddress(link.text);
  if (named && !keepsItsWord(named, link.href))
    return {
      code: "link-text-names-another",
      message: `It reads “${link.text.trim()}” and leads to ${link.href}.`,
      mend: leadTo(link, named, "Lead to what it says"),
    };
  if (link.use === "text" && [...link.text.trim()].length === 1) return checkCharacter(document, link);
  return null;
}

/** A link on one character, which no finger hits; offers the word around it. */
function checkCharacter(document: Node, link: PlacedLink): OfLink {
  const resolved = document.resolve(link.position);
  const begin = resolved.start();
  const text = document.textBetween(begin, resolved.end(), undefined, "\ufffc");
  const letter = /[\p{L}\p{N}\p{M}'’-]/u;
  let from = link.position - begin;
  let to = link.end - begin;
  if (letter.test(text.slice(from, to))) {
    while (from > 0 && letter.test(text.charAt(from - 1))) from--;
    while (to < text.length && letter.test(text.charAt(to))) to++;
  }
  const word = text.slice(from, to).trim();
  const wider = word.length > 1;
  return {
    code: "link-on-one-character",
    message: `Only “${link.text.trim()}” leads to ${link.href}: nobody hits a single character.`,
    mend: wider
      ? { kind: "lead-to", label: `Link “${word}”`, from: begin + from, to: begin + to, href: link.href }
      : { kind: "unlink", label: "Take the link off", from: link.position, to: link.end },
  };
}

const answerCodes: Partial<Record<LinkVerdict, FindingCode>> = {
  moved: "link-moved",
  "other-host": "link-elsewhere",
  "sign-in": "link-asks-to-sign-in",
  refused: "link-not-open",
};

function checkAnswer(link: PlacedLink, answers: LinkAnswers): OfLink | null {
  const answer = answers[link.href];
  if (!answer || answer.verdict === "answers") return null;
  return {
    code: answerCodes[answer.verdict] ?? "link-dead",
    message: `${link.href}: ${answer.message}`,
    ...(answer.better && link.byHand && { mend: leadTo(link, answer.better, `Lead to ${answer.better}`) }),
  };
}

/** Icons that lead where an earlier icon does. */
function checkDoubles(links: readonly PlacedLink[]): ReadonlyMap<PlacedLink, OfLink> {
  const first = new Map<string, PlacedLink>();
  const found = new Map<PlacedLink, OfLink>();
  for (const link of links) {
    if (link.use !== "icon") continue;
    const earlier = first.get(compared(link.href));
    if (!earlier) first.set(compared(link.href), link);
    else
      found.set(link, {
        code: "link-repeated",
        message: `Two icons lead to ${link.href}${earlier.text ? `: “${earlier.text}” does as well` : ""}.`,
        mend: { kind: "take-out", label: "Take this icon out", position: link.position },
      });
  }
  return found;
}

/** Web addresses in text that no client links by itself, because they begin with neither https:// nor www. */
function checkUnlinked(document: Node): Found[] {
  const found: Found[] = [];
  document.descendants((node, position, parent) => {
    if (!node.isText || parent?.type.name === "button" || hrefOf(node)) return;
    const text = node.text ?? "";
    const taken = detectLinks(text);
    for (const word of text.matchAll(/[^\s()<>“”"',;]+/g)) {
      const said = word[0].replace(/[.:!?]+$/, "");
      const named = namedAddress(said);
      if (
        !named?.startsWith("https://") ||
        taken.some(({ start, end }) => start < word.index + said.length && end > word.index)
      )
        continue;
      const from = position + word.index;
      found.push({
        code: "link-missing",
        position,
        message: `“${said}” reads as an address and leads nowhere.`,
        mend: { kind: "lead-to", label: `Lead to ${named}`, from, to: from + said.length, href: named },
      });
    }
  });
  return found;
}

/** Buttons, and icons of a row, that nobody gave a link: they promise one by what they are. */
function checkLeadsNowhere(document: Node): Found[] {
  const found: Found[] = [];
  document.descendants((node, position, parent) => {
    const isIcon = parent !== null && iconRow.is(parent) && image.is(node) && image.of(node).source !== "";
    const isButton = button.is(node) && node.childCount > 0;
    if ((!isIcon && !isButton) || hrefOf(node)) return;
    const said = (isIcon ? image.of(node).alt : node.textContent).trim();
    const what = `The ${isIcon ? "icon" : "button"}${said ? ` “${said}”` : ""}`;
    found.push({
      code: "leads-nowhere",
      position,
      message: `${what} leads nowhere.`,
    });
  });
  return found;
}

/** Numbers that nobody abroad can dial, and pages that browsers warn of. */
function checkForm({ href, byHand, use, ...link }: PlacedLink): OfLink | null {
  if (/^http:/i.test(href) && byHand)
    return {
      code: "link-not-encrypted",
      message: `“${href}” is read by whoever carries it, and browsers warn of it.`,
      mend: leadTo({ href, byHand, use, ...link }, `https${href.slice(4)}`, "Lead to it with https://"),
    };
  if (/^(?:tel|sms):0/i.test(href))
    return {
      code: "phone-without-country",
      message: `“${link.text.trim()}” has no country's code: from abroad it cannot be dialled.`,
    };
  return null;
}

/** Numbers that read as one and are styled in pieces, and what clients link by themselves that leads nowhere here. */
function checkOwnLinks(document: Node): Found[] {
  const { visitLink } = settingsOf(document);
  const found: Found[] = [];
  document.descendants((block, position) => {
    if (!block.isTextblock) return;
    const text = block.textBetween(0, block.content.size, undefined, "\ufffc");
    for (const { start, end, kind, href } of detectLinks(text)) {
      const from = position + 1 + start;
      const to = position + 1 + end;
      const said = text.slice(start, end);
      const pieces: Node[] = [];
      block.nodesBetween(start, end, (node) => void pieces.push(node));
      if (pieces.some(hrefOf) || pieces.some((node) => !node.isText)) continue;
      if (kind === "phone" && pieces.length > 1 && href)
        found.push({
          code: "phone-split-by-styling",
          position: from,
          message: `“${said}” is styled in ${pieces.length} pieces, of which each is linked by itself or not at all.`,
          mend: { kind: "lead-to", label: "Link the whole number", from, to, href },
        });
      else if (href === null && !visitLink)
        found.push({
          code: "linked-by-clients",
          position: from,
          message: `“${said}” becomes a link by itself: say in the signature's settings where visits lead, and it is one in your colour.`,
        });
    }
  });
  return found;
}

/** Links in the colour of the text beside them, without a line. */
function checkToldApart(document: Node, links: readonly PlacedLink[]): Found[] {
  const { textColor, linkColor, linkUnderline } = settingsOf(document);
  const first = links.find(({ use, byHand }) => use === "text" && byHand);
  if (!first || linkUnderline || textColor !== linkColor) return [];
  return [
    {
      code: "link-not-told-apart",
      position: first.position,
      message: `Links have the colour of the text, ${textColor}, and no line: nobody sees that “${first.text.trim().slice(0, 40)}” is one.`,
      mend: { kind: "underline-links", label: "Underline all links" },
    },
  ];
}

/** All findings of the links of a document for a person. */
export function checkLinks(
  document: Node,
  person: Person | null,
  answers: LinkAnswers = {},
): readonly Found[] {
  const links = linksOf(document, person);
  const doubles = checkDoubles(links);
  const found = links.flatMap((link) => {
    const own =
      checkAddress(link) ?? checkText(document, link) ?? checkAnswer(link, answers) ?? checkForm(link);
    return [own, doubles.get(link)]
      .filter((one): one is OfLink => Boolean(one))
      .map((one): Found => ({ ...one, position: link.position }));
  });
  return [
    ...found,
    ...checkUnlinked(document),
    ...checkLeadsNowhere(document),
    ...checkOwnLinks(document),
    ...checkToldApart(document, links),
  ];
}
