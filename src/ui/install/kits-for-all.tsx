"use client";

import { Download, FolderDown } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { addressOf, endpoints, type FoundPeople, type KitsMade } from "@/contract";
import type { KitKind, PicturesIn } from "@/core/install-kinds";
import { follow, noAnswer } from "../parts/asking/ask";
import { Button, buttonClass } from "../parts/button";
import { ChoiceField } from "../parts/fields/choice-field";
import { FormProblem } from "../parts/form-problem";
import { formatBytes, formatCount } from "../parts/format";
import { ProgressLine, doneOfAll } from "../parts/progress-line";
import { chosenDepartment, departmentChoices, everyDepartment } from "../parts/people/department-choices";

interface Props {
  readonly id: string;
  readonly kind: KitKind;
  readonly pictures: PicturesIn;
  readonly departments: FoundPeople["departments"];
}

/** A kit for each person of the directory, in one zip with a folder for each. */
export function KitsForAll({ id, kind, pictures, departments }: Props) {
  const [whom, setWhom] = useState(everyDepartment);
  const [told, setTold] = useState<KitsMade | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const running = useRef<AbortController | null>(null);
  useEffect(() => () => running.current?.abort(), []);
  const all = departments.reduce((sum, { people }) => sum + people, 0);
  if (all === 0) return null;

  const make = async (): Promise<void> => {
    const own = new AbortController();
    running.current = own;
    setProblem(null);
    setTold({ kind: "progress", done: 0, all });
    let made = false;
    try {
      await follow(
        endpoints.makeKits,
        { params: { id, kind }, body: { department: chosenDepartment(whom), pictures }, signal: own.signal },
        (next) => {
          made = next.kind === "made";
          setTold(next);
        },
      );
      if (!made) throw new Error(noAnswer);
    } catch (error) {
      setTold(null);
      if (!own.signal.aborted) setProblem((error as Error).message);
    }
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
          onStop={() => running.current?.abort()}
        />
      ) : (
        <div className="flex flex-wrap items-end gap-4">
          <ChoiceField<string>
            label="For whom"
            value={whom}
            choices={departmentChoices(departments, `everybody (${all.toLocaleString("en")})`)}
            onChange={(next) => {
              setWhom(next);
              setTold(null);
            }}
            className="w-72"
          />
          <Button onClick={() => void make()}>
            <FolderDown size={16} aria-hidden />
            Make the kits
          </Button>
        </div>
      )}
      <FormProblem>{problem}</FormProblem>
      {told?.kind === "made" && (
        <div className="mt-3">
          <p role="status">
            {formatCount(told.made, "kit")} made
            {told.failed.length > 0 && `, ${told.failed.length.toLocaleString("en")} could not be made`}.
          </p>
          <ul className="text-sm text-clay">
            {told.failed.slice(0, 20).map(({ name, reason }, index) => (
              <li key={index}>
                {name || "A person without a name"}: {reason}
              </li>
            ))}
          </ul>
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
