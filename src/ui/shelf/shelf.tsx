"use client";

import { Plus } from "lucide-react";
import Link from "next/link";
import { endpoints, type ShelfCard as Card, type ShelfOrder } from "@/contract";
import { ask } from "../parts/asking/ask";
import { sayRemoved, useRefreshing } from "../parts/asking/use-refreshing";
import { buttonClass } from "../parts/button";
import { WordSwitch } from "../parts/fields/word-switch";
import { formatCount } from "../parts/format";
import { LookBar, NothingFound } from "../parts/windowed/look-bar";
import { useLooking } from "../parts/windowed/use-looking";
import { usePieces } from "../parts/windowed/use-pieces";
import { WindowedList } from "../parts/windowed/windowed-list";
import { ShelfCard } from "./shelf-card";
import { WaitingList, type Waiting } from "./waiting-list";

interface Props {
  readonly organisation: string;
  readonly peopleCount: number;
  /** Of what was found, in order. */
  readonly ids: readonly string[];
  /** How many signatures there are. */
  readonly all: number;
  /** The first of those that were found. */
  readonly cards: readonly Card[];
  readonly look: string;
  readonly order: ShelfOrder;
  readonly waiting: readonly Waiting[];
}

const orders: Readonly<Record<ShelfOrder, string>> = {
  changed: "last changed",
  name: "name",
  person: "person",
  findings: "findings",
};

const keyOf = ({ id }: Card): string => id;
const load = async (ids: readonly string[]): Promise<readonly Card[]> =>
  (await ask(endpoints.shelfCards, { body: { ids: [...ids] } })).cards;

export function Shelf({ organisation, peopleCount, ids, all, cards, look, order, waiting }: Props) {
  const attempt = useRefreshing();
  const looking = useLooking({ path: "/", look, order, usual: "changed" });
  const { find, want } = usePieces({ given: cards, keyOf, load });

  const remove = async ({ id, name }: Card): Promise<void> => {
    const params = { id };
    if (await attempt(() => ask(endpoints.deleteSignature, { params })))
      sayRemoved(
        `“${name}” is off the Shelf.`,
        () => void attempt(() => ask(endpoints.restoreSignature, { params })),
      );
  };

  return (
    <main className="mx-auto max-w-[1240px] px-5 pb-10">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2 pb-5 pt-3">
        <h1 className="font-serif text-[38px] leading-[44px] tracking-tight">{organisation || "Shelf"}</h1>
        <p className="pb-1.5 text-soft">
          {formatCount(peopleCount, "person", "people")} · {formatCount(all, "signature")}
        </p>
        <Link href="/start" className={`${buttonClass("primary")} mb-1 ml-auto`}>
          <Plus size={16} aria-hidden />
          Start a signature
        </Link>
      </div>
      <WaitingList waiting={waiting} attempt={attempt} />
      {all === 0 ? (
        <div className="border-t border-pine py-16 text-center">
          <p className="font-serif text-2xl">Nothing on the Shelf yet</p>
          <p className="mb-4 mt-2 text-soft">
            Start with a blank table of any size, or with a pattern that is nearly what you need.
          </p>
          <Link href="/start" className={buttonClass("primary")}>
            Start a signature
          </Link>
        </div>
      ) : (
        <>
          <LookBar
            label="Look for a signature"
            placeholder="name, person or words in it"
            look={looking.typed}
            onLook={looking.type}
            says={looking.says(ids.length, formatCount(all, "signature"))}
          >
            <WordSwitch label="Order" value={looking.order} choices={orders} onChange={looking.put} />
          </LookBar>
          {ids.length === 0 && (
            <NothingFound says={`No signature holds “${look}”.`} onShowAll={() => looking.type("")} />
          )}
          <WindowedList
            label="Signatures"
            keys={ids}
            columns={2}
            estimate={215}
            gap={28}
            onShown={want}
            item={(id) => {
              const signature = find(id);
              return (
                signature && (
                  <ShelfCard
                    signature={signature}
                    onRename={(name) =>
                      attempt(() => ask(endpoints.describeSignature, { params: { id }, body: { name } }))
                    }
                    onDuplicate={() => attempt(() => ask(endpoints.duplicateSignature, { params: { id } }))}
                    onDelete={() => remove(signature)}
                  />
                )
              );
            }}
          />
        </>
      )}
    </main>
  );
}
