"use client";

/** The lines that do not fit for some, and what would make them, looked at before it is done. */
import { useState } from "react";
import type { Node } from "prosemirror-model";
import type { Cut } from "@/contract";
import { choiceSays, fitMendsSay, type FitMend } from "@/core/fit";
import type { MendableLine } from "@/workers/fit.worker";
import { Button } from "../../parts/button";
import { MendDialog } from "./mend-dialog";
import type { Mends } from "./use-fit";

interface Props extends Mends {
  /** How many people were tried. */
  readonly people: number;
  readonly base: string;
  readonly learnCut: (cut: Cut) => void;
  /** Carries out mends of a document; answers whether it did. */
  readonly onMend: (document: Node, mends: readonly FitMend[]) => boolean;
}

export function MendLines({ document, lines, people, base, learnCut, onMend }: Props) {
  /** With the document that it is of: another may come while it is open. */
  const [opened, setOpened] = useState<{ document: Node; line: MendableLine } | null>(null);
  /** A line that is mended is gone at once, and not only when everybody was tried again. */
  const [mended, setMended] = useState<MendableLine | null>(null);
  const shown = lines.filter((line) => line !== mended);
  if (shown.length === 0) return null;
  return (
    <section aria-labelledby="what-mends" className="mt-6">
      <h2 id="what-mends" className="mb-1 font-serif text-xl">
        What would make them fit
      </h2>
      <ul>
        {shown.map((line) => (
          <li key={line.position} className="border-b border-hairline py-1.5">
            <Line
              document={document}
              line={line}
              people={people}
              onOpen={() => setOpened({ document, line })}
            />
          </li>
        ))}
      </ul>
      {opened && (
        <MendDialog
          {...opened}
          base={base}
          learnCut={learnCut}
          onClose={() => setOpened(null)}
          onKeep={(mends) => {
            if (onMend(opened.document, mends)) setMended(opened.line);
            setOpened(null);
          }}
        />
      )}
    </section>
  );
}

function Line({
  document,
  line: { worst, people, choices },
  people: everybody,
  onOpen,
}: {
  readonly document: Node;
  readonly line: MendableLine;
  readonly people: number;
  readonly onOpen: () => void;
}) {
  const [best] = choices;
  return (
    <div className="grid items-baseline gap-x-6 text-sm md:grid-cols-[minmax(0,1fr)_150px_minmax(0,1fr)_130px]">
      <bdi className="truncate font-medium">{worst.text}</bdi>
      <span className="whitespace-nowrap text-clay">
        too long for {people.toLocaleString("en")} of {everybody.toLocaleString("en")}
      </span>
      <span className="min-w-0 text-soft">
        {best
          ? `${fitMendsSay(document, best.mends)}: ${choiceSays(best, people)}`
          : "No change of it makes it fit: fewer words would."}
      </span>
      {best ? (
        <Button onClick={onOpen} className="justify-self-end">
          Look and mend<span className="sr-only"> {worst.text}</span>
        </Button>
      ) : (
        <span />
      )}
    </div>
  );
}
