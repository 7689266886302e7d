"use client";

import type { ReactNode } from "react";
import type { FoundPeople } from "@/contract";
import { NothingFound } from "../parts/windowed/look-bar";
import { usePieces } from "../parts/windowed/use-pieces";
import { WindowedList } from "../parts/windowed/windowed-list";
import { PeopleLookBar } from "./people-look-bar";
import type { LookingForPeople } from "./use-looking-for-people";

interface Props<T extends { readonly id: string }> {
  readonly label: string;
  readonly looking: LookingForPeople;
  readonly found: FoundPeople;
  /** The first of those who are found. */
  readonly people: readonly T[];
  /** Those of some that there are; the same one as long as the page is there. */
  readonly load: (ids: readonly string[]) => Promise<readonly T[]>;
  /** How high a row is likely to be; px. */
  readonly estimate: number;
  readonly row: (of: T) => ReactNode;
  /** What else the list is narrowed by. */
  readonly children?: ReactNode;
}

const keyOf = ({ id }: { readonly id: string }): string => id;

/** People who are looked for, one in each row. */
export function PeopleRows<T extends { readonly id: string }>(props: Props<T>) {
  const { label, looking, found, people, load, estimate, row, children } = props;
  const { find, want } = usePieces({ given: people, keyOf, load });
  return (
    <>
      <PeopleLookBar {...{ looking, found }}>{children}</PeopleLookBar>
      {found.ids.length === 0 ? (
        <NothingFound says="Nobody is found." onShowAll={looking.showAll} />
      ) : (
        <WindowedList
          label={label}
          keys={found.ids}
          columns={1}
          estimate={estimate}
          gap={0}
          onShown={want}
          item={(id) => {
            const of = find(id);
            return of && row(of);
          }}
        />
      )}
    </>
  );
}
