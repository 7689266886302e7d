/** Setting attributes of the node at a position, adding a step only where something changes. */
import type { Transform } from "prosemirror-transform";

const same = (one: unknown, other: unknown): boolean => JSON.stringify(one) === JSON.stringify(other);

/** Throws a RangeError when no node begins at the position. */
export function setAttributes(
  transform: Transform,
  position: number,
  patch: Readonly<Record<string, unknown>>,
): Transform {
  const node = transform.doc.nodeAt(position);
  if (!node) throw new RangeError(`No node at position ${position}`);
  for (const [name, value] of Object.entries(patch))
    if (!same(node.attrs[name], value)) transform.setNodeAttribute(position, name, value);
  return transform;
}

/** Sets settings of the whole signature. */
export function setSettings(transform: Transform, patch: Readonly<Record<string, unknown>>): Transform {
  for (const [name, value] of Object.entries(patch))
    if (!same(transform.doc.attrs[name], value)) transform.setDocAttribute(name, value);
  return transform;
}
