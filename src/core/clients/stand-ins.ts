/** The simulated kinds of mail client: what each is called, and the facts it is built from. */

export interface StandIn {
  readonly id: StandInId;
  readonly name: string;
  /** Width of the message pane that is drawn, in px. */
  readonly width: number;
  /** What happens to colours in dark mode: kept, or every colour's lightness mirrored. */
  readonly darkMode: "none" | "full";
  /** The colour of its message area in either mode. */
  readonly canvas: Readonly<Record<"light" | "dark", string>>;
  /** Whether animated pictures play, or show their first frame only. */
  readonly loops: "play" | "first-frame";
  /** Characters of HTML that its signature settings take; null without a limit. */
  readonly signatureLimit: number | null;
  /** Said to the user beside the proof, in plain words. */
  readonly facts: readonly string[];
}

export type StandInId = "webmail-inline" | "desktop-document";

/** What the signature settings of common webmail take. */
const commonLimit = 10_000;

export const standIns: Readonly<Record<StandInId, StandIn>> = {
  "webmail-inline": {
    id: "webmail-inline",
    name: "Webmail, inline styles only",
    width: 640,
    darkMode: "none",
    canvas: { light: "#ffffff", dark: "#ffffff" },
    loops: "play",
    signatureLimit: commonLimit,
    facts: [
      `Its signature settings take ${commonLimit.toLocaleString("en")} characters of HTML.`,
      "Style sheets, classes and ids are dropped; styles on the elements stay.",
      "Attached and vector pictures are dropped.",
      "A style that has a colour written with spaces is dropped whole.",
      "Negative margins, shadows and positions are dropped.",
      "Words longer than 30 characters are broken.",
      "Links open in a new window.",
      "Pictures go through a cache: a changed picture needs a new address.",
      "Colours stay as they are in dark mode.",
    ],
  },
  "desktop-document": {
    id: "desktop-document",
    name: "Desktop mail drawn by a document engine",
    width: 720,
    darkMode: "full",
    canvas: { light: "#ffffff", dark: "#000000" },
    loops: "first-frame",
    signatureLimit: null,
    facts: [
      "Padding counts on cells only, and all cells of a row get its largest top and bottom padding.",
      "Borders over 8 px are drawn as 8 px.",
      "Widths in styles are ignored on text and pictures; maximum widths count on tables only.",
      "Pictures without width and height attributes are drawn at file size.",
      "Attribute sizes do not grow on 120 and 144 dpi displays, while text does.",
      "Weights under 600 are normal, others bold.",
      "No background pictures, rounded corners, transparency, floats or flexible boxes.",
      "A loop shows its first frame.",
      "Paragraphs get margins of its own.",
      "Links without a colour on their text are drawn in its own link colour.",
      "In dark mode every colour's lightness is mirrored.",
    ],
  },
};

/** The kind whose limits hold for common webmail. */
export const commonWebmail: StandInId = "webmail-inline";

export const standInIds = Object.keys(standIns) as readonly StandInId[];

/** What document engines draw where the HTML does not say. */
export const documentEngine = {
  /** Wider borders are drawn at this width; px. */
  widestBorder: 8,
  /** The lightest weight that is drawn bold. */
  boldFrom: 600,
  /** The default colour of links in the HTML standard's rendering section. */
  linkColor: "#0000EE",
  /** Below a paragraph that declares no margin. */
  paragraphMargin: "0 0 12px",
} as const;

/** The longest run of characters without a break that the inline webmail leaves whole. */
export const longestWord = 30;
