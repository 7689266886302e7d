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
import { button, hrefOf, iconRow, image, linksOf, placeOf, type PlacedLink } from "../signature";
import type { Finding, FindingCode, Severity } from "./finding";
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

type Found = Pick<Finding, "code" | "severity" | "message" | "mend">;

/** What is wrong with an address by itself. */
function checkAddress(link: PlacedLink): Found | null {
  const { href, byHand } = link;
  const reading = readLink(href);
  const mend =
    reading.ok && reading.href !== href && byHand
      ? leadTo(link, reading.href, `Lead to ${reading.href}`)
      : undefined;
  if (/^https?:\/\/[^?#]*https?:\/\//i.test(href) && mend)
    return {
      code: "link-doubled",
      severity: "break",
      message: `“${href}” has its beginning twice, so it opens nothing.`,
      mend,
    };
  if (/^https?:/i.test(href) && isPrivateHost(href))
    return {
      code: "link-unreachable",
      severity: "break",
      message: `“${href}” leads to a place that recipients cannot reach.`,
    };
  if (!reading.ok)
    return {
      code: "link-not-an-address",
      severity: "break",
      message: `“${href}” opens nothing: it is no address of a page, a mail or a phone.`,
    };
  if (mend)
    return {
      code: "link-misspelt",
      severity: "attention",
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

function checkText(document: Node, link: PlacedLink): Found | null {
  if (!link.byHand || (link.use !== "text" && link.use !== "button")) return null;
  const named = namedAddress(link.text);
  if (named && !keepsItsWord(named, link.href))
    return {
      code: "link-text-names-another",
      severity: "break",
      message: `It reads “${link.text.trim()}” and leads to ${link.href}.`,
      mend: leadTo(link, named, "Lead to what it says"),
    };
  if (link.use === "text" && [...link.text.trim()].length === 1) return checkCharacter(document, link);
  return null;
}

/** A link on one character, which no finger hits; offers the word around it. */
function checkCharacter(document: Node, link: PlacedLink): Found {
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
    severity: "attention",
    message: `Only “${link.text.trim()}” leads to ${link.href}: nobody hits a single character.`,
    mend: wider
      ? { kind: "lead-to", label: `Link “${word}”`, from: begin + from, to: begin + to, href: link.href }
      : { kind: "unlink", label: "Take the link off", from: link.position, to: link.end },
  };
}

const answerCodes: Partial<Record<LinkVerdict, readonly [FindingCode, Severity]>> = {
  moved: ["link-moved", "attention"],
  "other-host": ["link-elsewhere", "attention"],
  "sign-in": ["link-asks-to-sign-in", "break"],
  refused: ["link-not-open", "break"],
};

function checkAnswer(link: PlacedLink, answers: LinkAnswers): Found | null {
  const answer = answers[link.href];
  if (!answer || answer.verdict === "answers") return null;
  const [code, severity] = answerCodes[answer.verdict] ?? (["link-dead", "break"] as const);
  return {
    code,
    severity,
    message: `${link.href}: ${answer.message}`,
    ...(answer.better && link.byHand && { mend: leadTo(link, answer.better, `Lead to ${answer.better}`) }),
  };
}

/** Icons that lead where an earlier icon does. */
function checkDoubles(links: readonly PlacedLink[]): ReadonlyMap<PlacedLink, Found> {
  const first = new Map<string, PlacedLink>();
  const found = new Map<PlacedLink, Found>();
  for (const link of links) {
    if (link.use !== "icon") continue;
    const earlier = first.get(compared(link.href));
    if (!earlier) first.set(compared(link.href), link);
    else
      found.set(link, {
        code: "link-repeated",
        severity: "attention",
        message: `Two icons lead to ${link.href}${earlier.text ? `: “${earlier.text}” does as well` : ""}.`,
        mend: { kind: "take-out", label: "Take this icon out", position: link.position },
      });
  }
  return found;
}

/** Web addresses in text that no client links by itself, because they begin with neither https:// nor www. */
function checkUnlinked(document: Node): Finding[] {
  const found: Finding[] = [];
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
        severity: "attention",
        station: "links",
        at: placeOf(document, position),
        message: `“${said}” reads as an address and leads nowhere.`,
        mend: { kind: "lead-to", label: `Lead to ${named}`, from, to: from + said.length, href: named },
      });
    }
  });
  return found;
}

/** Buttons, and icons of a row, that nobody gave a link: they promise one by what they are. */
function checkLeadsNowhere(document: Node): Finding[] {
  const found: Finding[] = [];
  document.descendants((node, position, parent) => {
    const isIcon = parent !== null && iconRow.is(parent) && image.is(node) && image.of(node).source !== "";
    const isButton = button.is(node) && node.childCount > 0;
    if ((!isIcon && !isButton) || hrefOf(node)) return;
    const said = (isIcon ? image.of(node).alt : node.textContent).trim();
    const what = `The ${isIcon ? "icon" : "button"}${said ? ` “${said}”` : ""}`;
    found.push({
      code: "leads-nowhere",
      severity: "attention",
      station: "links",
      at: placeOf(document, position),
      message: `${what} leads nowhere.`,
    });
  });
  return found;
}

/** All findings of the links of a document for a person. */
export function checkLinks(
  document: Node,
  person: Person | null,
  answers: LinkAnswers = {},
): readonly Finding[] {
  const links = linksOf(document, person);
  const doubles = checkDoubles(links);
  const found = links.flatMap((link) => {
    const own = checkAddress(link) ?? checkText(document, link) ?? checkAnswer(link, answers);
    return [own, doubles.get(link)]
      .filter((one): one is Found => Boolean(one))
      .map((one): Finding => ({ ...one, station: "links", at: placeOf(document, link.position) }));
  });
  return [...found, ...checkUnlinked(document), ...checkLeadsNowhere(document)];
}
