/** The simulated kinds of mail client, as data: what each is called, and the facts that the tables cannot say. */
import type { StandIn, StandInId } from "./stand-in";

/** What the signature settings of common webmail take. */
const commonLimit = 10_000;

/** A message area as most draw it: ink on white, black on white mirrored at night. */
const plain = {
  canvas: { light: "#FFFFFF", dark: "#000000" },
  text: { light: "#000000", dark: "#FFFFFF" },
  // The default colour of links in the HTML standard's rendering section, and what it is mirrored to.
  linkColor: { light: "#0000EE", dark: "#9AA8FF" },
  fonts: "desktop",
  shrinks: false,
  loops: "play",
  pictures: "fetched",
  ownLinks: [],
  quote: "ruled",
  signatureLimit: null,
  behaviours: [],
} as const satisfies Partial<StandIn>;

/** Colours that stay as they are at night. */
const alwaysLight = {
  darkMode: "none",
  canvas: { light: "#FFFFFF", dark: "#FFFFFF" },
  text: { light: "#000000", dark: "#000000" },
  linkColor: { light: "#0000EE", dark: "#0000EE" },
} as const satisfies Partial<StandIn>;

/** A canvas that is dark by itself, on which messages keep the backgrounds that they set. */
const darkCanvas = {
  darkMode: "canvas",
  canvas: { light: "#FFFFFF", dark: "#1A1C1B" },
  text: { light: "#000000", dark: "#F2F2F0" },
} as const satisfies Partial<StandIn>;

const sans = { family: "Arial, Helvetica, sans-serif", size: 14 } as const;
const system = { family: "system-ui, sans-serif", size: 16 } as const;

const inlineFacts = [
  "Style sheets, classes and ids are dropped; styles on the elements stay.",
  "Words longer than 30 characters are broken.",
  "Pictures go through a cache: a changed picture needs a new address.",
] as const;

const mirrored = {
  full: "In dark mode every colour's lightness is mirrored.",
  partial:
    "In dark mode light backgrounds are darkened and dark text is lightened; what is dark already is left.",
  canvas:
    "In dark mode its canvas is dark, text that is too dark is lightened, and set backgrounds are kept.",
  none: "Colours stay as they are in dark mode.",
} as const;

const phones = "Links phone numbers, addresses and dates by itself.";

