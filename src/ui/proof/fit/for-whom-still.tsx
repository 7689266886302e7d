"use client";

import { standIns } from "@/core/clients";
import type { PersonStill } from "@/workers/fit.worker";
import { doneOfAll, ProgressLine } from "../../parts/progress-line";
import { SomeOf } from "../../parts/some-of";
import { saidOf } from "../../signature/stillness/said";
import type { Stillnesses } from "./use-fit";

interface Props {
  readonly still: Stillnesses;
  /** How many people there are. */
  readonly people: number;
  readonly onStop: () => void;
  readonly onAgain: () => void;
  /** Shows the proofs of somebody. */
  readonly onSee: (id: string) => void;
}

const plural = (count: number): string => (count === 1 ? "person" : "people");

/** For whom the signature is still in every proof, and for whom it is not: those for whom it is least first. */
export function ForWhomStill({
  still: { people, all, stopped },
  people: everybody,
  onStop,
  onAgain,
  onSee,
}: Props) {
  const most = people.reduce((best, each) => Math.max(best, each.still), 0);
  const still = people.filter((each) => each.still === each.all).length;
  const restless = [...people]
    .filter((each) => each.still < each.all)
    .sort((one, other) => one.still - other.still);
  // Those for whom it is as still as for anybody are counted, and the others listed.
  const alike = restless.filter((each) => each.still === most);
  const worse = restless.filter((each) => each.still < most);
  const done = people.length === all && all > 0;
  return (
    <section aria-labelledby="for-whom-still" className="mt-6">
      <h2 id="for-whom-still" className="mb-1 font-serif text-xl">
        {people.length === 0
          ? "How still it is for each"
          : `Still in every proof for ${still.toLocaleString("en")} of ${people.length.toLocaleString("en")} ${plural(people.length)}`}
      </h2>
      {!done && !stopped && (
        <ProgressLine
          label="People whose proofs are drawn"
          done={people.length}
          all={all}
          says={
            all > 0 ? `The proofs of ${doneOfAll(people.length, all)} people are drawn` : "Drawing proofs…"
          }
          onStop={onStop}
        />
      )}
      {stopped && (
        <p className="text-soft">
          It was stopped.{" "}
          <button type="button" className="text-pine underline" onClick={onAgain}>
            Try everybody
          </button>
        </p>
      )}
      {done && all < everybody && (
        <p className="text-soft">
          Drawn for the {all.toLocaleString("en")} whose details strain it most, of{" "}
          {everybody.toLocaleString("en")}.
        </p>
      )}
      {alike.length > 0 && (
        <p className="text-soft">
          For {alike.length.toLocaleString("en")} {plural(alike.length)} it is still in {most} of{" "}
          {alike[0]?.all}, and for nobody in more.
        </p>
      )}
      {worse.length > 0 && (
        <SomeOf
          all={worse}
          none=""
          keyOf={({ id }) => id}
          row={(each) => <Restless person={each} onSee={onSee} />}
        />
      )}
    </section>
  );
}

const Restless = ({
  person: { id, name, still, all, worst },
  onSee,
}: {
  readonly person: PersonStill;
  readonly onSee: (id: string) => void;
}) => (
  <div className="flex items-baseline gap-3 text-sm md:grid md:grid-cols-[260px_90px_minmax(0,1fr)_auto]">
    <bdi className="truncate font-medium">{name}</bdi>
    <span className="whitespace-nowrap text-clay">
      {still} of {all}
    </span>
    <span className="min-w-0 truncate text-soft">
      {worst && `${standIns[worst.client].name}: ${saidOf(worst)}`}
    </span>
    <button type="button" className="ml-auto text-pine underline" onClick={() => onSee(id)}>
      See the proofs<span className="sr-only"> of {name}</span>
    </button>
  </div>
);
