/** Another size or font in place of one, wherever text or the whole signature has it. Sizes in px. */
import type { Transform } from "prosemirror-transform";
import { attributesIn } from "../description";
import { font } from "../marks/font";
import { size } from "../marks/size";
import { schema } from "../schema";
import { settingsOf } from "../settings";
import { setSettings } from "./set-attributes";

export function resizeText<T extends Transform>(transform: T, from: number, to: number): T {
  if (settingsOf(transform.doc).size === from) setSettings(transform, { size: to });
  transform.doc.descendants((node, position) => {
    if (node.isInline && attributesIn(size, node.marks)?.size === from)
      transform.addMark(position, position + node.nodeSize, schema.mark("size", { size: to }));
  });
  return transform;
}

export function refontText<T extends Transform>(transform: T, from: string, to: string): T {
  if (settingsOf(transform.doc).font === from) setSettings(transform, { font: to });
  transform.doc.descendants((node, position) => {
    if (node.isInline && attributesIn(font, node.marks)?.font === from)
      transform.addMark(position, position + node.nodeSize, schema.mark("font", { font: to }));
  });
  return transform;
}
