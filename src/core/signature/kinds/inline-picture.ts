/** A picture that stands in a line of text or in an icon row, level with what is beside it. Sizes in px. */
import { inlineKind, marked } from "../kind";
import type { ReadPieces } from "../piece";
import { image, imageElement, standing } from "./picture";

export const readInlinePicture: ReadPieces = (node, writing) => {
  const picture = image.of(node);
  if (!picture.source) return [];
  return [
    {
      role: "content",
      link: null,
      plain: picture.alt,
      html: () =>
        imageElement(
          picture,
          writing.standingPictures ? standing : { border: 0, "vertical-align": "middle" },
          writing,
        ),
    },
  ];
};

export const inlinePictureKind = inlineKind({
  name: "inlinePicture",
  word: "picture",
  structure: { inline: true, group: "inline", atom: true, selectable: true, draggable: true },
  attributes: image.attributes,
  draw(node) {
    const { source, width, height, alt } = image.of(node);
    return [
      "img",
      {
        ...marked(node),
        src: source,
        width,
        height,
        alt,
        style: `display:inline;vertical-align:middle;width:${width}px;height:${height}px;--proportion:${width / height}`,
      },
    ];
  },
  read: readInlinePicture,
});
