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
  const made: Record<string, string> = {};
  for (const source of mend.sources) {
    const { cut } = await ask(endpoints.makeCut, { body: { kind: "in-look", source, look: mend.look } });
    learn(cut);
    made[source] = cut.source;
  }
  return { ...mend, drawn: made };
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
      const ready: Mend[] = [];
      const seen = new Set<string>();
      setDrawing(mends.some(({ kind }) => kind === "redraw"));
      try {
        for (const each of mends) {
          // Icons of one row share their mend.
          const same = JSON.stringify(each);
          if (seen.has(same)) continue;
          seen.add(same);
          ready.push(each.kind === "redraw" ? await drawn(each, learn) : each);
        }
      } catch (error) {
        toast.error((error as Error).message);
        return 0;
      } finally {
        setDrawing(false);
      }
      let applied = 0;
      const did = change((transform) => {
        applied = applyMends(transform, ready);
      });
      if (!did) toast("That had been put right already.");
      return did ? applied : 0;
    },
    [change, learn],
  );
  return { drawing, mend };
}
