/**
 * Every finding that there is: how bad it is, where it is mended, and in which kinds of client it shows, with the reason.
 * Which kinds those are is read from the stand-ins and their tables, so that it follows them.
 */
import { keepsFeature, standInIds, standIns, type StandIn, type StandInId } from "../clients";
import type { Severity, Station } from "./finding";

interface Entry {
  readonly severity: Severity;
  readonly station: Station;
  readonly clients: readonly StandInId[];
  /** What goes wrong for a recipient. */
  readonly reason: string;
}

const among = (does: (standIn: StandIn) => boolean): readonly StandInId[] =>
  standInIds.filter((id) => does(standIns[id]));

const all = standInIds;
const phones = among(({ family }) => family === "phone");
const dark = among(({ darkMode }) => darkMode !== "none");
const shrinking = among(({ shrinks }) => shrinks);
const linking = among(({ ownLinks }) => ownLinks.length > 0);
const firstFrame = among(({ loops }) => loops === "first-frame");
const blocking = among(({ pictures }) => pictures === "asked");
const limited = among(({ signatureLimit }) => signatureLimit !== null);
const without = (feature: Parameters<typeof keepsFeature>[0]): readonly StandInId[] =>
  standInIds.filter((id) => !keepsFeature(feature, id));

const entry =
  (severity: Severity, station: Station) =>
  (clients: readonly StandInId[], reason: string): Entry => ({ severity, station, clients, reason });

const build = {
  breaks: entry("break", "build"),
  looks: entry("attention", "build"),
  note: entry("note", "build"),
};
const pictures = {
  breaks: entry("break", "pictures"),
  looks: entry("attention", "pictures"),
  note: entry("note", "pictures"),
};
const links = {
  breaks: entry("break", "links"),
  looks: entry("attention", "links"),
  note: entry("note", "links"),
};
const proof = { looks: entry("attention", "proof"), note: entry("note", "proof") };
const install = { breaks: entry("break", "install"), looks: entry("attention", "install") };

