/** What limits on HTML attributes and on pictures do, each under the sentence that tells it. */
import type { Feature, PictureAddress } from "./features";

/** As for declarations; a value takes the attribute's place. */
export type AttributeOutcome = null | "kept" | "dropped" | { readonly value: string };

export type AttributeLimit = (value: string, tagName: string) => AttributeOutcome;

const onlyOn =
  (...elements: readonly string[]): AttributeLimit =>
  (_value, tagName) =>
    elements.includes(tagName) ? null : "dropped";

const always: AttributeLimit = () => "dropped";
const kept: AttributeLimit = () => "kept";

/** Letters that a client puts before every id of a message. */
export const idPrefix = "shown-";

export const attributeLimits: Partial<Readonly<Record<Feature, Readonly<Record<string, AttributeLimit>>>>> = {
  "html-align": {
    "On tables the values left and right do nothing; a float does the same.": (value, tagName) =>
      tagName === "table" && /^(left|right)$/i.test(value.trim()) ? "dropped" : null,
  },
  "html-aria-labelledby": {
    "Every id gets a prefix, but the attribute goes on pointing to the id without it.": kept,
    "Every id is removed, so the attribute points to nothing.": kept,
  },
  "html-background": {
    "The attribute works on body only.": onlyOn("body"),
    "The attribute does not work in accounts with another provider.": always,
  },
  "html-lang": {
    "The attribute does not work on table cells.": (_value, tagName) =>
      tagName === "td" || tagName === "th" ? "dropped" : null,
  },
  "html-role": {
    "The attribute works on tables only.": onlyOn("table"),
  },
  "html-target": {
    "Every link is made to open in a new window.": (_value, tagName) =>
      tagName === "a" || tagName === "area" ? { value: "_blank" } : null,
  },
};

/** What becomes of a picture: it is gone, or served in another format. */
export type PictureOutcome = null | "dropped" | "served-as-jpeg";

export type PictureLimit = (picture: PictureAddress) => PictureOutcome;

export const pictureLimits: Partial<Readonly<Record<Feature, Readonly<Record<string, PictureLimit>>>>> = {
  "image-avif": {
    "Still pictures are served as JPEG and moving ones as GIF.": () => "served-as-jpeg",
  },
  "image-base64": {
    "Of pictures embedded as base64 only PNG is shown.": ({ format, embedded }) =>
      embedded && format !== "png" ? "dropped" : null,
    "Of pictures embedded as base64 GIF is not shown.": ({ format, embedded }) =>
      embedded && format === "gif" ? "dropped" : null,
  },
  "image-svg": {
    "The format is shown only in accounts with another provider, so in the provider's own accounts it is missing.":
      () => "dropped",
  },
  "image-webp": {
    "The picture is served as JPEG.": () => "served-as-jpeg",
  },
};
