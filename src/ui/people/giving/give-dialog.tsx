"use client";

import { useState } from "react";
import type { FoundPeople, ListedGiven } from "@/contract";
import type { Audience, Giving, Purpose } from "@/core/people";
import { Button } from "../../parts/button";
import { DialogFrame } from "../../parts/dialog-frame";
import { CheckField } from "../../parts/fields/check-field";
import { ChoiceField } from "../../parts/fields/choice-field";
import { WordSwitch } from "../../parts/fields/word-switch";
import { purposeNames } from "./giving-words";
import { PeopleNamed, type Named } from "./people-named";

interface Props {
  readonly of: ListedGiven;
  readonly departments: FoundPeople["departments"];
  readonly onClose: () => void;
  /** Resolves to whether it went well. */
  readonly onGive: (giving: Giving) => Promise<boolean>;
}

const whom: Readonly<Record<Audience["kind"], string>> = {
  everybody: "everybody",
  some: "departments or people",
  nobody: "nobody yet",
};

/** Whom a signature is for, and what for. */
export function GiveDialog({ of, departments, onClose, onGive }: Props) {
  const [kind, setKind] = useState(of.audience.kind === "nobody" ? "some" : of.audience.kind);
  const [purpose, setPurpose] = useState(of.purpose);
  const [within, setWithin] = useState(of.audience.kind === "some" ? of.audience.departments : []);
  const [named, setNamed] = useState<readonly Named[]>(of.named);
  const [busy, setBusy] = useState(false);
  // A department that nobody is in any more can still be taken out.
  const gone = within.filter((name) => departments.every((each) => each.name !== name));
  const offered = [...departments, ...gone.map((name) => ({ name, people: 0 }))];
  const give = async (): Promise<void> => {
    setBusy(true);
    const audience: Audience =
      kind !== "some"
        ? { kind }
        : within.length === 0 && named.length === 0
          ? { kind: "nobody" }
          : { kind, departments: within, people: named.map(({ id }) => id) };
    if (await onGive({ audience, purpose })) onClose();
    setBusy(false);
  };
  return (
    <DialogFrame
      title={`Whom “${of.name}” is for`}
      description="It shows each of them their own details."
      onClose={onClose}
      className="w-[560px] overflow-y-auto"
    >
      <form
        noValidate
        className="mt-4"
        onSubmit={(event) => {
          event.preventDefault();
          void give();
        }}
      >
        <WordSwitch label="Whom it is for" value={kind} choices={whom} onChange={setKind} />
        {kind === "some" && (
          <div className="mt-4 grid gap-x-8 gap-y-4 sm:grid-cols-2">
            <fieldset>
              <legend className="text-xs text-soft">Departments</legend>
              <div className="mt-1 max-h-52 space-y-1 overflow-y-auto">
                {offered.map(({ name, people }) => (
                  <CheckField
                    key={name}
                    label={`${name || "who has none"} (${people.toLocaleString("en")})`}
                    checked={within.includes(name)}
                    onChange={(checked) =>
                      setWithin(checked ? [...within, name] : within.filter((each) => each !== name))
                    }
                  />
                ))}
              </div>
            </fieldset>
            <PeopleNamed label="And by name" named={named} onChange={setNamed} />
          </div>
        )}
        <ChoiceField<Purpose>
          label="What it is for"
          className="mt-4 w-64"
          value={purpose}
          choices={purposeNames}
          onChange={setPurpose}
        />
        <Button type="submit" look="primary" className="mt-5" disabled={busy}>
          Give it so
        </Button>
      </form>
    </DialogFrame>
  );
}
