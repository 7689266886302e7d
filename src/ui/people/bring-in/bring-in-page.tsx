"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { toast } from "sonner";
import { endpoints, type ChosenColumns } from "@/contract";
import { changesOf, columnKey, type ImportPlan, type OwnField, type ReadList } from "@/core/people";
import { ask } from "../../parts/asking/ask";
import { useAttempt } from "../../parts/asking/use-attempt";
import { Button } from "../../parts/button";
import { FormProblem } from "../../parts/form-problem";
import { formatCount } from "../../parts/format";
import { changeDirectory, takeStepBack, type DirectoryChanged } from "../directory-steps";
import { handPhotographs, photographOfCard } from "../portraits/photographs";
import { ChooseList } from "./choose-list";
import { HowItIsRead } from "./how-it-is-read";
import { PlanView } from "./plan-view";
import { useList } from "./use-list";

interface Props {
  readonly ownFields: readonly OwnField[];
  readonly remembered: ChosenColumns["columns"];
}

/** What a plan does, in the order in which it is told: "2 come, 3 change, 1 goes". */
export function planSays({ added, changed, missing }: ImportPlan, takesOut: boolean): string {
  const goes = takesOut ? missing.length : 0;
  return [
    added.length > 0 && `${added.length.toLocaleString("en")} ${added.length === 1 ? "comes" : "come"}`,
    changed.length > 0 &&
      `${changed.length.toLocaleString("en")} ${changed.length === 1 ? "changes" : "change"}`,
    goes > 0 && `${goes.toLocaleString("en")} ${goes === 1 ? "goes" : "go"}`,
  ]
    .filter(Boolean)
    .join(", ");
}

/** A list from elsewhere, looked at before anything of it is written. */
export function BringInPage({ ownFields, remembered }: Props) {
  const router = useRouter();
  const inHand = useList({ own: ownFields, remembered });
  const { source, list, busy } = inHand;
  const [takesOut, setTakesOut] = useState(false);
  const writing = useAttempt();

  const write = async ({ plan, table }: ReadList): Promise<void> => {
    const says = planSays(plan, takesOut);
    if (says === "") return go();
    const changes = changesOf(plan, () => "", takesOut ? plan.missing : []);
    let written: DirectoryChanged | null = null;
    await writing.attempt(async () => {
      written = await changeDirectory(changes, `${source?.name ?? "A list"} brought in: ${says}.`);
    });
    if (!written) return;
    const step: DirectoryChanged = written;
    if (table?.named) {
      const columns = table.header.map((name, index) => ({
        key: columnKey(name).slice(0, 120),
        target: table.columns[index] ?? null,
      }));
      // What is not remembered is asked for the next time.
      await ask(endpoints.keepColumns, { body: { columns } }).catch(() => undefined);
    }
    go();
    router.refresh();
    toast(`Brought in: ${says}.`, {
      duration: 15_000,
      action: { label: "Take it back", onClick: () => takeStepBack(step, () => router.refresh()) },
    });
  };

  const held = list?.photos.held ?? [];
  /** Photographs are matched and looked through where all portraits are. */
  const go = (): void => {
    if (held.length > 0) handPhotographs(held.map(photographOfCard));
    router.push(held.length > 0 ? "/people/portraits" : "/people");
  };
  const does = list
    ? [planSays(list.plan, takesOut), held.length > 0 && formatCount(held.length, "photograph")]
        .filter(Boolean)
        .join(", ")
    : "";
  return (
    <main className="mx-auto max-w-[1240px] px-5 pb-10">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2 pb-4 pt-3">
        <h1 className="font-serif text-[34px] leading-10 tracking-tight">Bring in a list</h1>
        <p className="min-w-0 truncate pb-1 text-soft">
          {source
            ? [source.name, list && formatCount(list.lines, "line")].filter(Boolean).join(" · ")
            : "Nothing is written before you have seen what it does."}
        </p>
        {source && (
          <div className="mb-0.5 ml-auto flex flex-wrap items-center gap-2">
            <Button look="quiet" onClick={inHand.close}>
              Another list
            </Button>
            {list && (
              <Button
                look="primary"
                disabled={does === "" || busy || writing.busy}
                onClick={() => void write(list)}
              >
                {writing.busy ? "Writing…" : does === "" ? "Nothing to bring in" : `Bring in: ${does}`}
              </Button>
            )}
          </div>
        )}
      </div>
      <FormProblem>{writing.problem ?? inHand.problem}</FormProblem>
      {!source ? (
        <ChooseList onChoose={inHand.open} />
      ) : !list ? (
        <div role="status" className="border-t border-pine py-12 text-center text-soft">
          {busy ? (
            <>
              Reading {source.name}…{" "}
              <button type="button" className="text-pine underline" onClick={inHand.close}>
                Stop
              </button>
            </>
          ) : (
            "It was not read."
          )}
        </div>
      ) : (
        <div
          aria-busy={busy}
          className="grid gap-x-10 gap-y-6 border-t border-pine pt-4 md:grid-cols-[minmax(0,400px)_minmax(0,1fr)]"
        >
          <HowItIsRead list={list} reading={inHand.reading} ownFields={ownFields} onRead={inHand.read} />
          <PlanView
            list={list}
            mended={inHand.reading.mended}
            takesOut={takesOut}
            onTakesOut={setTakesOut}
            onMend={(line, text) => inHand.read({ mended: { ...inHand.reading.mended, [line]: text } })}
          />
        </div>
      )}
    </main>
  );
}
