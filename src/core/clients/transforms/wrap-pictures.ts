/** Each picture in a span of its own, in which it floats to neither side. */
import { append, attributeOf, createElement, elementsIn, insertBefore } from "../../html";
import type { OwnMessage } from "../message";

const floats = /^\s*(left|right)\s*$/i;

export function wrapPictures({ body, reportAt }: OwnMessage): void {
  for (const picture of elementsIn(body)) {
    const parent = picture.parentNode;
    if (picture.tagName !== "img" || !parent) continue;
    if (floats.test(attributeOf(picture, "align") ?? ""))
      reportAt(picture)("picture-wrapped", "align", "a picture in a span of its own floats to neither side");
    // As high and as wide as the picture, so that a float inside it moves nothing around it.
    const wrapper = createElement(
      "span",
      floats.test(attributeOf(picture, "align") ?? "") ? { style: "display:inline-block" } : {},
    );
    insertBefore(parent, wrapper, picture);
    parent.childNodes.splice(parent.childNodes.indexOf(picture), 1);
    append(wrapper, picture);
  }
}
