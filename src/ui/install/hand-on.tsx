"use client";

import { Printer } from "lucide-react";
import Link from "next/link";
import { useState } from "react";
import type { KitKind } from "@/core/install-kinds";
import { buttonClass } from "../parts/button";
import { PersonPicker } from "../parts/people/person-picker";

interface Props {
  readonly id: string;
  readonly kind: KitKind;
  readonly personId: string | null;
  readonly personName: string | null;
}

/** A page with these steps and somebody's own signature, to print or to hand to them. */
export function HandOn({ id, kind, personId, personName }: Props) {
  const [chosen, setChosen] = useState(personName === null ? null : personId);
  return (
    <section aria-labelledby="hand-on" className="mt-6 border-t border-hairline pt-3">
      <h3 id="hand-on" className="font-serif text-lg">
        For a colleague, or on paper
      </h3>
      <p className="pb-2 text-soft">
        One page with these steps, and the signature with the colleague’s own details in it.
      </p>
      <div className="flex flex-wrap items-end gap-4">
        <PersonPicker
          label="Whose details"
          value={chosen}
          name={personName}
          none="nobody’s"
          offersNobody
          onChange={setChosen}
          className="w-72"
        />
        <Link
          href={`/hand-out/${id}/${kind}${chosen === null ? "" : `?person=${chosen}`}`}
          prefetch={false}
          className={buttonClass("plain")}
        >
          <Printer size={16} aria-hidden />
          Open the page
        </Link>
      </div>
    </section>
  );
}
