"use client";

import { useEffect, useMemo, useRef, useState } from "react";
import { FileDown, Wand } from "lucide-react";
import { toast } from "sonner";
import type { Cut } from "@/contract";
import { openFindings, type Finding, type Mend } from "@/core/checks";
import { messageOf, type Proof, type StandInId } from "@/core/clients";
import { stillDefinition, type KnownColors, type PartDrift } from "@/core/layout";
import { Button } from "../parts/button";
import { saveFile } from "../parts/files/save-file";
import { formatCount } from "../parts/format";
import { lazily, useAhead } from "../parts/lazily";
import { FindingList } from "../signature/finding-list";
import type { Form } from "../signature/form-switch";
import { DriftChart } from "./drift-chart";
import { DriftTable } from "./drift-table";
import { MeasuringFrame } from "../signature/stillness/measuring-frame";
import { ProofCard } from "./proof-card";
import { ProofZoom } from "./proof-zoom";
import { stillness } from "../signature/stillness/stillness-of";
import { useStillness } from "../signature/stillness/use-stillness";
import type { MeasuredAll } from "../signature/stillness/measure-proofs";
import { areOrdinary } from "../signature/stillness/conditions";
import { keyText } from "../signature/stillness/proof-keys";
import { everything, proofsOf, type Filters } from "./wall";
import type { TrialPerson } from "./use-trial";
import { useStaggered } from "./use-staggered";
import { leastStillFirst } from "./worst";
import { WallFilters } from "./wall-filters";

const makeStill = lazily(() => import("./make-still").then(({ MakeStill }) => MakeStill));
const rooms = [makeStill];

interface Props {
  /** Of the signature, and of whom it is drawn for; empty where that is nobody. */
  readonly name: string;
  readonly person: string;
  readonly html: string;
  /** What a reply holds of it; null where that is the whole. */
  readonly shortHtml: string | null;
  readonly base: string;
  readonly found: readonly Finding[];
  /** Puts some right in one step; answers how many that changed. */
  readonly onMend: (mends: readonly Mend[]) => Promise<number>;
  readonly onAside: (finding: Finding, reason: string | null) => void;
  /** The HTML once some mends are carried out. */
  readonly htmlWith: (mends: readonly Mend[]) => string;
  /** Is told of pictures that are drawn for a mend. */
  readonly learn: (cut: Cut) => void;
  /** Whether the findings are of an earlier document. */
  readonly busy: boolean;
  /** Is told how still the full form is, once that has been measured. */
  readonly onMeasured: (all: MeasuredAll, html: string) => void;
  /** The colours of its pictures, by the paths that they are drawn from; null while they are asked for. */
  readonly colors: KnownColors | null;
  /** Shows how it reads for those who do not look. */
  readonly onReading: () => void;
  /** Shows whether everybody's details fit. */
  readonly onEverybody: () => void;
  /** Where a part of a proof stands on the Bench. */
  readonly onBench: (parts: readonly PartDrift[], id: number) => string | null;
  /** Whose details are tried. */
  readonly trial: TrialPerson;
}

/** What a mend did to the number, as it was measured after it. */
const gainOf = (before: number, still: number, all: number): string =>
  still === before ? `Still in ${still} of ${all}, as before.` : `Still in ${before} → ${still} of ${all}.`;

