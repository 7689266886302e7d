/** A picture that stands in a line of text or in an icon row, level with what is beside it. Sizes in px. */
import { drawnFrom } from "../../pictures";
import type { ReadPieces } from "../inline";
import { marked, type InlineKind } from "../kind";
import { pictureSource } from "../values";
import { imageElement, pictureAttributes, type PictureAttributes } from "./picture";

export const readInlinePicture: ReadPieces = (node, writing) => {
  const picture = node.attrs as PictureAttributes;
  if (!picture.source) return [];
  return [
    {
      role: "content",
      link: null,
      plain: picture.alt,
      html: () =>
        imageElement(
          picture,
          writing.standingPictures
            ? { display: "block", border: 0 }
            : { border: 0, "vertical-align": "middle" },
          writing,
        ),
    },
  ];
};

/** The px that a picture of unknown size is shown at, so that it can be seen and measured. */
const unknownSize = 100;

/** A picture from elsewhere, by its address; its size is what its attributes or its style say. */
function readImage(image: HTMLElement): PictureAttributes | false {
  const source = image.getAttribute("src")!.trim();
  if (pictureSource(source) !== null) return false;
  const side = (name: "width" | "height"): number => {
    const given = Number.parseFloat(image.style[name] || (image.getAttribute(name) ?? ""));
    return given >= 1 ? Math.min(1200, Math.round(given)) : unknownSize;
  };
  const alt = (image.getAttribute("alt") ?? "").slice(0, 300);
  return { source, width: side("width"), height: side("height"), alt, decorative: false };
}

export const inlinePictureKind: InlineKind = {
  name: "inlinePicture",
  word: "picture",
  structure: { inline: true, group: "inline", atom: true, selectable: true, draggable: true },
  attributes: pictureAttributes,
  parse: [{ tag: "img[src^='http']", getAttrs: readImage }],
  draw(node) {
    const { source, width, height, alt } = node.attrs as PictureAttributes;
    return [
      "img",
      {
        ...marked(node),
        src: drawnFrom(source),
        width,
        height,
        alt,
        style: `display:inline;vertical-align:middle;width:${width}px;height:${height}px`,
      },
    ];
  },
  read: readInlinePicture,
};
