/** A picture that stands in a line of text or in an icon row, level with what is beside it. Sizes in px. */
import { inlineKind, marked } from "../kind";
import type { ReadPieces } from "../piece";
import { pictureSource, widest } from "../values";
import { image, imageElement, standing, type PictureAttributes } from "./picture";

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

/** The px that a picture of unknown size is shown at, so that it can be seen and measured. */
const unknownSize = 100;

/** A picture from elsewhere, by its address; its size is what its attributes or its style say. */
function readImage(element: HTMLElement): PictureAttributes | false {
  const source = (element.getAttribute("src") ?? "").trim();
  if (pictureSource.check(source) !== null) return false;
  const side = (name: "width" | "height"): number => {
    const given = Number.parseFloat(element.style[name] || (element.getAttribute(name) ?? ""));
    return given >= 1 ? Math.min(widest, Math.round(given)) : unknownSize;
  };
  const alt = (element.getAttribute("alt") ?? "").slice(0, 300);
  return { source, width: side("width"), height: side("height"), alt, decorative: false };
}

export const inlinePictureKind = inlineKind({
  name: "inlinePicture",
  word: "picture",
  structure: { inline: true, group: "inline", atom: true, selectable: true, draggable: true },
  attributes: image.attributes,
  parse: [{ tag: "img[src^='http']", getAttrs: readImage }],
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
