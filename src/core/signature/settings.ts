/** What every part of a signature takes from: the attributes of the whole document. Sizes in px. */
import type { Node } from "prosemirror-model";
import { campaign } from "../links";
import { choice, color, flag, optional, px, text, textSize } from "../values";
import { attribute, describeAttributes, type AttributesOf } from "./description";
import { languageTag, lineHeight, linkTarget, widest } from "./values";

export const signatureSettings = describeAttributes(["signature"], {
  /** The family's name; the stack behind it comes from the web-safe fonts. */
  font: attribute(text(60), "Arial"),
  size: attribute(textSize, 13),
  lineHeight: attribute(lineHeight, 1.4),
  textColor: attribute(color, "#333333"),
  linkColor: attribute(color, "#1F5B57"),
  linkUnderline: attribute(flag, false),
  /** Width that the outer table must not pass. */
  maxWidth: attribute(px(100, widest), 600),
  direction: attribute(choice("ltr", "rtl"), "ltr"),
  /** A BCP 47 tag, or empty. */
  language: attribute(languageTag, ""),
  /** Where dates and postal addresses lead, which phones would otherwise link by themselves, in their own blue. */
  visitLink: attribute(optional(linkTarget), null),
  /** Parameters that each web link gets when it is compiled, or null. */
  campaign: attribute(optional(campaign), null),
});

export type Settings = AttributesOf<typeof signatureSettings.attributes>;

export const settingsOf = (document: Node): Settings => signatureSettings.of(document);
