import type { Node } from "prosemirror-model";

/** What the measures of each kind of part are shown from. */
export interface MeasuresOfPart {
  readonly node: Node;
  readonly position: number;
  /** The node's attributes, each of the type that its measure has. */
  readonly attributes: Readonly<Record<string, never>>;
  readonly set: (patch: Record<string, unknown>) => void;
}
