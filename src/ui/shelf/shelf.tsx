"use client";

import { Plus } from "lucide-react";
import Link from "next/link";
import { useMemo, useState } from "react";
import { endpoints } from "@/contract";
import { ask } from "../parts/asking/ask";
import { sayRemoved, useRefreshing } from "../parts/asking/use-refreshing";
import { buttonClass } from "../parts/button";
import { TextField } from "../parts/fields/text-field";
import { WordSwitch } from "../parts/fields/word-switch";
import { formatCount } from "../parts/format";
import { findSignatures, orders, type Order } from "./find-signatures";
import { ShelfCard, type ShelfSignature } from "./shelf-card";
import { WaitingList, type Waiting } from "./waiting-list";

interface Props {
  readonly organisation: string;
  readonly peopleCount: number;
  readonly signatures: readonly ShelfSignature[];
  readonly waiting: readonly Waiting[];
}

export function Shelf({ organisation, peopleCount, signatures, waiting }: Props) {
  const attempt = useRefreshing();
  const [looked, setLooked] = useState("");
  const [order, setOrder] = useState<Order>("changed");
  const shown = useMemo(() => findSignatures(signatures, looked, order), [signatures, looked, order]);

  const remove = async (signature: ShelfSignature): Promise<void> => {
    const params = { id: signature.id };
    if (await attempt(() => ask(endpoints.deleteSignature, { params })))
      sayRemoved(
        `“${signature.name}” is off the Shelf.`,
        () => void attempt(() => ask(endpoints.restoreSignature, { params })),
      );
  };

  return (
    <main className="mx-auto max-w-[1240px] px-5 pb-10">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2 pb-5 pt-3">
        <h1 className="font-serif text-[38px] leading-[44px] tracking-tight">{organisation || "Shelf"}</h1>
        <p className="pb-1.5 text-soft">
          {formatCount(peopleCount, "person", "people")} · {formatCount(signatures.length, "signature")}
        </p>
        <Link href="/start" className={`${buttonClass("primary")} mb-1 ml-auto`}>
          <Plus size={16} aria-hidden />
          Start a signature
        </Link>
      </div>
      <WaitingList waiting={waiting} attempt={attempt} />
      {signatures.length === 0 ? (
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
          <div role="search" className="mb-4 flex flex-wrap items-end gap-x-8 gap-y-2">
            <TextField
              label="Look for a signature"
              type="search"
              value={looked}
              placeholder="name, person or words in it"
              onChange={(event) => setLooked(event.target.value)}
              className="w-64"
            />
            <WordSwitch label="Order" value={order} choices={orders} onChange={setOrder} />
            <p role="status" className="ml-auto text-sm text-soft">
              {looked.trim() !== "" && `${shown.length} of ${formatCount(signatures.length, "signature")}`}
            </p>
          </div>
          {shown.length === 0 && (
            <p className="border-t border-hairline py-10 text-center text-soft">
              No signature holds “{looked.trim()}”.{" "}
              <button type="button" className="text-pine underline" onClick={() => setLooked("")}>
                Show all of them
              </button>
            </p>
          )}
          <ul className="grid items-start gap-x-9 gap-y-7 md:grid-cols-2">
            {shown.map((signature) => (
              <ShelfCard
                key={signature.id}
                signature={signature}
                onRename={(name) =>
                  attempt(() =>
                    ask(endpoints.describeSignature, { params: { id: signature.id }, body: { name } }),
                  )
                }
                onDuplicate={() =>
                  attempt(() => ask(endpoints.duplicateSignature, { params: { id: signature.id } }))
                }
                onDelete={() => remove(signature)}
              />
            ))}
          </ul>
        </>
      )}
    </main>
  );
}
