/** Another size or font in place of one, wherever text or the whole signature has it. Sizes in px. */
import type { Transform } from "prosemirror-transform";
import { schema } from "../schema";
import { settingsOf, type Settings } from "../settings";
import { setSettings } from "./set-attributes";

/** The setting, the mark and its attribute have one name. */
function replaceType<T extends Transform, K extends "size" | "font">(
  transform: T,
  name: K,
  from: Settings[K],
  to: Settings[K],
): T {
  if (settingsOf(transform.doc)[name] === from) setSettings(transform, { [name]: to });
  transform.doc.descendants((node, position) => {
    const own = node.isInline && schema.marks[name].isInSet(node.marks);
    if (own && own.attrs[name] === from)
      transform.addMark(position, position + node.nodeSize, schema.mark(name, { [name]: to }));
  });
  return transform;
}

export const resizeText = <T extends Transform>(transform: T, from: number, to: number): T =>
  replaceType(transform, "size", from, to);

export const refontText = <T extends Transform>(transform: T, from: string, to: string): T =>
  replaceType(transform, "font", from, to);
