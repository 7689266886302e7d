"use client";

import { Trash2 } from "lucide-react";
import type { ComponentType } from "react";
import { removePart, setAttributes } from "@/core/signature";
import { Button } from "../../parts/button";
import { useBench } from "../bench-context";
import type { Placed } from "../editor/selection";
import { ButtonMeasures } from "./button-measures";
import { DividerMeasures, SpacerMeasures } from "./gap-measures";
import { IconRowMeasures } from "./icon-row-measures";
import { FieldMeasures, SeparatorMeasures } from "./inline-measures";
import type { MeasuresOfPart } from "./measures-of-part";
import { PictureMeasures } from "./picture-measures";
import { ShortFormChoice } from "./short-form-choice";

const measures: Readonly<Record<string, ComponentType<MeasuresOfPart>>> = {
  picture: PictureMeasures,
  inlinePicture: PictureMeasures,
  spacer: SpacerMeasures,
  divider: DividerMeasures,
  separator: SeparatorMeasures,
  personField: FieldMeasures,
  iconRow: IconRowMeasures,
  button: ButtonMeasures,
};

/** The measures of a part that is selected as a whole. */
export function PartMeasures({ part: { node, position } }: { part: Placed }) {
  const { editor } = useBench();
  const Measures = measures[node.type.name];
  const set = (patch: Record<string, unknown>): void =>
    editor.apply(({ tr }) => setAttributes(tr, position, patch) as typeof tr, { focus: false });
  const remove = (): void =>
    editor.apply(({ tr }) =>
      node.isBlock ? (removePart(tr, position) as typeof tr) : tr.delete(position, position + node.nodeSize),
    );
  return (
    <>
      {Measures && (
        <Measures
          node={node}
          position={position}
          attributes={node.attrs as MeasuresOfPart["attributes"]}
          set={set}
        />
      )}
      {node.isBlock && <ShortFormChoice />}
      <Button look="quiet" className="-ml-3 text-rowan" onClick={remove}>
        <Trash2 size={15} aria-hidden />
        Take it out
      </Button>
    </>
  );
}
