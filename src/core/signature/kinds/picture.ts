/** A picture that stands as a block in its cell: a photo, a logo, a banner. Display sizes in CSS px. */
import { drawnFrom } from "../../pictures";
import { element, type Declarations } from "../html";
import { marked, partAttributes, type BlockKind } from "../kind";
import { flag, linkTarget, number, optional, pictureSource, text } from "../values";
import { linkAddress, publicAddress, type Writing } from "../writing";

export interface PictureAttributes {
  /** A hosted path `/h/…` or an address from elsewhere. */
  readonly source: string;
  readonly width: number;
  readonly height: number;
  /** What is read out, and shown while pictures are blocked. */
  readonly alt: string;
  /** Decorative pictures are the only ones whose alt text may be empty. */
  readonly decorative: boolean;
}

export const pictureAttributes = {
  source: { check: pictureSource },
  width: { check: number(1, 1200, 1) },
  height: { check: number(1, 1200, 1) },
  alt: { default: "", check: text(300) },
  decorative: { default: false, check: flag },
};

/** The `img` of a picture: its size as attribute and style, however it is placed. */
export const imageElement = (picture: PictureAttributes, placing: Declarations, writing: Writing): string =>
  element(
    "img",
    {
      src: publicAddress(picture.source, writing.base),
      width: picture.width,
      height: picture.height,
      alt: picture.alt,
    },
    { ...placing, width: picture.width, height: picture.height },
  );

/** A box of the size that the picture will have. */
const emptyPlace = ({ width, height }: PictureAttributes): string =>
  element("div", {}, { width, height, "max-width": "100%", "background-color": "#E3E6E1" }, "");

export const pictureKind: BlockKind = {
  name: "picture",
  word: "picture",
  structure: { group: "block", atom: true, selectable: true, draggable: true },
  attributes: {
    ...partAttributes,
    ...pictureAttributes,
    link: { default: null, check: optional(linkTarget) },
  },
  draw(node) {
    const { source, width, height, alt } = node.attrs as PictureAttributes;
    if (!source) {
      const style = `width:${width}px;height:${height}px`;
      return ["div", { ...marked(node), class: "drawn-picture-place", style }, `${width} × ${height}`];
    }
    return [
      "img",
      {
        ...marked(node),
        src: drawnFrom(source),
        width,
        height,
        alt,
        style: `display:block;width:${width}px;height:${height}px`,
      },
    ];
  },
  write(node, writing) {
    const picture = node.attrs as PictureAttributes & { link: string | null };
    if (!picture.source) return writing.picturePlaces ? emptyPlace(picture) : "";
    const image = imageElement(picture, { display: "block", border: 0 }, writing);
    return picture.link
      ? element(
          "a",
          { href: linkAddress(picture.link, writing) },
          { color: writing.settings.linkColor, "text-decoration": "none" },
          image,
        )
      : image;
  },
  writePlain(node, writing) {
    const { alt, link } = node.attrs as PictureAttributes & { link: string | null };
    if (!link) return "";
    const address = publicAddress(link, writing.base);
    return alt ? `${alt} <${address}>` : address;
  },
};
