"use client";

import { Download } from "lucide-react";
import { useState } from "react";
import { addressOf, endpoints } from "@/contract";
import type { CodeContent } from "@/core/install-kinds";
import { buttonClass } from "../parts/button";
import { TextField } from "../parts/fields/text-field";
import { WordSwitch } from "../parts/fields/word-switch";

const contents: Readonly<Record<CodeContent, string>> = { card: "Contact card", page: "Own page" };

const [smallest, largest] = [100, 2000];

interface Props {
  readonly id: string;
  /** What there is a code of for the person. */
  readonly known: readonly CodeContent[];
}

/** The person's code to scan, of a size that is asked for, as a picture in two forms. */
export function CodeToScan({ id, known: all }: Props) {
  const [of, setOf] = useState<CodeContent>("card");
  const [typed, setTyped] = useState("600");
  const size = Number(typed);
  const problem =
    Number.isInteger(size) && size >= smallest && size <= largest
      ? null
      : `A whole number of px from ${smallest} to ${largest.toLocaleString("en")}.`;
  const known = all.includes(of);
  const address = (form: "png" | "svg"): string => addressOf(endpoints.drawCode, { id }, { of, form, size });
  return (
    <section aria-labelledby="code" className="mt-6 border-t border-hairline pt-3">
      <h3 id="code" className="font-serif text-lg">
        A code to scan
      </h3>
      <p className="pb-2 text-soft">
        For a badge, a poster or a slide: a phone that looks at it opens what is in it.
      </p>
      <div className="flex flex-wrap items-start gap-6">
        <div className="flex size-[132px] items-center justify-center border border-hairline bg-canvas p-1 text-center text-xs text-soft">
          {known ? (
            <img
              src={addressOf(endpoints.drawCode, { id }, { of, form: "svg", size: 122 })}
              alt={`Code of the ${contents[of].toLowerCase()}`}
              width={122}
              height={122}
            />
          ) : of === "card" ? (
            "It is drawn for nobody."
          ) : (
            "There is no page among the details."
          )}
        </div>
        <div className="grid gap-3">
          <WordSwitch label="What the code holds" value={of} choices={contents} onChange={setOf} />
          <TextField
            label="Size in px"
            inputMode="numeric"
            value={typed}
            problem={problem}
            className="w-40"
            onChange={(event) => setTyped(event.target.value)}
          />
          {known && problem === null && (
            <div className="flex gap-2">
              {(["png", "svg"] as const).map((form) => (
                <a key={form} href={address(form)} download className={buttonClass("plain")}>
                  <Download size={16} aria-hidden />
                  {form.toUpperCase()}
                </a>
              ))}
            </div>
          )}
        </div>
      </div>
    </section>
  );
}