/** The signature as each stand-in shows it, how still it is in each, and what will go wrong. */
export function ProofWall(props: Props) {
  const {
    html: full,
    shortHtml,
    base,
    found,
    colors,
    onMend,
    onAside,
    htmlWith,
    learn,
    onBench,
    onReading,
    onEverybody,
    busy,
    onMeasured,
    trial,
  } = props;
  const [filters, setFilters] = useState<Filters>(everything);
  const [form, setForm] = useState<Form>("full");
  const [open, setOpen] = useState<string | null>(null);
  const [making, setMaking] = useState(false);
  const [saving, setSaving] = useState(false);
  useAhead(rooms);
  const frame = useRef<HTMLIFrameElement>(null);
  const html = form === "short" ? (shortHtml ?? full) : full;
  const { measured, done, before, design } = useStillness(frame, html, base, colors, filters.conditions);
  // Parts have names, so that one is known in every frame.
  const message = useMemo(() => messageOf(html, true), [html]);
  const [marked, setMarked] = useState<number | null>(null);

  const proofs = useMemo(
    () => leastStillFirst(proofsOf(message, filters), before),
    [message, filters, before],
  );

  /** What is quoted or blocked is drawn differently on purpose. */
  const comparable = filters.quoted === "0" && filters.pictures === "shown";
  const measuredOf = (proof: Proof) => (comparable ? (measured.get(keyText(proof)) ?? null) : null);
  const { still, all } = stillness(measured);
  useEffect(() => {
    if (done && html === full && areOrdinary(filters.conditions)) onMeasured({ measured, design }, html);
  }, [done, html, full, filters.conditions, measured, design, onMeasured]);

  /** How still it was before a mend, until what came of it has been measured. */
  const mended = useRef<number | null>(null);
  useEffect(() => {
    if (!done || mended.current === null) return;
    toast(gainOf(mended.current, still, all));
    mended.current = null;
  }, [done, still, all]);
  const mend = async (wanted: readonly Mend[]): Promise<void> => {
    const before = still;
    if ((await onMend(wanted)) > 0) mended.current = before;
  };

  const { fonts, scale } = filters.conditions;
  const inWhat = `${fonts === "installed" ? "" : " without its fonts"}${scale === 1 ? "" : ` at ${scale * 100} %`}`;
  const forWhom = `${inWhat}${trial.person ? ` for ${trial.person.name}` : ""}`;
  const ready = useStaggered(proofs.length);
  const opened = proofs.find((proof) => keyText(proof) === open);

  const save = async (): Promise<void> => {
    setSaving(true);
    try {
      const { makeReport } = await import("./save-report");
      const person = trial.person?.name ?? props.person;
      saveFile(
        await makeReport({
          name: props.name,
          person,
          base,
          // All of them, whatever the wall shows, and without the names of parts.
          proofs: leastStillFirst(proofsOf(messageOf(html), everything), measured),
          measured,
          findings: found,
        }),
        `${props.name.replace(/[^\p{L}\p{N}]+/gu, "-").toLowerCase()}-proof.html`,
      );
    } catch (error) {
      toast.error(`The report could not be made. ${(error as Error).message}`);
    } finally {
      setSaving(false);
    }
  };

  const show = (client: StandInId, mode: "light" | "dark"): void => {
    const wanted = keyText({ client, mode, account: "own" });
    setFilters(everything);
    setOpen(wanted);
  };

  return (
    <div className="grid grid-cols-[minmax(0,1fr)_270px] gap-8">
      <div className="min-w-0">
        <div className="flex items-baseline gap-4 pb-1">
          <h1 className="font-serif text-2xl" aria-live="polite">
            {done ? `Still in ${still} of ${all}${forWhom}` : "Measuring…"}
          </h1>
          <p className="min-w-0 flex-1 text-xs leading-4 text-soft">{stillDefinition}</p>
          <Button
            disabled={!done || saving || !areOrdinary(filters.conditions)}
            title="Proofs and findings as one file, to print or to hand on"
            onClick={() => void save()}
          >
            <FileDown size={15} aria-hidden />
            Save a report
          </Button>
          {done && still < all && form === "full" && !trial.person && areOrdinary(filters.conditions) && (
            <Button look="primary" disabled={busy} onClick={() => setMaking(true)}>
              <Wand size={15} aria-hidden />
              Make it still
            </Button>
          )}
        </div>
        <WallFilters
          filters={filters}
          onChange={setFilters}
          form={form}
          onForm={shortHtml === null ? null : setForm}
          trial={trial}
        />
        <p className="my-2 flex items-baseline justify-between gap-4 text-xs text-soft">
          <span>
            Stand-ins are simulations, built from published facts about kinds of mail client. They are not the
            clients themselves.
          </span>
          <span className="flex shrink-0 gap-4">
            <button
              type="button"
              onClick={onEverybody}
              className="whitespace-nowrap underline hover:text-pine"
            >
              Everybody
            </button>
            <button type="button" onClick={onReading} className="whitespace-nowrap underline hover:text-pine">
              Without looking
            </button>
          </span>
        </p>
        <div className="grid grid-cols-2 gap-x-5 gap-y-6 min-[1100px]:grid-cols-3">
          {proofs.map((proof, index) => (
            <ProofCard
              key={keyText(proof)}
              proof={proof}
              drawn={index < ready}
              base={base}
              design={design.width}
              measured={measuredOf(proof)}
              fonts={fonts}
              onOpen={() => setOpen(keyText(proof))}
              marked={marked}
              onPoint={setMarked}
            />
          ))}
        </div>
      </div>
      <aside aria-label="Findings">
        <h2 className="mb-3 font-serif text-2xl">{formatCount(openFindings(found).length, "finding")}</h2>
        <FindingList
          findings={found}
          empty="Nothing will go wrong that is known here."
          onMend={(mends) => void mend(mends)}
          onAside={onAside}
          busy={busy || !done}
        />
        {done && (
          <>
            <DriftChart measured={measured} marked={marked} onMark={setMarked} onBench={onBench} />
            <DriftTable measured={measured} onShow={show} />
          </>
        )}
      </aside>
      <MeasuringFrame frame={frame} />
      {making && colors && (
        <makeStill.Component
          findings={found}
          base={base}
          colors={colors}
          html={html}
          now={{ measured, design }}
          htmlWith={htmlWith}
          learn={learn}
          onClose={() => setMaking(false)}
          onKeep={(mends) => {
            setMaking(false);
            void mend(mends);
          }}
        />
      )}
      {opened && (
        <ProofZoom
          proof={opened}
          base={base}
          design={html}
          measured={measuredOf(opened)}
          fonts={fonts}
          onClose={() => setOpen(null)}
        />
      )}
    </div>
  );
}