export const catalogue = {
  // Text
  "font-not-web-safe": build.looks(
    all,
    "A font that is not on the recipient's machine is replaced by another.",
  ),
  "type-too-small": build.looks(all, "Type under 10 px is hard to read, and some clients make it larger."),
  "type-too-small-on-a-phone": proof.note(
    shrinking,
    "A signature that is shrunk to a phone's width is shrunk with its type.",
  ),
  "text-hard-to-read": build.looks(
    all,
    "Text that is near the colour behind it is not read (WCAG 2.2, 1.4.3).",
  ),
  "text-hard-to-read-in-the-dark": proof.looks(
    dark,
    "Dark modes change a text and what is behind it differently.",
  ),
  "button-hard-to-read": build.looks(all, "The words of a button are what is pressed."),
  "lines-too-tight": build.looks(all, "Lines closer than their type is high run into each other."),
  "empty-lines": build.looks(
    all,
    "The height of an empty paragraph is each client's own; a spacer's is the same in all.",
  ),
  "spaces-as-layout": build.note(all, "Runs of spaces are as wide as each font makes them."),
  "part-for-nobody": build.looks(
    all,
    "A part that is shown for some details of a list is seen by nobody while the list is empty.",
  ),
  "many-fonts": build.note(all, "More than two fonts look like several signatures."),
  "many-colours": build.note(all, "More than four colours of text compete with each other."),
  "many-lines": build.note(all, "A signature of more than seven lines is longer than most letters."),
  "long-text": build.note(all, "A long text under each letter is not read, and costs room in every answer."),
  "only-capitals": build.note(
    all,
    "Lines that are wholly in capitals are slower to read, and read out letter by letter by some.",
  ),
  "word-wider-than-its-cell": build.looks(
    all,
    "A word that does not fit widens its column or sticks out of it.",
  ),
  "wraps-without-its-font": proof.note(all, "Where a font is not installed, what falls in may be wider."),
  "language-missing": build.note(all, "Without a language it is read out in the listener's own."),
  "field-empty-for-some": build.note(all, "What stands around an empty field stays, and reads oddly."),
  "signature-empty": build.looks(all, "There is nothing to send."),
  // The table
  "table-too-wide": build.looks(all, "What is wider than the pane is cut off, or scrolls."),
  "wider-than-a-phone": proof.note(phones, "A phone shrinks it, cuts it off, or lets it scroll sideways."),
  "column-wider-than-set": build.looks(all, "What does not fit makes its column wider than it was set to."),
  "radius-lost": proof.note(without("css-border-radius"), "Corners are square where the radius is not kept."),
  "many-cells": build.note(all, "Tables of many cells are where clients differ most."),
  "reply-too-long": build.note(all, "A reply's signature is repeated with each answer."),
  // Pictures
  "picture-not-hosted": pictures.breaks(
    all,
    "A picture that is not at a public address is seen by nobody else.",
  ),
  "picture-on-a-private-address": pictures.breaks(all, "Addresses inside a network open nowhere else."),
  "picture-is-a-page": pictures.breaks(
    all,
    "The address of a page that shows a picture is not the picture's.",
  ),
  "picture-not-encrypted": pictures.looks(
    all,
    "Webmail shows no pictures from addresses without encryption, or warns.",
  ),
  "picture-not-looked-at": pictures.looks(all, "Nobody knows whether recipients can open it."),
  "picture-not-open": pictures.breaks(all, "What a recipient cannot open is an empty box."),
  "picture-moved": pictures.looks(all, "Addresses that lead on are cut off one day."),
  "picture-svg": pictures.breaks(without("image-svg"), "Drawings in SVG are dropped."),
  "picture-webp": pictures.looks(without("image-webp"), "Pictures in WebP are not shown."),
  "picture-avif": pictures.looks(without("image-avif"), "Pictures in AVIF are not shown."),
  "picture-too-few-pixels": pictures.looks(all, "It is blurred on sharp displays."),
  "picture-too-heavy": pictures.looks(all, "It comes late on a phone, each time."),
  "pictures-too-heavy": pictures.looks(all, "Together they come late on a phone."),
  "picture-stretched": pictures.looks(all, "It is drawn out of proportion."),
  "picture-without-alt": pictures.looks(
    all,
    "It says nothing while it is blocked, and to who cannot see it.",
  ),
  "picture-alt-is-a-file-name": pictures.looks(all, "A file's name says nothing to anybody."),
  "alt-does-not-fit": pictures.note(
    blocking,
    "Of a blocked picture as much is read as its box has room for.",
  ),
  "decorative-picture-leads": pictures.looks(all, "A link without words is read out as its address."),
  "icons-of-different-sizes": pictures.looks(all, "Icons of unequal sizes look like an accident."),
  "icons-of-different-sizes-in-cells": pictures.looks(all, "Icons of unequal sizes look like an accident."),
  "icon-hard-to-hit": pictures.note(phones, "Icons under 20 px are hard to hit with a finger."),
  "many-icons": pictures.note(all, "More than five icons are passed over together."),
  "picture-vanishes-in-the-dark": pictures.looks(dark, "Dark modes change colours and not pictures."),
  "picture-has-white-corners": pictures.looks(
    dark,
    "A white ground in a picture is a white box in the dark.",
  ),
  "loop-begins-empty": pictures.looks(firstFrame, "Only the first frame is seen."),
  "loop-stands-still": pictures.note(firstFrame, "Only the first frame is seen."),
  "text-only-in-pictures": pictures.looks(
    all,
    "With pictures blocked there is nothing, and nothing can be copied.",
  ),
  "more-picture-than-text": pictures.note(
    all,
    "Filters against unwanted mail look at the share of pictures.",
  ),
  // Links
  "link-doubled": links.breaks(all, "An address with two beginnings opens nothing."),
  "link-unreachable": links.breaks(all, "Addresses inside a network open nowhere else."),
  "link-not-an-address": links.breaks(all, "What is no address opens nothing."),
  "link-misspelt": links.looks(all, "Clients mend slips differently."),
  "link-text-names-another": links.breaks(all, "A text that names another address looks like fraud."),
  "link-on-one-character": links.looks(all, "Nobody hits a single character."),
  "link-moved": links.looks(all, "Addresses that lead on are cut off one day."),
  "link-elsewhere": links.looks(all, "It opens somewhere else than it says."),
  "link-asks-to-sign-in": links.breaks(all, "Recipients have no account there."),
  "link-not-open": links.breaks(all, "It is refused to recipients."),
  "link-dead": links.breaks(all, "Nothing answers there."),
  "link-repeated": links.looks(all, "Two icons lead to one place."),
  "link-missing": links.looks(all, "It reads as an address and leads nowhere."),
  "leads-nowhere": links.looks(all, "Buttons and icons promise to lead somewhere."),
  "link-not-encrypted": links.looks(all, "Browsers warn of pages without encryption."),
  "link-not-told-apart": links.note(
    all,
    "A link in the colour of the text, without a line, is not seen as one.",
  ),
  "phone-without-country": links.note(
    all,
    "A number without its country's code cannot be dialled from abroad.",
  ),
  "phone-split-by-styling": links.looks(linking, "Clients link the part that they see, in their own colour."),
  "linked-by-clients": links.note(linking, "Clients make links of it by themselves, in their own colour."),
  // Sending
  "signature-too-long": install.breaks(limited, "Settings take no more, or cut it off."),
  "clipped-by-webmail": install.breaks(limited, "Messages over 102 KB are cut off behind a link."),
  "address-not-public": install.breaks(all, "Its pictures are seen on this machine only."),
} as const satisfies Record<string, Entry>;

export type FindingCode = keyof typeof catalogue;

export const findingCodes = Object.keys(catalogue) as readonly FindingCode[];

/** What the catalogue says of a code. */
export const entryOf = (code: FindingCode): Entry => catalogue[code];
