/**
 * The type that a line stands on (CSS Inline 3, section 2.2: its strut): that of its largest text. Written on the line
 * itself it makes every line exactly as high as declared; standing on a run inside, the smaller type of the cell would
 * stick out below it. Sizes in px.
 */
import type { Node } from "prosemirror-model";
import { attributesIn } from "./description";
import { font } from "./marks/font";
import { size } from "./marks/size";
import type { Settings } from "./settings";

export interface Strut {
  readonly font: string;
  readonly size: number;
}

/** Whether an inline node is drawn in type, and not a small picture or a break. */
export const isText = ({ type }: Node): boolean => type.name !== "inlinePicture" && type.name !== "break";

/** The type of the largest text among the children of a line or button; the signature's where there is none. */
export function strutOf(nodes: readonly Node[], settings: Pick<Settings, "font" | "size">): Strut {
  let largest: Strut | null = null;
  for (const { marks } of nodes.filter(isText)) {
    const own = attributesIn(size, marks)?.size ?? settings.size;
    if (!largest || own > largest.size)
      largest = { size: own, font: attributesIn(font, marks)?.font ?? settings.font };
  }
  return largest ?? { size: settings.size, font: settings.font };
}

export const sameStrut = (one: Strut, other: Strut): boolean =>
  one.font === other.font && one.size === other.size;

/**
 * The line height of type that stands on another strut: so low that it does not stick out, whatever its font's
 * ascent and descent are, and no lower, since some client may read it as that of the whole line. Null on its own strut.
 */
export function heightOnStrut(own: Strut, strut: Strut): number | null {
  if (sameStrut(own, strut)) return null;
  return own.font === strut.font ? own.size : Math.round(own.size * 0.8);
}
