"use client";

import { Popover } from "radix-ui";
import { memo, type ReactNode } from "react";
import { ChoiceField } from "../../parts/fields/choice-field";
import { PopoverPanel } from "../../parts/popover-panel";
import type { MeasuredProof } from "../../signature/stillness/measure-proofs";
import { notesOf, saidOf } from "../../signature/stillness/said";
import { placeNames, placeText, readPlaces, type Place } from "./shown-proofs";

interface Props {
  readonly name: string;
  readonly place: Place;
  /** Which place of the strip it is. */
  readonly index: number;
  readonly onPlace: (index: number, place: Place) => void;
  /** As it was measured last; null before that. */
  readonly measured: MeasuredProof | null;
  /** Whether that is of what is shown, and not of what was before the last keys. */
  readonly current: boolean;
  /** What opens beside what is said of it; made when it opens. */
  readonly told: () => ReactNode;
}

const Now = ({ told }: Pick<Props, "told">): ReactNode => told();

/** What stands in a place of the strip, and what was measured of it. A key draws none of it anew. */
export const StripHead = memo(function StripHead(props: Props) {
  const { name, place, index, onPlace, measured, current, told } = props;
  const said = measured ? [saidOf(measured), ...notesOf(measured)].join("; ") : "not measured yet";
  return (
    <>
      <ChoiceField
        label={`What stands here: ${name}`}
        quiet
        value={placeText(place)}
        choices={
          place === "least-still" ? { ...placeNames, "least-still": `Least still: ${name}` } : placeNames
        }
        look="text-[13px] leading-5 hover:text-pine"
        onChange={(next) => onPlace(index, readPlaces(next)[0] ?? "least-still")}
      />
      <Popover.Root>
        <Popover.Trigger
          aria-label={`${name}: ${said}. What is not still, and what it changes`}
          data-still={measured?.still}
          className={`block max-w-full truncate rounded-sm text-left text-xs leading-4 font-medium hover:underline ${
            !measured || !current ? "text-soft" : measured.still ? "text-lichen" : "text-clay"
          }`}
        >
          {said}
        </Popover.Trigger>
        <PopoverPanel label={`${name}, measured`} align="start" className="w-96 p-3 text-sm">
          <Now told={told} />
        </PopoverPanel>
      </Popover.Root>
    </>
  );
});
