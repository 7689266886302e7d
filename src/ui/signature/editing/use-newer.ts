"use client";

/** Takes what another window or another person has saved, while nothing here waits to be saved. */
import { useEffect } from "react";
import { endpoints } from "@/contract";
import { parseSignature } from "@/core/signature";
import { ask } from "../../parts/asking/ask";
import { saves, type SaveElsewhere } from "./last-saved";
import type { EditedSignature } from "./use-signature";
import type { Saving } from "./use-saving";

/** How often a window that is looked at asks whether there is something newer; ms. */
const askEvery = 3000;

export function useNewer(
  id: string,
  { current, takeIn }: Pick<EditedSignature, "current" | "takeIn">,
  { settledRevision, goOnFrom }: Pick<Saving, "settledRevision" | "goOnFrom">,
): void {
  useEffect(() => {
    let asking = false;
    const settled = (): number | null => settledRevision(current().doc);
    const look = async (): Promise<void> => {
      const after = settled();
      if (asking || after === null || document.visibilityState === "hidden") return;
      asking = true;
      try {
        const newer = await ask(endpoints.findNewer, { params: { id }, query: { after: String(after) } });
        // Something may have been typed or saved while the answer was on its way.
        if (newer.document === null || settled() !== after) return;
        const theirs = parseSignature(newer.document);
        goOnFrom(theirs, newer.revision);
        takeIn(theirs);
      } catch {
        // No answer, or no such signature any more: the next save says so.
      } finally {
        asking = false;
      }
    };
    const told = ({ data }: MessageEvent<SaveElsewhere>): void => {
      const known = settled();
      if (data.id === id && known !== null && data.revision > known) void look();
    };
    const timer = setInterval(() => void look(), askEvery);
    const returned = (): void => void look();
    document.addEventListener("visibilitychange", returned);
    saves()?.addEventListener("message", told);
    return () => {
      clearInterval(timer);
      document.removeEventListener("visibilitychange", returned);
      saves()?.removeEventListener("message", told);
    };
  }, [id, current, takeIn, settledRevision, goOnFrom]);
}
