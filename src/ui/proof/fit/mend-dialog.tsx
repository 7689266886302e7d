"use client";

/** The changes that would make a line fit, each drawn with the details of whoever strains it most. */
import { useState } from "react";
import type { Node } from "prosemirror-model";
import { Transform } from "prosemirror-transform";
import type { Cut } from "@/contract";
import { compile } from "@/core/compile";
import { applyFitMends, choiceSays, fitMendsSay, tightSays, type FitMend } from "@/core/fit";
import type { Person } from "@/core/people";
import { outerTable, tableMap } from "@/core/signature";
import type { MendableLine } from "@/workers/fit.worker";
import { Button } from "../../parts/button";
import { DialogFrame } from "../../parts/dialog-frame";
import { frameMargin } from "../../parts/drawing/frame-document";
import { localPictures } from "../../parts/drawing/local-pictures";
import { SignatureFrame } from "../../parts/drawing/signature-frame";
import { RadioChoice } from "../../parts/fields/radio-choice";
import { useOwnPictures } from "../../signature/use-own-pictures";

interface Props {
  readonly document: Node;
  readonly line: MendableLine;
  readonly base: string;
  readonly learnCut: (cut: Cut) => void;
  readonly onKeep: (mends: readonly FitMend[]) => void;
  readonly onClose: () => void;
}

/** The room for a drawn signature; px. */
const room = 444;
/** Two of them stand in a dialog at once. */
const largest = 0.8;

const widthOf = (document: Node): number => 2 * frameMargin + tableMap(outerTable(document)).width;

export function MendDialog({ document, line, base, learnCut, onKeep, onClose }: Props) {
  const { choices, people, worst } = line;
  const [chosen, setChosen] = useState(0);
  const person = useOwnPictures(document, line.person, learnCut);
  const choice = choices[chosen];
  if (!choice) return null;
  const mended = applyFitMends(new Transform(document), choice.mends).doc;
  // Both are drawn at one scale, so that they can be compared.
  const shown = { width: Math.max(widthOf(document), widthOf(mended)), person, base };
  return (
    <DialogFrame
      title="Make it fit"
      description={`Drawn for ${line.person.name}, whose details strain it most: ${tightSays(worst)}.`}
      onClose={onClose}
      className="w-[900px] overflow-y-auto"
    >
      <div className="mt-4 grid gap-6 md:grid-cols-[minmax(0,1fr)_470px]">
        <div className="min-w-0">
          <fieldset>
            <legend className="pb-1 font-serif text-lg">What to change</legend>
            {choices.map((each, index) => (
              <RadioChoice
                key={each.mends.map(({ kind }) => kind).join(" ")}
                name="mend"
                checked={index === chosen}
                onChange={() => setChosen(index)}
                text={fitMendsSay(document, each.mends)}
                more={choiceSays(each, people)}
              />
            ))}
          </fieldset>
          <div className="mt-4 flex gap-3">
            <Button look="primary" onClick={() => onKeep(choice.mends)}>
              Mend it
            </Button>
            <Button onClick={onClose}>Leave it as it is</Button>
          </div>
        </div>
        <div className="flex min-w-0 flex-col gap-4">
          <Drawn name="Now" document={document} {...shown} />
          <Drawn name="Mended" document={mended} {...shown} />
        </div>
      </div>
    </DialogFrame>
  );
}

function Drawn({
  name,
  document,
  width,
  person,
  base,
}: {
  readonly name: string;
  readonly document: Node;
  readonly width: number;
  readonly person: Person | null;
  readonly base: string;
}) {
  const html = compile(document, { destination: "webmail-paste", person, base });
  return (
    <section aria-label={name}>
      <h3 className="mb-1 text-sm text-soft">{name}</h3>
      <div className="border border-hairline bg-white p-3">
        <SignatureFrame
          html={localPictures(html, base)}
          label={`${name}, for ${person?.name ?? "nobody"}`}
          width={width}
          scale={Math.min(largest, room / width)}
        />
      </div>
    </section>
  );
}
