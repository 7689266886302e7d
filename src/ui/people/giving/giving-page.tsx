"use client";

import { TriangleAlert } from "lucide-react";
import Link from "next/link";
import { endpoints, type GivingLook, type GivingShows, type PersonGiven, type WhoGetsWhat } from "@/contract";
import { ask } from "../../parts/asking/ask";
import { buttonClass } from "../../parts/button";
import { WordSwitch } from "../../parts/fields/word-switch";
import { formatCount } from "../../parts/format";
import { PeopleRows } from "../people-rows";
import { PersonLink } from "../person-link";
import { useLookingForPeople } from "../use-looking-for-people";
import { GivenSignatures } from "./given-signatures";
import { shortPurpose } from "./giving-words";

interface Props {
  readonly found: WhoGetsWhat;
  readonly look: GivingLook;
  /** The first of those who are found. */
  readonly people: readonly PersonGiven[];
}

const load = async (ids: readonly string[]): Promise<readonly PersonGiven[]> =>
  (await ask(endpoints.peopleGiven, { body: { ids: [...ids] } })).people;

/** Which signatures are for whom, who has none, and who has two of the same. */
export function GivingPage({ found, look, people }: Props) {
  const looking = useLookingForPeople("/people/signatures", look, {
    shows: look.shows === "all" ? "" : look.shows,
  });
  const { none, twice, all } = found;
  const shown = (looking.narrowed.shows || "all") as GivingShows;
  const choices: Readonly<Record<GivingShows, string>> = {
    all: "all",
    none: `without one (${none.toLocaleString("en")})`,
    twice: `two of the same (${twice.toLocaleString("en")})`,
  };
  return (
    <main className="mx-auto max-w-[1240px] px-5 pb-10">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2 pb-4 pt-3">
        <h1 className="font-serif text-[38px] leading-[44px] tracking-tight">Who gets what</h1>
        <p className="pb-1.5 text-soft">
          {none === 0
            ? "everybody"
            : `${(all - none).toLocaleString("en")} of ${formatCount(all, "person", "people")}`}{" "}
          {all - none === 1 ? "has" : "have"} a signature
          {twice > 0 && `, ${twice.toLocaleString("en")} two of the same`}
        </p>
        <Link href="/people" prefetch={false} className={`${buttonClass()} mb-1 ml-auto`}>
          All people
        </Link>
      </div>
      <section aria-labelledby="given" className="border-t border-pine pt-4">
        <h2 id="given" className="mb-1 font-serif text-xl">
          Signatures
        </h2>
        <GivenSignatures signatures={found.signatures} departments={found.departments} />
      </section>
      <section aria-labelledby="given-people" className="mt-8">
        <h2 id="given-people" className="mb-2 font-serif text-xl">
          People
        </h2>
        <PeopleRows
          label="People"
          {...{ looking, found, people, load }}
          estimate={34}
          row={(of) => <GivenRow of={of} />}
        >
          <WordSwitch
            label="Who is shown"
            value={shown}
            choices={choices}
            onChange={(shows) => looking.narrow({ ...looking.narrowed, shows: shows === "all" ? "" : shows })}
          />
        </PeopleRows>
      </section>
    </main>
  );
}

const GivenRow = ({ of }: { readonly of: PersonGiven }) => (
  <div className="grid grid-cols-[minmax(0,200px)_minmax(0,150px)_minmax(0,1fr)] items-baseline gap-x-5 border-b border-hairline py-1.5">
    <PersonLink id={of.id} name={of.name} />
    <p className="truncate text-soft">{of.department}</p>
    <p>
      {of.trouble && (
        <span className="mr-3 inline-flex items-baseline gap-1 text-clay">
          <TriangleAlert size={13} aria-hidden className="self-center" />
          {of.trouble === "none" ? "has none for every day" : "has two of the same"}
        </span>
      )}
      {of.signatures.map((each, index) => (
        <span key={each.id}>
          {index > 0 && " · "}
          <span className={each.twice ? "font-medium text-clay" : ""}>{each.name}</span>
          <span className="text-sm text-soft"> {shortPurpose(each.purpose)}</span>
        </span>
      ))}
    </p>
  </div>
);
