"use client";

import { Trash2 } from "lucide-react";
import type { ComponentType } from "react";
import {
  button,
  divider,
  iconRow,
  image,
  personField,
  removePart,
  separator,
  spacer,
} from "@/core/signature";
import { Button } from "../../parts/button";
import { useBench } from "../bench-context";
import type { Placed } from "../editor/selection";
import { ButtonMeasures } from "./button-measures";
import { DividerMeasures, SpacerMeasures } from "./gap-measures";
import { IconRowMeasures } from "./icon-row-measures";
import { FieldMeasures, SeparatorMeasures } from "./inline-measures";
import { measured } from "./measures-of-part";
import { PictureMeasures } from "./picture-measures";
import { ShortFormChoice } from "./short-form-choice";

const pictureMeasures = measured(image, PictureMeasures);
const measures: Readonly<Record<string, ComponentType<{ readonly part: Placed }>>> = {
  picture: pictureMeasures,
  inlinePicture: pictureMeasures,
  spacer: measured(spacer, SpacerMeasures),
  divider: measured(divider, DividerMeasures),
  separator: measured(separator, SeparatorMeasures),
  personField: measured(personField, FieldMeasures),
  iconRow: measured(iconRow, IconRowMeasures),
  button: measured(button, ButtonMeasures),
};

/** The measures of a part that is selected as a whole. */
export function PartMeasures({ part }: { part: Placed }) {
  const { node, position } = part;
  const { editor } = useBench();
  const Measures = measures[node.type.name];
  const remove = (): void =>
    editor.apply(({ tr }) =>
      node.isBlock ? removePart(tr, position) : tr.delete(position, position + node.nodeSize),
    );
  return (
    <>
      {Measures && <Measures part={part} />}
      {node.isBlock && <ShortFormChoice />}
      <Button look="quiet" className="-ml-3 text-rowan" onClick={remove}>
        <Trash2 size={15} aria-hidden />
        Take it out
      </Button>
    </>
  );
}
