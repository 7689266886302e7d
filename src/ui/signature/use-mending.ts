"use client";

/** Carrying out mends: those of the document at once, and those that the server draws pictures for once it has. */
import { useCallback, useState } from "react";
import type { Node } from "prosemirror-model";
import { toast } from "sonner";
import { endpoints, type Cut } from "@/contract";
import { applyMends, hasPlace, type Mend, type Redraw } from "@/core/checks";
import { ask } from "../parts/asking/ask";
import type { Change } from "./editing/single-steps";

/** The mend with what was drawn in place of each of its pictures. */
async function drawn(mend: Redraw, learn: (cut: Cut) => void): Promise<Redraw> {
  if (mend.drawn) return mend;
  const made: Record<string, string> = {};
  for (const source of mend.sources) {
    const { cut } = await ask(endpoints.makeCut, { body: { kind: "in-look", source, look: mend.look } });
    learn(cut);
    made[source] = cut.source;
  }
  return { ...mend, drawn: made };
}

/**
 * Mends that can be carried out at once: each of them once, and those that need new pictures with what was drawn. Rejects
 * with the server's own sentence where one cannot be drawn.
 */
export async function drawMends(mends: readonly Mend[], learn: (cut: Cut) => void): Promise<readonly Mend[]> {
  const ready = new Map<string, Mend>();
  for (const mend of mends) {
    // Icons of one row share their mend.
    const same = JSON.stringify(mend);
    if (!ready.has(same)) ready.set(same, mend.kind === "redraw" ? await drawn(mend, learn) : mend);
  }
  return [...ready.values()];
}

export interface Mending {
  /** Whether pictures are being drawn. */
  readonly drawing: boolean;
  /** Carries mends out in one step; answers how many changed something. */
  readonly mend: (mends: readonly Mend[]) => Promise<number>;
}

/**
 * `found` is the document that the mends are of. Where it has changed since, while pictures were drawn or by another window,
 * only those are carried out that are of no place in it. `change` makes one step of a change; `learn` is told of new cuts.
 */
export function useMending(found: Node, change: Change, learn: (cut: Cut) => void): Mending {
  const [drawing, setDrawing] = useState(false);
  const mend = useCallback<Mending["mend"]>(
    async (mends) => {
      setDrawing(mends.some(({ kind }) => kind === "redraw"));
      try {
        const ready = await drawMends(mends, learn);
        let applied = 0;
        let left = 0;
        change((transform) => {
          const fitting = transform.doc === found ? ready : ready.filter((each) => !hasPlace(each));
          left = ready.length - fitting.length;
          applied = applyMends(transform, fitting);
          if (transform.steps.length === 0) applied = 0;
        });
        if (left > 0)
          toast("The signature was changed meanwhile: what is of a place in it waits to be found again.");
        else if (applied === 0) toast("That had been put right already.");
        return applied;
      } catch (error) {
        toast.error((error as Error).message);
        return 0;
      } finally {
        setDrawing(false);
      }
    },
    [found, change, learn],
  );
  return { drawing, mend };
}
