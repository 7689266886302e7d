"use client";

import { useMemo, useState } from "react";
import type { Finding } from "@/core/checks";
import { groupChanges, isSeen, received, standInIds, standIns } from "@/core/clients";
import { formatCount } from "../parts/format";
import { localPictures } from "../parts/drawing/local-pictures";
import { SignatureFrame } from "../parts/drawing/signature-frame";
import { WordSwitch } from "../parts/fields/word-switch";
import { FindingList } from "../signature/finding-list";
import { FormSwitch, type Form } from "../signature/form-switch";

interface Props {
  readonly html: string;
  /** What a reply holds of it; null where that is the whole. */
  readonly shortHtml: string | null;
  readonly base: string;
  readonly findings: readonly Finding[];
}

type Mode = "light" | "dark";

/** The signature as each stand-in shows it, what it changed, and what will go wrong. */
export function ProofPage({ html: full, shortHtml, base, findings }: Props) {
  const [mode, setMode] = useState<Mode>("light");
  const [form, setForm] = useState<Form>("full");
  const html = form === "short" ? (shortHtml ?? full) : full;
  const proofs = useMemo(
    () => standInIds.map((id) => ({ standIn: standIns[id], ...received(html, id, { mode }) })),
    [html, mode],
  );
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_300px] gap-8">
      <div>
        <div className="flex items-baseline gap-3 pb-1">
          <h1 className="font-serif text-2xl">{formatCount(proofs.length, "stand-in")}</h1>
          <span className="ml-auto" />
          {shortHtml !== null && <FormSwitch form={form} onChange={setForm} />}
          {shortHtml !== null && <span aria-hidden className="border-l border-hairline" />}
          <WordSwitch
            label="Mode"
            value={mode}
            choices={{ light: "Light", dark: "Dark" }}
            onChange={setMode}
          />
        </div>
        <p className="mb-4 text-soft">
          Stand-ins are simulations, built from published facts about kinds of mail client. They are not the
          clients themselves.
        </p>
        {proofs.map(({ standIn, html: drawn, changes }) => {
          const seen = groupChanges(changes.filter(isSeen));
          const unseen = groupChanges(changes.filter((change) => !isSeen(change)));
          const canvas = standIn.canvas[mode];
          return (
            <article key={standIn.id} data-stand-in={standIn.id} className="mb-6 border-t border-pine pt-2">
              <h2 className="flex items-baseline gap-3">
                <span className="font-serif text-lg">{standIn.name}</span>
                <span className="text-soft">{standIn.width} px wide</span>
                <span className={`ml-auto font-medium ${seen.length === 0 ? "text-lichen" : "text-clay"}`}>
                  {seen.length === 0 ? "looks as built" : formatCount(seen.length, "change")}
                </span>
              </h2>
              <div className="mt-2 w-fit max-w-full border border-hairline" style={{ background: canvas }}>
                <SignatureFrame
                  html={localPictures(drawn, base, standIn.loops)}
                  label={`Proof: ${standIn.name}, ${mode}`}
                  width={standIn.width}
                  canvas={canvas}
                />
              </div>
              <div className="mt-3 grid grid-cols-2 gap-8">
                <section>
                  <h3 className="mb-1 text-xs text-soft">What it changed</h3>
                  <ChangeList groups={seen} empty="Nothing that a reader sees." />
                  {unseen.length > 0 && (
                    <details className="mt-1">
                      <summary className="cursor-pointer text-sm text-soft">
                        {formatCount(unseen.length, "change")} that no reader sees
                      </summary>
                      <ChangeList groups={unseen} empty="" />
                    </details>
                  )}
                </section>
                <details>
                  <summary className="mb-1 cursor-pointer text-xs text-soft">
                    The facts it is built from ({standIn.facts.length})
                  </summary>
                  <ul className="list-disc pl-4 text-sm">
                    {standIn.facts.map((fact) => (
                      <li key={fact}>{fact}</li>
                    ))}
                  </ul>
                </details>
              </div>
            </article>
          );
        })}
      </div>
      <aside aria-label="Findings">
        <h2 className="mb-3 font-serif text-2xl">{formatCount(findings.length, "finding")}</h2>
        <FindingList findings={findings} empty="Nothing will go wrong that is known here." />
      </aside>
    </div>
  );
}

function ChangeList({ groups, empty }: { groups: ReturnType<typeof groupChanges>; empty: string }) {
  if (groups.length === 0) return <p>{empty}</p>;
  return (
    <ul className="text-sm">
      {groups.map(({ sentence, places }) => (
        <li key={sentence} className="py-0.5">
          {sentence}{" "}
          <span className="text-soft">
            {places.slice(0, 3).join("; ")}
            {places.length > 3 && ` and ${places.length - 3} more`}
          </span>
        </li>
      ))}
    </ul>
  );
}
