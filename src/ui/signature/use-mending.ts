"use client";

/** Carrying out mends: those of the document at once, and those that the server draws pictures for once it has. */
import { useCallback, useState } from "react";
import type { Transform } from "prosemirror-transform";
import { toast } from "sonner";
import { endpoints, type Cut } from "@/contract";
import { applyMends, type Mend, type Redraw } from "@/core/checks";
import { ask } from "../parts/asking/ask";

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
  /** Carries mends of one document out in one step; answers how many changed something. */
  readonly mend: (mends: readonly Mend[]) => Promise<number>;
}

/** `change` makes one step of a change and answers whether it changed anything; `learn` is told of new cuts. */
export function useMending(
  change: (edit: (transform: Transform) => void) => boolean,
  learn: (cut: Cut) => void,
): Mending {
  const [drawing, setDrawing] = useState(false);
  const mend = useCallback<Mending["mend"]>(
    async (mends) => {
      setDrawing(mends.some(({ kind }) => kind === "redraw"));
      try {
        const ready = await drawMends(mends, learn);
        let applied = 0;
        const did = change((transform) => {
          applied = applyMends(transform, ready);
        });
        if (!did) toast("That had been put right already.");
        return did ? applied : 0;
      } catch (error) {
        toast.error((error as Error).message);
        return 0;
      } finally {
        setDrawing(false);
      }
    },
    [change, learn],
  );
  return { drawing, mend };
}
