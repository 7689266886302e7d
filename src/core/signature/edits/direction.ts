/** The direction that a signature is written in: turning it mirrors what stands on one side. */
import type { Node } from "prosemirror-model";
import type { Transform } from "prosemirror-transform";
import { cell } from "../kinds/cell-attributes";
import { line } from "../kinds/line";
import { settingsOf, type Settings } from "../settings";
import type { Sides } from "../values";
import { setAttributes, setSettings } from "./set-attributes";

const mirroredSides = <T>({ top, right, bottom, left }: Sides<T>): Sides<T> => ({
  top,
  right: left,
  bottom,
  left: right,
});

/** The other side; the middle, and what follows the direction by itself, stay. */
const mirroredAlign = <A extends "left" | "center" | "right">(
  align: A | null,
): A | "left" | "right" | null => (align === "left" ? "right" : align === "right" ? "left" : align);

function mirror(transform: Transform, node: Node, position: number): void {
  if (cell.is(node)) {
    const { padding, border, align } = cell.of(node);
    setAttributes(transform, position, cell, {
      padding: mirroredSides(padding),
      border: mirroredSides(border),
      align: mirroredAlign(align),
    });
  } else if (line.is(node)) {
    setAttributes(transform, position, line, { align: mirroredAlign(line.of(node).align) });
  }
}

/**
 * Writes a signature in a direction. Where it was written in the other one, the padding, borders and alignment of its
 * cells and lines change sides with it; doing so twice gives it back. Columns follow the direction by themselves.
 */
export function setDirection<T extends Transform>(transform: T, direction: Settings["direction"]): T {
  const { doc } = transform;
  if (settingsOf(doc).direction === direction) return transform;
  doc.descendants((node, position) => mirror(transform, node, position));
  return setSettings(transform, { direction });
}
