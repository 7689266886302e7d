/** A picture of foreign HTML: where it lies, how large it is shown, and whether it is one at all. Lengths in px. */
import { attributeOf, type Element } from "../../html";
import { pictureSource, widest } from "../../signature";
import type { Box } from "../style/look";
import type { PictureRead } from "./parts";

/** Where a picture's bytes are. */
export type PictureKind = "remote" | "embedded" | "attached" | "relative";

export function pictureKind(address: string): PictureKind {
  if (/^data:/i.test(address)) return "embedded";
  if (/^cid:/i.test(address)) return "attached";
  return /^(https?:)?\/\//i.test(address) ? "remote" : "relative";
}

/** What stands for a picture of the message in the document. */
export interface FoundPicture {
  readonly source: string;
  /** Its own size, for where the message does not say how large it is shown. */
  readonly width?: number;
  readonly height?: number;
}

/** Answers with what a picture's address is in the document; null while it is not there. */
export type FindPicture = (address: string) => FoundPicture | null;

/** A picture that the message shows, as the importer was told of it. */
export interface MentionedPicture {
  readonly kind: PictureKind;
  /** As the message writes it. */
  readonly address: string;
  readonly alt: string;
  /** Whether the document shows it; its place is kept where it does not. */
  readonly found: boolean;
  /** How wide it is shown; px. */
  readonly width: number;
}

/** The px that a picture of unknown size is shown at, so that it can be seen and measured. */
const unknownSize = 100;

const clamped = (length: number): number => Math.min(widest, Math.max(1, Math.round(length)));

export type PictureReading =
  | {
      readonly is: "picture";
      /** Whether others see it where it lies. */
      readonly found: boolean;
      readonly picture: PictureRead;
      readonly sizeKnown: boolean;
      readonly asked: string;
    }
  /** One or two px that nobody sees: it counts who opens the mail. */
  | { readonly is: "pixel" }
  /** Nothing but room. */
  | { readonly is: "room"; readonly width: number; readonly height: number }
  | { readonly is: "nothing" };

const roomNames =
  /(^|[/_-])(spacer|blank|clear|transparent|shim|pixel|trans|dot)([_-]?\d*)?\.(gif|png)(\?|$)/i;

const resolved = (length: Box["width"], room: number | null): number | null =>
  length === null
    ? null
    : "px" in length
      ? length.px
      : room === null || length.percent === 0
        ? null
        : (room * length.percent) / 100;

/** Reads an `img`, shown with its box in `room` px of width. */
export function readPicture(
  element: Element,
  box: Box,
  room: number | null,
  find: FindPicture,
): PictureReading {
  const address = (attributeOf(element, "src") ?? "").trim();
  if (address === "") return { is: "nothing" };
  const given = { width: resolved(box.width, room), height: box.height };
  const { width, height } = given;
  if (width !== null && height !== null && width <= 2 && height <= 2) return { is: "pixel" };
  if (roomNames.test(address) || (width !== null && height !== null && Math.min(width, height) < 1))
    return { is: "room", width: width ?? 0, height: height ?? 0 };
  const found = find(address);
  const proportion = found?.width && found.height ? found.width / found.height : 1;
  const shown = {
    width: width ?? (height !== null ? height * proportion : (found?.width ?? unknownSize)),
    height: height ?? (width !== null ? width / proportion : (found?.height ?? unknownSize)),
  };
  // What lies on a disk or beside the message keeps its name, so that it can be found and taken in.
  const named = pictureKind(address) === "embedded" ? "" : address.replace(/^\/\//, "https://");
  const source = found?.source ?? named.replace(/["<>\u0000-\u001f\u007f]/g, encodeURIComponent);
  const alt = (attributeOf(element, "alt") ?? "").replace(/[\u0000-\u001f\u007f]+/g, " ").slice(0, 300);
  return {
    is: "picture",
    found: found !== null || pictureKind(address) === "remote",
    picture: {
      source: pictureSource.check(source) === null ? source : "",
      width: clamped(shown.width),
      height: clamped(shown.height),
      alt,
      decorative: attributeOf(element, "alt") === "" && attributeOf(element, "role") === "presentation",
    },
    sizeKnown: (width !== null && height !== null) || Boolean(found?.width),
    asked: address,
  };
}
