"use client";

import type { Node } from "prosemirror-model";
import type { ComponentType } from "react";
import { setAttributes, type Attributes, type AttributesOf, type Description } from "@/core/signature";
import { useBench } from "../bench-context";
import type { Placed } from "../editor/selection";

/** What the measures of a kind of part are shown from. */
export interface MeasuresOfPart<A extends Attributes> {
  readonly node: Node;
  readonly position: number;
  readonly attributes: AttributesOf<A>;
  readonly set: (patch: Partial<AttributesOf<A>>) => void;
}

/** The measures of a part of the kind that is described: they read and set its attributes only as described. */
export function measured<A extends Attributes>(
  description: Description<A>,
  Measures: ComponentType<MeasuresOfPart<A>>,
): ComponentType<{ readonly part: Placed }> {
  return function Measured({ part: { node, position } }) {
    const { editor } = useBench();
    return (
      <Measures
        node={node}
        position={position}
        attributes={description.of(node)}
        set={(patch) =>
          editor.apply(({ tr }) => setAttributes(tr, position, description, patch), { focus: false })
        }
      />
    );
  };
}
