"use client";

import { ArrowRight } from "lucide-react";
import { useState } from "react";
import {
  fieldLabel,
  fieldsOf,
  typedValue,
  type FieldId,
  type ListReading,
  type Person,
  type ReadList,
} from "@/core/people";
import { SomeOf } from "../../parts/some-of";
import { formatCount } from "../../parts/format";
import { CheckField } from "../../parts/fields/check-field";
import { BrokenLines } from "./broken-lines";

interface Props {
  readonly list: ReadList;
  readonly mended: ListReading["mended"];
  readonly takesOut: boolean;
  readonly onTakesOut: (takesOut: boolean) => void;
  readonly onMend: (line: number, text: string) => void;
}

type Part = "added" | "changed" | "missing" | "broken";

/** What a list would do to the directory. */
export function PlanView({ list, mended, takesOut, onTakesOut, onMend }: Props) {
  const { plan, cut, photos } = list;
  const counts: readonly (readonly [Part, number, string])[] = [
    ["added", plan.added.length, "come"],
    ["changed", plan.changed.length, "change"],
    ["missing", plan.missing.length, "not in the list"],
    ["broken", plan.broken.length, "cannot be read"],
  ];
  const [chosen, setChosen] = useState<Part | null>(null);
  const first = counts.find(([, count]) => count > 0)?.[0] ?? "added";
  const open = chosen ?? first;
  const mends = Object.keys(mended).length;
  return (
    <section aria-labelledby="what-it-does" className="min-w-0">
      <h2 id="what-it-does" className="mb-2 font-serif text-xl">
        What it would do
      </h2>
      {cut && (
        <p role="alert" className="mb-2 text-clay">
          The list has more than 100,000 people: those after them are not read.
        </p>
      )}
      {photos.held.length > 0 && (
        <p className="mb-2 text-sm text-soft">
          {formatCount(photos.held.length, "card holds a photograph", "cards hold a photograph")}: whose each
          is you see next, before it is kept.
        </p>
      )}
      {photos.elsewhere > 0 && (
        <p className="mb-2 text-sm text-soft">
          {formatCount(photos.elsewhere, "card gives", "cards give")} a web address in place of a photograph.
          It is not fetched from there.
        </p>
      )}
      <div
        role="tablist"
        aria-label="Parts of the list"
        className="flex flex-wrap gap-x-6 border-b border-hairline"
      >
        {counts.map(([part, count, says]) => (
          <button
            key={part}
            type="button"
            role="tab"
            id={`tab-${part}`}
            aria-selected={open === part}
            aria-controls="plan-part"
            onClick={() => setChosen(part)}
            className={`-mb-px flex items-baseline gap-1.5 border-b-2 pb-1 ${open === part ? "border-pine" : "border-transparent text-soft hover:border-hairline"}`}
          >
            <span
              className={`font-serif text-2xl ${part === "broken" && count > 0 ? "text-clay" : count > 0 ? "text-ink" : ""}`}
            >
              {count.toLocaleString("en")}
            </span>
            {says}
          </button>
        ))}
        <p className="ml-auto self-end pb-1 text-sm text-soft">
          {plan.same.toLocaleString("en")} as they are
          {mends > 0 && ` · ${mends} mended`}
        </p>
      </div>
      <div role="tabpanel" id="plan-part" aria-labelledby={`tab-${open}`} className="pt-2">
        {open === "added" && (
          <SomeOf
            key="added"
            all={plan.added}
            none="Nobody new is in the list."
            keyOf={({ line }) => line}
            row={({ line, person }) => (
              <>
                <Who name={person.name} line={line} />
                <p className="text-sm text-soft [overflow-wrap:anywhere]">{restOf(person)}</p>
              </>
            )}
          />
        )}
        {open === "changed" && (
          <SomeOf
            key="changed"
            all={plan.changed}
            none="What the list says of people is what the directory has."
            keyOf={({ id }) => id}
            row={({ line, person, from, to }) => (
              <>
                <Who name={person.name} line={line} />
                {(Object.keys(to) as FieldId[]).map((field) => (
                  <p key={field} className="flex flex-wrap items-baseline gap-x-1.5 text-sm">
                    <span className="text-soft">{fieldLabel(field)}</span>
                    <del className="decoration-soft">{from[field] || "nothing"}</del>
                    <ArrowRight size={12} aria-label="becomes" className="self-center text-soft" />
                    <ins className="font-medium no-underline">{to[field] || "nothing"}</ins>
                  </p>
                ))}
              </>
            )}
          />
        )}
        {open === "missing" && (
          <>
            {plan.missing.length > 0 && (
              <CheckField
                label="Take these people out of the directory. They can be taken back."
                className="mb-2"
                checked={takesOut}
                onChange={onTakesOut}
              />
            )}
            <SomeOf
              key="missing"
              all={plan.missing}
              none="Everybody of the directory is in the list."
              keyOf={({ id }) => id}
              row={({ person }) => (
                <>
                  <p className={takesOut ? "line-through" : ""}>
                    <bdi>{person.name}</bdi>
                  </p>
                  <p className="text-sm text-soft">
                    {[person.title, person.mail].filter(Boolean).join(" · ")}
                  </p>
                </>
              )}
            />
          </>
        )}
        {open === "broken" && <BrokenLines broken={plan.broken} onMend={onMend} />}
      </div>
    </section>
  );
}

/** What somebody who comes has besides their name. */
const restOf = (person: Person): string =>
  fieldsOf([person])
    .filter((field) => field !== "name")
    .map((field) => typedValue(person, field))
    .filter(Boolean)
    .join(" · ");

const Who = ({ name, line }: { name: string; line: number }) => (
  <p className="flex items-baseline gap-2">
    <bdi>{name}</bdi>
    <span className="ml-auto shrink-0 text-xs text-soft">line {line.toLocaleString("en")}</span>
  </p>
);
