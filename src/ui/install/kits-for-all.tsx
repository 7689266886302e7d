"use client";

import { Download, FolderDown } from "lucide-react";
import { useState } from "react";
import { addressOf, endpoints, type FoundPeople, type KitsMade, type KitsWhom } from "@/contract";
import type { KitKind, PicturesIn } from "@/core/install-kinds";
import { follow } from "../parts/asking/ask";
import { useFollowing } from "../parts/asking/use-following";
import { Button, buttonClass } from "../parts/button";
import { ChoiceField } from "../parts/fields/choice-field";
import { FormProblem } from "../parts/form-problem";
import { formatBytes, formatCount } from "../parts/format";
import { ProgressLine, doneOfAll } from "../parts/progress-line";
import { chosenDepartment, departmentChoices, everyDepartment } from "../parts/people/department-choices";
import { FailedForList } from "../parts/people/failed-for";
import { PeopleNamed, type Named } from "../people/giving/people-named";

interface Props {
  readonly id: string;
  readonly kind: KitKind;
  readonly pictures: PicturesIn;
  readonly departments: FoundPeople["departments"];
  /** How many people the signature is given to. */
  readonly theirs: number;
}

/** Beside departments, none of which begins with a space. */
const given = " given";
const byName = " by name";

/** A kit for each person of the directory, in one zip with a folder for each. */
export function KitsForAll({ id, kind, pictures, departments, theirs }: Props) {
  const [whom, setWhom] = useState(theirs > 0 ? given : everyDepartment);
  const [named, setNamed] = useState<readonly Named[]>([]);
  const { told, problem, start, stop, forget } = useFollowing<Extract<KitsMade, { kind: "made" }>>();
  const all = departments.reduce((sum, { people }) => sum + people, 0);
  if (all === 0) return null;

  const wanted = (): KitsWhom => {
    if (whom === given) return { kind: "theirs" };
    if (whom === byName) return { kind: "chosen", people: named.map((each) => each.id) };
    const name = chosenDepartment(whom);
    return name === null ? { kind: "everybody" } : { kind: "department", name };
  };

  const make = (): Promise<void> => {
    const body = { whom: wanted(), pictures };
    return start(all, (signal, onTold) =>
      follow(endpoints.makeKits, { params: { id, kind }, body, signal }, onTold),
    );
  };

  return (
    <section aria-labelledby="for-everybody" className="mt-6 border-t border-hairline pt-3">
      <h3 id="for-everybody" className="font-serif text-lg">
        For everybody
      </h3>
      <p className="pb-2 text-soft">
        One zip with a folder for each person: this kit with their own details, its pictures as chosen above.
      </p>
      {told?.kind === "progress" ? (
        <ProgressLine
          label="Kits that are made"
          done={told.done}
          all={told.all}
          says={doneOfAll(told.done, told.all)}
          onStop={stop}
        />
      ) : (
        <>
          <div className="flex flex-wrap items-end gap-4">
            <ChoiceField<string>
              label="For whom"
              value={whom}
              choices={{
                ...(theirs > 0 && { [given]: `whoever it is given to (${theirs.toLocaleString("en")})` }),
                ...departmentChoices(departments, `everybody (${all.toLocaleString("en")})`),
                [byName]: "people chosen by name",
              }}
              onChange={(next) => {
                setWhom(next);
                forget();
              }}
              className="w-72"
            />
            <Button disabled={whom === byName && named.length === 0} onClick={() => void make()}>
              <FolderDown size={16} aria-hidden />
              Make the kits
            </Button>
          </div>
          {whom === byName && (
            <PeopleNamed label="Who" className="mt-3 w-72" named={named} onChange={setNamed} />
          )}
        </>
      )}
      <FormProblem>{problem}</FormProblem>
      {told?.kind === "made" && (
        <div className="mt-3">
          <p role="status">
            {formatCount(told.made, "kit")} made
            {told.failed.length > 0 && `, ${told.failed.length.toLocaleString("en")} could not be made`}.
          </p>
          <FailedForList failed={told.failed} />
          <a
            href={addressOf(endpoints.takeKits, { file: told.file })}
            download
            className={`${buttonClass("primary")} mt-2`}
          >
            <Download size={16} aria-hidden />
            Download the zip ({formatBytes(told.bytes)})
          </a>
        </div>
      )}
    </section>
  );
}
