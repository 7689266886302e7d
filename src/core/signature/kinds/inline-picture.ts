/** A picture that stands in a line of text or in an icon row, level with what is beside it. Sizes in px. */
import type { ReadPieces } from "../inline";
import { marked, type InlineKind } from "../kind";
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

export const inlinePictureKind: InlineKind = {
  name: "inlinePicture",
  word: "picture",
  structure: { inline: true, group: "inline", atom: true, selectable: true, draggable: true },
  attributes: pictureAttributes,
  draw(node) {
    const { source, width, height, alt } = node.attrs as PictureAttributes;
    return [
      "img",
      {
        ...marked(node),
        src: source,
        width,
        height,
        alt,
        style: `display:inline;vertical-align:middle;width:${width}px;height:${height}px`,
      },
    ];
  },
  read: readInlinePicture,
};
