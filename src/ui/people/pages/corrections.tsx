"use client";

import { Check, X } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { endpoints, type Correction } from "@/contract";
import { fieldLabel } from "@/core/people";
import { ask } from "../../parts/asking/ask";
import { Button } from "../../parts/button";
import { formatCount } from "../../parts/format";
import { SomeOf } from "../../parts/some-of";
import { PersonLink } from "../person-link";
import { stepOfDirectory } from "../directory-steps";

/** What people say is otherwise about them: before and after, accepted or declined one by one or all. */
export function Corrections({ corrections }: { readonly corrections: readonly Correction[] }) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const settle = async (some: readonly Correction[], accept: boolean): Promise<void> => {
    setBusy(true);
    const body = { ids: some.map(({ id }) => id), accept };
    try {
      const [first] = some;
      const says =
        some.length === 1 && first
          ? `${fieldLabel(first.field)} of ${first.personName}.`
          : `${formatCount(some.length, "correction")} accepted.`;
      const settled = await stepOfDirectory(async () => {
        const { changed } = await ask(endpoints.settleCorrections, { body });
        return changed;
      }, says);
      toast(settled ? `Accepted: ${says}` : accept ? "It is so already." : "Declined: nothing was changed.");
    } catch (error) {
      toast.error((error as Error).message);
    }
    setBusy(false);
    router.refresh();
  };
  return (
    <section aria-labelledby="corrections" className="mb-8">
      <div className="flex flex-wrap items-baseline gap-4">
        <h2 id="corrections" className="font-serif text-xl">
          {formatCount(corrections.length, "detail")} to correct
        </h2>
        {corrections.length > 1 && (
          <>
            <Button look="quiet" disabled={busy} onClick={() => void settle(corrections, true)}>
              Accept all
            </Button>
            <Button look="quiet" disabled={busy} onClick={() => void settle(corrections, false)}>
              Decline all
            </Button>
          </>
        )}
      </div>
      <SomeOf
        all={corrections}
        none=""
        keyOf={({ id }) => id}
        row={(each) => {
          const what = `${fieldLabel(each.field)} of ${each.personName}`;
          return (
            <div className="grid grid-cols-[minmax(0,200px)_minmax(0,130px)_minmax(0,1fr)_auto] items-center gap-x-5">
              <PersonLink id={each.personId} name={each.personName} />
              <p className="text-soft">{fieldLabel(each.field)}</p>
              <p className="[overflow-wrap:anywhere]">
                <bdi className="text-soft line-through">{each.before || "nothing"}</bdi>{" "}
                <span className="sr-only">becomes</span>
                <span aria-hidden>→</span> <bdi>{each.after || "nothing"}</bdi>
              </p>
              <div className="flex gap-1">
                <Button
                  look="quiet"
                  disabled={busy}
                  aria-label={`Accept: ${what}`}
                  onClick={() => void settle([each], true)}
                >
                  <Check size={15} aria-hidden />
                  Accept
                </Button>
                <Button
                  look="quiet"
                  disabled={busy}
                  aria-label={`Decline: ${what}`}
                  onClick={() => void settle([each], false)}
                >
                  <X size={15} aria-hidden />
                  Decline
                </Button>
              </div>
            </div>
          );
        }}
      />
    </section>
  );
}
