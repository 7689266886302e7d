"use client";

import { Trash2 } from "lucide-react";
import type { ComponentType } from "react";
import {
  button,
  divider,
  iconRow,
  image,
  isOwnPicture,
  personField,
  removePart,
  separator,
  spacer,
} from "@/core/signature";
import { Button } from "../../parts/button";
import { lazily } from "../../parts/lazily";
import { useBench } from "../bench-context";
import type { Placed } from "../editor/selection";
import { ButtonMeasures } from "./button-measures";
import { DividerMeasures, SpacerMeasures } from "./gap-measures";
import { FieldMeasures, SeparatorMeasures } from "./inline-measures";
import { measured } from "./measures-of-part";
import { OwnPictureMeasures } from "./own-picture-measures";
import { PictureMeasures } from "./picture-measures";
import { ShortFormChoice } from "./short-form-choice";
import { ShownForChoice } from "./shown-for-choice";
import { WhosePicture } from "./whose-picture";

/** The only measures that weigh: a list that is put in order by drag and by key. */
export const iconRowMeasures = lazily(() =>
  import("./icon-row-measures").then(({ IconRowMeasures }) => IconRowMeasures),
);

const PictureOfAll = measured(image, PictureMeasures);

/** A picture as a block: the same for everybody, or each person's own. */
function BlockPicture({ part }: { readonly part: Placed }) {
  if (isOwnPicture(part.node)) return <OwnPictureMeasures part={part} />;
  return (
    <>
      <PictureOfAll part={part} />
      <WhosePicture part={part} />
    </>
  );
}

const measures: Readonly<Record<string, ComponentType<{ readonly part: Placed }>>> = {
  picture: BlockPicture,
  inlinePicture: PictureOfAll,
  spacer: measured(spacer, SpacerMeasures),
  divider: measured(divider, DividerMeasures),
  separator: measured(separator, SeparatorMeasures),
  personField: measured(personField, FieldMeasures),
  iconRow: measured(iconRow, iconRowMeasures.Component),
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
      {node.isBlock && (
        <>
          <ShownForChoice />
          <ShortFormChoice />
        </>
      )}
      <Button look="quiet" className="-ml-3 text-rowan" onClick={remove}>
        <Trash2 size={15} aria-hidden />
        Take it out
      </Button>
    </>
  );
}
