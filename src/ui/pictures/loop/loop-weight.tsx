"use client";

import { budgets, type LighterLoop } from "@/core/pictures";
import { Button } from "../../parts/button";
import { formatBytes, formatCount, formatSize } from "../../parts/format";
import { WeightBar } from "../../parts/drawing/weight-bar";
import type { LoopTools } from "./use-loop";

function inWords({ what, loop }: LighterLoop): string {
  switch (what) {
    case "fewer-colors":
      return `${loop.colors} colours`;
    case "fewer-frames":
      return formatCount(loop.frames.length, "frame");
    case "smaller":
      return `${formatSize(loop.width * loop.density, loop.height * loop.density)} in the file`;
  }
}

/** The live weight, and what each way of bringing it down would come to. */
export function LoopWeight({ tools }: { tools: LoopTools }) {
  const { preview, lighter, change } = tools;
  const { drawn, busy } = preview;
  if (!drawn) return <p className="text-soft">Weighing…</p>;
  const helpful = lighter.filter(({ bytes }) => bytes < drawn.bytes);
  return (
    <section aria-label="Weight" aria-busy={busy} className="mb-4">
      <p className="font-serif text-2xl">{formatBytes(drawn.bytes)}</p>
      <WeightBar bytes={drawn.bytes} use="loop" />
      <p className="mt-1 text-sm text-soft">
        {formatCount(drawn.frames, "frame")}, {formatCount(drawn.colors, "colour")},{" "}
        {formatSize(drawn.width, drawn.height)}
      </p>
      {helpful.length > 0 && (
        <>
          <p className={`mt-2 text-sm ${drawn.bytes > budgets.loop ? "text-clay" : "text-soft"}`}>
            What would bring it down
          </p>
          <ul>
            {helpful.map((each) => (
              <li
                key={each.what}
                className="flex items-center justify-between gap-2 border-t border-hairline py-1 text-sm"
              >
                <span>{inWords(each)}</span>
                <Button look="quiet" onClick={() => change(each.loop)}>
                  {formatBytes(each.bytes)}
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
