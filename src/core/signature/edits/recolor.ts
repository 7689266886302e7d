/** Another colour in place of one, wherever text has it. */
import type { Transform } from "prosemirror-transform";
import { attributesIn } from "../description";
import { button } from "../kinds/button";
import { textColor } from "../marks/color";
import { link } from "../marks/link";
import { schema } from "../schema";
import { settingsOf } from "../settings";
import { setAttributes, setSettings } from "./set-attributes";

/** Of text, of links, of the words of buttons, and in the settings of the signature. Colours are six hex digits. */
export function recolorText<T extends Transform>(transform: T, from: string, to: string): T {
  const { textColor: ofText, linkColor: ofLinks } = settingsOf(transform.doc);
  const patch = { ...(ofText === from && { textColor: to }), ...(ofLinks === from && { linkColor: to }) };
  if (Object.keys(patch).length > 0) setSettings(transform, patch);
  transform.doc.descendants((node, position) => {
    if (button.is(node) && button.of(node).color === from)
      setAttributes(transform, position, button, { color: to });
    if (!node.isInline) return;
    const end = position + node.nodeSize;
    if (attributesIn(textColor, node.marks)?.color === from)
      transform.addMark(position, end, schema.mark("color", { color: to }));
    const own = attributesIn(link, node.marks);
    if (own?.color === from) transform.addMark(position, end, schema.mark("link", { ...own, color: to }));
  });
  return transform;
}
