"use client";

import { Crop } from "lucide-react";
import { isHosted } from "@/core/addresses";
import { readPictureDetail, typedValue } from "@/core/people";
import { image, picture, placeWithPicture } from "@/core/signature";
import { Button } from "../../parts/button";
import { CheckField } from "../../parts/fields/check-field";
import { Section } from "../../parts/section";
import { useBench } from "../bench-context";
import { measured, type MeasuresOfPart } from "./measures-of-part";
import { SizeFields, useResizing, wordsOnPixels } from "./picture-size";
import { WhosePicture } from "./whose-picture";

/** A picture that is each person's own: its cut is everybody's, and what is cut is whoever's it is drawn for. */
function Measures({ node, position, attributes, set }: MeasuresOfPart<typeof picture.attributes>) {
  const { settings, altContext, pictureFacts, cutPicture } = useBench();
  const { busy, resize } = useResizing(position);
  const { source, width, height, field, decorative } = attributes;
  const { person } = altContext;
  const shown = image.of(placeWithPicture(node, person, settings)).source;
  const has = person && field ? readPictureDetail(typedValue(person, field)) !== null : false;
  // Initials have nothing to be cut from, and then it is the picture placed here whose cut is everybody's.
  const cut = has ? shown : source;

  return (
    <>
      {isHosted(cut) && !cut.endsWith(".gif") && (
        <Button look="primary" className="mb-3" onClick={() => cutPicture(cut, position)}>
          <Crop size={15} aria-hidden />
          Cut it
        </Button>
      )}
      <Section title="Display size">
        <SizeFields
          width={width}
          height={height}
          disabled={busy}
          onChange={(asked) => (source === "" ? set(asked) : void resize(asked))}
        />
        <p aria-live="polite" className="mt-1 text-xs text-soft">
          {busy
            ? "Cutting…"
            : shown === ""
              ? "There is nothing to show here of whoever it is drawn for."
              : wordsOnPixels({ source: shown, width, height }, pictureFacts[shown])}
        </p>
      </Section>
      <WhosePicture part={{ node, position }} />
      <Section title="Said while pictures are blocked">
        <p className="text-sm">{decorative ? "Nothing." : "The name of whoever it shows."}</p>
        <CheckField
          label="Only decoration: say nothing"
          checked={decorative}
          onChange={(on) => set({ decorative: on })}
          className="mt-2"
        />
      </Section>
    </>
  );
}

export const OwnPictureMeasures = measured(picture, Measures);
