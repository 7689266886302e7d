"use client";

import { useEffect, useState } from "react";
import { toast } from "sonner";
import { endpoints } from "@/contract";
import { fieldLabel, isPictureField, type Condition, type ConditionTest, type FieldId } from "@/core/people";
import { isHiddenFrom, part } from "@/core/signature";
import { ask } from "../../parts/asking/ask";
import { CheckField } from "../../parts/fields/check-field";
import { ChoiceField } from "../../parts/fields/choice-field";
import { Section } from "../../parts/section";
import { useBench } from "../bench-context";
import { selectedParts, showFor } from "../editor/part-commands";

const everybody = "everybody";

const tests: Readonly<Record<ConditionTest | typeof everybody, string>> = {
  everybody: "everybody",
  filled: "whoever has a detail",
  empty: "whoever lacks a detail",
  "one of": "some departments, places …",
  "none of": "all but some departments, places …",
};

/** The field that a condition begins with. */
const first: Readonly<Record<ConditionTest, FieldId>> = {
  filled: "phone",
  empty: "phone",
  "one of": "department",
  "none of": "department",
};

const lists = (is: ConditionTest): boolean => is === "one of" || is === "none of";

/** Whom the selected part, or the selected rows, are for. */
export function ShownForChoice() {
  const { editor, fields, altContext } = useBench();
  const { person } = altContext;
  const targets = selectedParts(editor.state);
  const [target] = targets;
  if (!target) return null;
  const { shownFor } = part.of(target.node);
  const what =
    target.node.type.name === "row"
      ? targets.length > 1
        ? "These rows are"
        : "This row is"
      : "This part is";
  const set = (next: Condition | null): void => void editor.run(showFor(next), { focus: false });
  const choose = (chosen: ConditionTest | typeof everybody): void => {
    if (chosen === everybody) return set(null);
    const same = shownFor && lists(shownFor.is) === lists(chosen);
    set({ field: same ? shownFor.field : first[chosen], is: chosen, details: same ? shownFor.details : [] });
  };
  const offered = fields.filter((field) => !shownFor || !lists(shownFor.is) || !isPictureField(field));
  const known = shownFor && !offered.includes(shownFor.field) ? [...offered, shownFor.field] : offered;
  return (
    <Section title="Whom it is for">
      <ChoiceField<ConditionTest | typeof everybody>
        label={`${what} shown for`}
        value={shownFor?.is ?? everybody}
        choices={tests}
        onChange={choose}
      />
      {shownFor && (
        <>
          <ChoiceField<FieldId>
            label="Which detail"
            className="mt-2"
            value={shownFor.field}
            choices={
              Object.fromEntries(known.map((field) => [field, fieldLabel(field)])) as Record<FieldId, string>
            }
            onChange={(field) => set({ ...shownFor, field, details: [] })}
          />
          {lists(shownFor.is) && <DetailChoices key={shownFor.field} of={shownFor} onChange={set} />}
          {person && (
            <p role="status" className="mt-2 text-xs text-soft">
              <bdi>{person.name}</bdi> {isHiddenFrom(target.node, person) ? "does not see it." : "sees it."}
            </p>
          )}
        </>
      )}
    </Section>
  );
}

interface DetailProps {
  readonly of: Condition;
  readonly onChange: (condition: Condition) => void;
}

/** The details that people have in a field, to be ticked. */
function DetailChoices({ of, onChange }: DetailProps) {
  const { field, details } = of;
  const [found, setFound] = useState<readonly string[] | null>(null);
  useEffect(() => {
    let gone = false;
    ask(endpoints.detailsIn, { query: { field } })
      .then(({ details: there }) => !gone && setFound(there))
      .catch((error: unknown) => !gone && void toast.error((error as Error).message));
    return () => {
      gone = true;
    };
  }, [field]);
  // What nobody has any more can still be taken out.
  const offered = [...(found ?? []), ...details.filter((detail) => !(found ?? []).includes(detail))];
  return (
    <fieldset className="mt-2">
      <legend className="text-xs text-soft">{fieldLabel(field)}</legend>
      {found && offered.length === 0 && <p className="text-soft">Nobody has anything there.</p>}
      <div className="max-h-44 space-y-0.5 overflow-y-auto text-sm">
        {offered.map((detail) => (
          <CheckField
            key={detail}
            label={detail}
            checked={details.includes(detail)}
            onChange={(checked) =>
              onChange({
                ...of,
                details: checked ? [...details, detail] : details.filter((each) => each !== detail),
              })
            }
          />
        ))}
      </div>
    </fieldset>
  );
}
