"use client";

import Link from "next/link";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { endpoints } from "@/contract";
import { isHosted } from "@/core/addresses";
import { fieldLabel, isPictureField, readPictureDetail, typedValue, type FieldId } from "@/core/people";
import { picture, substitute, type Substitute } from "@/core/signature";
import { ask } from "../../parts/asking/ask";
import { Button } from "../../parts/button";
import { ChoiceField } from "../../parts/fields/choice-field";
import { Section } from "../../parts/section";
import { keepDetailOfCut } from "../../people/portraits/keep-detail";
import { useBench } from "../bench-context";
import { measured, type MeasuresOfPart } from "./measures-of-part";

const same = "same";

const instead: Readonly<Record<Substitute, string>> = {
  initials: "their initials",
  picture: "the picture placed here",
  nothing: "nothing: the place closes up",
};

/** Whether a picture is the same for everybody or each person's own, and what stands for who has none. */
function WhosePictureMeasures({ attributes, set }: MeasuresOfPart<typeof picture.attributes>) {
  const { fields: known, linking, altContext } = useBench();
  const { field, without, source } = attributes;
  const { person } = altContext;
  const { personId, personName } = linking;
  const offeredFields = known.filter(isPictureField);
  const fields = field && !offeredFields.includes(field) ? [...offeredFields, field] : offeredFields;
  const choices: Record<string, string> = {
    [same]: "the same for everybody",
    ...Object.fromEntries(fields.map((each) => [each, `${fieldLabel(each)} of each person`])),
  };
  const offered = substitute.choices.filter((each) => each !== "picture" || source !== "");
  return (
    <Section title="Whose picture">
      <ChoiceField<string>
        label="It shows"
        value={field ?? same}
        choices={choices}
        onChange={(chosen) => set({ field: chosen === same ? null : (chosen as FieldId) })}
      />
      {field && (
        <>
          <ChoiceField<Substitute>
            label="Where there is none"
            className="mt-2"
            value={without}
            choices={Object.fromEntries(offered.map((each) => [each, instead[each]])) as typeof instead}
            onChange={(chosen) => set({ without: chosen })}
          />
          {person && personId && personName === person.name && (
            <OfPerson {...{ field, source, personId }} name={person.name} value={typedValue(person, field)} />
          )}
          <p className="mt-2 text-xs text-soft">
            Frame, size and colours of its cut are everybody’s. Which part of a photograph shows is each
            person’s.
          </p>
        </>
      )}
    </Section>
  );
}

interface OfPersonProps {
  readonly field: FieldId;
  /** Of the picture that is placed. */
  readonly source: string;
  readonly personId: string;
  readonly name: string;
  /** What is in their field. */
  readonly value: string;
}

/** What the person that it is drawn for has there. */
function OfPerson({ field, source, personId, name, value }: OfPersonProps) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const label = fieldLabel(field).toLowerCase();
  const keep = async (): Promise<void> => {
    setBusy(true);
    try {
      const { cut } = await ask(endpoints.findCut, { query: { source } });
      if (await keepDetailOfCut(cut, { id: personId, name, field, value })) router.refresh();
      else
        toast(`The picture that is placed here is no photograph, so it cannot be the ${label} of ${name}.`);
    } catch (error) {
      toast.error((error as Error).message);
    }
    setBusy(false);
  };
  const has = readPictureDetail(value) !== null;
  return (
    <div className="mt-2 text-sm">
      <p>
        <bdi>{name}</bdi> {has ? `has a ${label}.` : `has no ${label} yet.`}{" "}
        <Link href={`/people/${personId}`} prefetch={false} className="text-pine underline">
          {has ? "Move or change it" : "Choose one"}
        </Link>
      </p>
      {!has && isHosted(source) && (
        <Button className="mt-1.5" disabled={busy} onClick={() => void keep()}>
          Use the photograph placed here
        </Button>
      )}
    </div>
  );
}

export const WhosePicture = measured(picture, WhosePictureMeasures);