export const standIns: Readonly<Record<StandInId, StandIn>> = {
  "webmail-inline": {
    ...plain,
    ...alwaysLight,
    id: "webmail-inline",
    name: "Webmail, inline styles only",
    family: "webmail",
    width: 640,
    type: sans,
    pictures: "cached",
    quote: "ruled",
    signatureLimit: commonLimit,
    behaviours: ["inline-styles-only", "long-words-broken"],
    facts: [
      `Its signature settings take ${commonLimit.toLocaleString("en")} characters of HTML.`,
      ...inlineFacts,
      mirrored.none,
    ],
  },
  "webmail-suite": {
    ...plain,
    id: "webmail-suite",
    name: "Webmail of an office suite",
    family: "webmail",
    width: 720,
    darkMode: "partial",
    type: sans,
    quote: "under-rule",
    behaviours: ["ids-prefixed"],
    facts: [mirrored.partial],
  },
  "webmail-portal": {
    ...plain,
    ...alwaysLight,
    id: "webmail-portal",
    name: "Portal webmail",
    family: "webmail",
    width: 640,
    type: sans,
    facts: [mirrored.none],
  },
  "webmail-private": {
    ...plain,
    ...alwaysLight,
    id: "webmail-private",
    name: "Private webmail",
    family: "webmail",
    width: 680,
    type: sans,
    pictures: "asked",
    behaviours: ["pictures-wrapped"],
    facts: ["Pictures from elsewhere are blocked until the reader asks for them.", mirrored.none],
  },
  "webmail-budget": {
    ...plain,
    ...alwaysLight,
    id: "webmail-budget",
    name: "Budget webmail",
    family: "webmail",
    width: 640,
    type: sans,
    quote: "indented",
    facts: [mirrored.none],
  },
  "desktop-document": {
    ...plain,
    id: "desktop-document",
    name: "Desktop mail drawn by a document engine",
    family: "desktop",
    width: 720,
    darkMode: "full",
    type: { family: "'Times New Roman', Times, serif", size: 16 },
    loops: "first-frame",
    quote: "under-rule",
    behaviours: ["document-engine"],
    facts: [
      "Pictures without width and height attributes are drawn at file size.",
      "Paragraphs get margins of its own.",
      "Links without a colour on their text are drawn in its own link colour.",
      "Long words are not broken.",
      mirrored.full,
    ],
  },
  "desktop-fixed": {
    ...plain,
    id: "desktop-fixed",
    name: "Desktop mail, fixed tables",
    family: "desktop",
    width: 720,
    darkMode: "partial",
    type: sans,
    quote: "under-rule",
    behaviours: ["tables-fixed"],
    facts: ["Every table is laid out fixed: columns without a width get equal shares.", mirrored.partial],
  },
  "desktop-browser": {
    ...plain,
    ...darkCanvas,
    id: "desktop-browser",
    name: "Desktop mail drawn by a browser engine",
    family: "desktop",
    width: 760,
    type: { family: "Helvetica, Arial, sans-serif", size: 12 },
    ownLinks: ["phone", "address", "date"],
    behaviours: ["attached-pictures-by-style"],
    facts: ["On attached pictures only the width in a style counts.", phones, mirrored.canvas],
  },
  "desktop-open": {
    ...plain,
    ...alwaysLight,
    id: "desktop-open",
    name: "Independent desktop mail",
    family: "desktop",
    width: 720,
    type: { family: "sans-serif", size: 15 },
    pictures: "asked",
    facts: ["Pictures from elsewhere are blocked until the reader asks for them.", mirrored.none],
  },
  "phone-inline-partial": {
    ...plain,
    id: "phone-inline-partial",
    name: "Phone, inline styles only, partial dark",
    fonts: "phone-without-fonts",
    family: "phone",
    width: 360,
    darkMode: "partial",
    type: sans,
    pictures: "cached",
    behaviours: ["inline-styles-only", "long-words-broken"],
    facts: [...inlineFacts, mirrored.partial],
  },
  "phone-inline-full": {
    ...plain,
    id: "phone-inline-full",
    name: "Phone, inline styles only, full dark",
    fonts: "phone-with-fonts",
    family: "phone",
    width: 390,
    darkMode: "full",
    type: sans,
    pictures: "cached",
    behaviours: ["inline-styles-only", "long-words-broken"],
    facts: [...inlineFacts, mirrored.full],
  },
  "phone-system": {
    ...plain,
    ...darkCanvas,
    id: "phone-system",
    name: "The phone's own mail",
    fonts: "phone-with-fonts",
    family: "phone",
    width: 390,
    type: system,
    shrinks: true,
    ownLinks: ["phone", "address", "date"],
    facts: ["What is wider than the screen is drawn smaller as a whole.", phones, mirrored.canvas],
  },
  "phone-suite": {
    ...plain,
    id: "phone-suite",
    name: "Phone mail of an office suite",
    fonts: "phone-with-fonts",
    family: "phone",
    width: 390,
    darkMode: "partial",
    type: sans,
    quote: "under-rule",
    facts: [mirrored.partial],
  },
  "phone-maker": {
    ...plain,
    id: "phone-maker",
    name: "Phone maker's mail",
    fonts: "phone-without-fonts",
    family: "phone",
    width: 412,
    darkMode: "partial",
    type: system,
    facts: [mirrored.partial],
  },
};

/** The kind whose limits hold for common webmail. */
export const commonWebmail: StandInId = "webmail-inline";

export const standInIds = Object.keys(standIns) as readonly StandInId[];

/** What document engines draw where the HTML does not say. */
export const documentEngine = {
  /** Wider borders are drawn at this width; px. */
  widestBorder: 8,
  /** Below a paragraph that declares no margin. */
  paragraphMargin: "0 0 12px",
} as const;

/** The longest run of characters without a break that the inline webmail leaves whole. */
export const longestWord = 30;
