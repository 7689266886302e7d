/** The whole document: the settings that every part takes from, around one outer table. Sizes in px. */
import type { Campaign } from "../../links";
import { campaign, flag, hexColor, linkTarget, number, oneOf, optional, text, textSize } from "../values";
import type { BlockKind } from "../kind";
import { writeChildren, writePlainChildren } from "../writing";

export interface Settings {
  /** The family's name; the stack behind it comes from the web-safe fonts. */
  readonly font: string;
  readonly size: number;
  /** A ratio of the size, 1.0 to 2.0. */
  readonly lineHeight: number;
  readonly textColor: string;
  readonly linkColor: string;
  readonly linkUnderline: boolean;
  /** Width that the outer table must not pass. */
  readonly maxWidth: number;
  readonly direction: "ltr" | "rtl";
  /** A BCP 47 tag, or empty. */
  readonly language: string;
  /** Where dates and postal addresses lead, which phones would otherwise link by themselves, in their own blue. */
  readonly visitLink: string | null;
  /** Parameters that each web link gets when it is compiled, or null. */
  readonly campaign: Campaign | null;
}

export const defaultSettings: Settings = {
  font: "Arial",
  size: 13,
  lineHeight: 1.4,
  textColor: "#333333",
  linkColor: "#1F5B57",
  linkUnderline: false,
  maxWidth: 600,
  direction: "ltr",
  language: "",
  visitLink: null,
  campaign: null,
};

export const signatureKind: BlockKind = {
  name: "signature",
  word: "signature",
  structure: { content: "table" },
  attributes: {
    font: { default: defaultSettings.font, check: text(60) },
    size: { default: defaultSettings.size, check: textSize },
    lineHeight: { default: defaultSettings.lineHeight, check: number(1, 2, 0.05) },
    textColor: { default: defaultSettings.textColor, check: hexColor },
    linkColor: { default: defaultSettings.linkColor, check: hexColor },
    linkUnderline: { default: defaultSettings.linkUnderline, check: flag },
    maxWidth: { default: defaultSettings.maxWidth, check: number(100, 1200, 1) },
    direction: { default: defaultSettings.direction, check: oneOf("ltr", "rtl") },
    language: { default: defaultSettings.language, check: text(35) },
    visitLink: { default: defaultSettings.visitLink, check: optional(linkTarget) },
    campaign: { default: defaultSettings.campaign, check: optional(campaign) },
  },
  draw: () => ["div", 0],
  write: writeChildren,
  writePlain: writePlainChildren,
};
