"use client";

import { Command } from "cmdk";
import { Check } from "lucide-react";
import { useEffect, useEffectEvent, useRef, useState } from "react";
import { endpoints, longestSearch, type PersonChoice } from "@/contract";
import { ask } from "../asking/ask";

interface Props {
  readonly value: string | null;
  /** What is typed already. */
  readonly begins: string;
  /** What is said of nobody; null where nobody cannot be chosen. */
  readonly nobody: string | null;
  readonly onChoose: (person: PersonChoice | null) => void;
}

interface Found {
  readonly look: string;
  readonly people: readonly PersonChoice[];
}

/** Letters closer together than this are asked for at once; ms. */
const gatherFor = 120;

/** The choice that is no person; ids have no spaces. */
const nobodyValue = "nobody in particular";

const item =
  "flex cursor-pointer items-baseline gap-2 px-2 py-1 text-sm outline-none data-[selected=true]:bg-kelp";

/** Those whom some letters mean, and what there is to tell them apart. */
export function PersonChoices({ value, begins, nobody, onChoose }: Props) {
  const [typed, setTyped] = useState(begins);
  const [found, setFound] = useState<Found | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [marked, setMarked] = useState("");
  const look = typed.trim();
  /** Who is shown was found by other letters: Enter chooses the first of those who are on their way. */
  const stale = found !== null && found.look !== look;
  const takesFirst = useRef(false);

  const arrive = useEffectEvent((next: Found): void => {
    if (takesFirst.current && next.people[0]) return onChoose(next.people[0]);
    takesFirst.current = false;
    setFound(next);
    setProblem(null);
  });

  useEffect(() => {
    let wanted = true;
    const timer = setTimeout(
      () =>
        void ask(endpoints.choosePeople, { query: { look } }).then(
          ({ choices }) => {
            if (wanted) arrive({ look, people: choices });
          },
          (error: Error) => wanted && setProblem(error.message),
        ),
      look === "" ? 0 : gatherFor,
    );
    return () => {
      wanted = false;
      clearTimeout(timer);
    };
  }, [look]);

  const people = found?.people ?? [];
  const offersNobody = nobody !== null && look === "";
  const first = offersNobody ? nobodyValue : (people[0]?.id ?? "");
  const isThere = people.some(({ id }) => id === marked) || (offersNobody && marked === nobodyValue);
  return (
    <Command
      shouldFilter={false}
      label="People"
      value={isThere ? marked : first}
      onValueChange={setMarked}
      onKeyDown={(event) => {
        if (event.key !== "Enter" || (!stale && found !== null)) return;
        event.preventDefault();
        takesFirst.current = true;
      }}
    >
      <Command.Input
        autoFocus
        value={typed}
        onValueChange={(next) => {
          takesFirst.current = false;
          setTyped(next);
        }}
        maxLength={longestSearch}
        placeholder="name, title or department"
        aria-label="Look for a person"
        className="w-full border-b border-hairline bg-transparent px-2 py-1.5 text-sm outline-none placeholder:text-soft"
      />
      <Command.List className="max-h-72 overflow-y-auto py-1">
        {problem !== null ? (
          <p role="alert" className="px-2 py-2 text-sm text-rowan">
            {problem}
          </p>
        ) : found === null ? (
          <p className="px-2 py-2 text-sm text-soft">Looking…</p>
        ) : (
          <Command.Empty className="px-2 py-2 text-sm text-soft">Nobody is found.</Command.Empty>
        )}
        {offersNobody && (
          <Command.Item value={nobodyValue} className={item} onSelect={() => onChoose(null)}>
            <Mark shown={value === null} />
            {nobody}
          </Command.Item>
        )}
        {people.map((person) => (
          <Command.Item
            key={person.id}
            value={person.id}
            aria-label={person.name}
            aria-description={[person.title, person.department].filter(Boolean).join(", ")}
            className={item}
            onSelect={() => onChoose(person)}
          >
            <Mark shown={value === person.id} />
            <bdi className="max-w-44 shrink-0 truncate">{person.name}</bdi>
            <bdi className="min-w-0 truncate text-xs text-soft">
              {[person.title, person.department].filter(Boolean).join(", ")}
            </bdi>
          </Command.Item>
        ))}
      </Command.List>
    </Command>
  );
}

const Mark = ({ shown }: { shown: boolean }) => (
  <span className="w-3.5 shrink-0 self-center">
    {shown && <Check size={13} aria-hidden className="text-pine" />}
  </span>
);
