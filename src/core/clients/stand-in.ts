/** What describes a simulated kind of mail client. Lengths in px. */
import type table from "./facts/client-support.json";
import type { FontSet } from "./faces";
import type { OwnBehaviour } from "./transforms/own-behaviours";

export type StandInId = keyof (typeof table.features)["css-margin"];

/**
 * What happens to colours in dark mode: kept; light backgrounds darkened and dark text lightened; every colour's lightness
 * mirrored; or a dark canvas on which text that is too dark is lightened, and set backgrounds are kept.
 */
export type DarkMode = "none" | "partial" | "full" | "canvas";

/** What a client makes links of by itself. */
export type OwnLink = "phone" | "address" | "date";

export type Mode = "light" | "dark";

export interface StandIn {
  readonly id: StandInId;
  readonly name: string;
  readonly family: "webmail" | "desktop" | "phone";
  /** Width of the message pane that is drawn, in px. */
  readonly width: number;
  readonly darkMode: DarkMode;
  /** The colours of its message area in either mode, before a message says its own. */
  readonly canvas: Readonly<Record<Mode, string>>;
  readonly text: Readonly<Record<Mode, string>>;
  readonly linkColor: Readonly<Record<Mode, string>>;
  /** The type of its message area where a message says none: a font stack, and a size. */
  readonly type: { readonly family: string; readonly size: number };
  /** What is installed where it runs. */
  readonly fonts: FontSet;
  /** Draws what is wider than its pane smaller as a whole. */
  readonly shrinks: boolean;
  /** Whether animated pictures play, or show their first frame only. */
  readonly loops: "play" | "first-frame";
  /** Whether remote pictures are fetched by the reader, through a cache of the provider's, or when the reader asks for them. */
  readonly pictures: "fetched" | "cached" | "asked";
  readonly ownLinks: readonly OwnLink[];
  /** How an answer quotes: moved in behind a rule, moved in, or under a rule without being moved. */
  readonly quote: "ruled" | "indented" | "under-rule";
  /** Characters of HTML that its signature settings take; null without a limit. */
  readonly signatureLimit: number | null;
  /** What it does that is neither in the tables nor a value above. */
  readonly behaviours: readonly OwnBehaviour[];
  /** Said to the user beside the proof, in plain words, before the limits that the tables tell of it. */
  readonly facts: readonly string[];
}
