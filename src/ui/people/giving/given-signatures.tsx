"use client";

import Link from "next/link";
import { useState } from "react";
import type { FoundPeople, ListedGiven } from "@/contract";
import { Button } from "../../parts/button";
import { formatCount } from "../../parts/format";
import { SomeOf } from "../../parts/some-of";
import { GiveDialog } from "./give-dialog";
import { languageName, purposeNames, whomWords } from "./giving-words";
import { useGiving } from "./use-giving";

interface Props {
  readonly signatures: readonly ListedGiven[];
  readonly departments: FoundPeople["departments"];
}

/** Those that are given to somebody come first. */
const inOrder = (signatures: readonly ListedGiven[]): readonly ListedGiven[] => [
  ...signatures.filter(({ audience }) => audience.kind !== "nobody"),
  ...signatures.filter(({ audience }) => audience.kind === "nobody"),
];

/** All signatures, with whom each is for. */
export function GivenSignatures({ signatures, departments }: Props) {
  const [opened, setOpened] = useState<string | null>(null);
  const give = useGiving();
  const of = signatures.find(({ id }) => id === opened);
  return (
    <>
      <SomeOf
        all={inOrder(signatures)}
        none="There is no signature yet."
        keyOf={({ id }) => id}
        row={(each) => (
          <div className="grid grid-cols-[minmax(0,200px)_minmax(0,1fr)_280px_90px] items-center gap-x-5">
            <Link
              href={`/signatures/${each.id}`}
              prefetch={false}
              className="truncate rounded-sm font-medium hover:text-pine"
            >
              {each.name}
            </Link>
            <p className={each.audience.kind === "nobody" ? "text-soft" : ""}>
              <bdi>{whomWords(each)}</bdi>
              {each.audience.kind !== "nobody" && (
                <span className="text-soft"> · {formatCount(each.people, "person", "people")}</span>
              )}
            </p>
            <p className="text-sm text-soft">
              {each.audience.kind !== "nobody" &&
                [purposeNames[each.purpose], each.language && languageName(each.language)]
                  .filter(Boolean)
                  .join(" · ")}
            </p>
            <Button
              look="quiet"
              className="justify-self-end"
              aria-label={`Say whom “${each.name}” is for`}
              onClick={() => setOpened(each.id)}
            >
              {each.audience.kind === "nobody" ? "Give it" : "Change"}
            </Button>
          </div>
        )}
      />
      {of && (
        <GiveDialog
          key={of.id}
          {...{ of, departments }}
          onClose={() => setOpened(null)}
          onGive={(giving) => give(of, giving)}
        />
      )}
    </>
  );
}
