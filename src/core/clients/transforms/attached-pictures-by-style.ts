/** Pictures that come attached to the message (RFC 2392) are as wide as their style says, whatever their attribute. */
import { attributeOf, removeAttribute, walkElements } from "../../html";
import type { OwnMessage } from "../message";

export function attachedPicturesByStyle({ body, reportAt }: OwnMessage): void {
  walkElements(body, (picture) => {
    if (picture.tagName !== "img" || !/^\s*cid:/i.test(attributeOf(picture, "src") ?? "")) return;
    if (attributeOf(picture, "width") === null) return;
    reportAt(picture)("attribute-dropped", "width", "on attached pictures only the width in a style counts");
    removeAttribute(picture, "width");
  });
}
