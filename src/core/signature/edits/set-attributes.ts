/** Setting attributes of the node at a position, adding a step only where something changes. */
import type { Transform } from "prosemirror-transform";
import type { Attributes, AttributesOf, Description } from "../description";
import type { Settings } from "../settings";

const same = (one: unknown, other: unknown): boolean => JSON.stringify(one) === JSON.stringify(other);

/** Throws a RangeError when no node of the kind that is described begins at the position. */
export function setAttributes<T extends Transform, A extends Attributes>(
  transform: T,
  position: number,
  description: Description<A>,
  patch: Partial<AttributesOf<A>>,
): T {
  const node = transform.doc.nodeAt(position);
  if (!node || !description.is(node))
    throw new RangeError(`No ${description.names?.join(" or ") ?? "part"} at position ${position}`);
  for (const [name, value] of Object.entries(patch))
    if (!same(node.attrs[name], value)) transform.setNodeAttribute(position, name, value);
  return transform;
}

/** Sets settings of the whole signature. */
export function setSettings<T extends Transform>(transform: T, patch: Partial<Settings>): T {
  for (const [name, value] of Object.entries(patch))
    if (!same(transform.doc.attrs[name], value)) transform.setDocAttribute(name, value);
  return transform;
}
