/** A picture that stands as a block in its cell: a photo, a logo, a banner. Display sizes in CSS px. */
import { publicAddress } from "../../addresses";
import { element, type Declarations } from "../../html";
import { writtenAddress } from "../../links";
import { pictureField } from "../../people";
import { choice, flag, optional, px, text, type TypeOf } from "../../values";
import { attribute, describeAttributes, needed, type AttributesOf } from "../description";
import { blockKind, marked, partAttributes } from "../kind";
import { linkTarget, pictureSource, widest } from "../values";
import { linkAddress, type Writing } from "../writing";

const imageAttributes = {
  /** A hosted path `/h/…` or an address from elsewhere; empty while none is chosen. */
  source: needed(pictureSource),
  width: needed(px(1, widest)),
  height: needed(px(1, widest)),
  /** What is read out, and shown while pictures are blocked. */
  alt: attribute(text(300), ""),
  /** Decorative pictures are the only ones whose alt text may be empty. */
  decorative: attribute(flag, false),
};

/** Every picture, as a block or in a line. */
export const image = describeAttributes(["picture", "inlinePicture"], imageAttributes);
export type PictureAttributes = AttributesOf<typeof imageAttributes>;

/** What stands in the place of somebody's own picture where they have none: their initials, the picture itself, or nothing. */
export const substitute = choice("initials", "picture", "nothing");
export type Substitute = TypeOf<typeof substitute>;

export const picture = describeAttributes(["picture"], {
  ...partAttributes,
  ...imageAttributes,
  link: attribute(optional(linkTarget), null),
  /**
   * The field whose picture it shows of each person, made as this one was made: in the same frame, size and colours. Null where it
   * is the same for everybody.
   */
  field: attribute(optional(pictureField), null),
  without: attribute(substitute, "initials"),
});

/**
 * How a picture stands that is alone in its place: clients that draw every picture as part of a line, whatever its style
 * says, leave no gap for descenders below one at the line's top.
 */
export const standing = { display: "block", border: 0, "vertical-align": "top" } as const;

/** The `img` of a picture: its size as attribute and style, however it is placed. */
export const imageElement = (shown: PictureAttributes, placing: Declarations, writing: Writing): string =>
  element(
    "img",
    {
      src: writtenAddress(publicAddress(shown.source, writing.base)),
      width: shown.width,
      height: shown.height,
      alt: shown.alt,
    },
    { ...placing, width: shown.width, height: shown.height },
  );

/** A box of the size that the picture will have. */
const emptyPlace = ({ width, height }: PictureAttributes): string =>
  element("div", {}, { width, height, "max-width": "100%", "background-color": "#E3E6E1" }, "");

export const pictureKind = blockKind({
  name: "picture",
  word: "picture",
  structure: { group: "block", atom: true, selectable: true, draggable: true },
  attributes: picture.attributes,
  draw(node) {
    const { source, width, height, alt } = picture.of(node);
    if (!source) {
      const style = `width:${width}px;height:${height}px`;
      return ["div", { ...marked(node), class: "drawn-picture-place", style }, `${width} × ${height}`];
    }
    return [
      "img",
      {
        ...marked(node),
        src: source,
        width,
        height,
        alt,
        style: `display:block;width:${width}px;height:${height}px`,
      },
    ];
  },
  leastWidth: (node) => picture.of(node).width,
  write(node, writing) {
    const own = picture.of(node);
    if (!own.source) return writing.picturePlaces ? emptyPlace(own) : "";
    const drawn = imageElement(own, standing, writing);
    return own.link
      ? element(
          "a",
          { href: linkAddress(own.link, writing) },
          { color: writing.settings.linkColor, "text-decoration": "none" },
          drawn,
        )
      : drawn;
  },
  writePlain(node, writing) {
    const { alt, link } = picture.of(node);
    if (!link) return "";
    const address = publicAddress(link, writing.base);
    return alt ? `${alt} <${address}>` : address;
  },
});
