"use client";

/** Pastes on the Bench: read by the importer, pictures within them taken in first, and what became of them said. */
import { useCallback, useState } from "react";
import type { EditorView } from "prosemirror-view";
import { toast } from "sonner";
import type { Cut } from "@/contract";
import type { FindPicture, NoteGroup } from "@/core/importing";
import { inShort } from "../../importing/report-words";
import { embeddedPictures, takeIn } from "../../importing/take-in";
import { isOwnCopy, pasteHtml, type Importer } from "./paste";

export interface Pasting {
  /** Takes a paste of HTML from elsewhere; false leaves it to the editor. */
  readonly take: (view: EditorView, html: string, plain: string) => boolean;
  /** The report that is open. */
  readonly report: readonly NoteGroup[] | null;
  readonly closeReport: () => void;
}

let importer: Importer | null = null;

/** The importer's script, for loading ahead. */
export const importerAhead = {
  load: async (): Promise<Importer> => (importer ??= await import("@/core/importing")),
};

export function usePaste(learnCut: (cut: Cut) => void): Pasting {
  const [report, setReport] = useState<readonly NoteGroup[] | null>(null);

  const put = useCallback(
    (view: EditorView, html: string, plain: string, own: Importer, taken?: FindPicture): void => {
      const pasted = pasteHtml(view.state, html, own, taken);
      if (!pasted) {
        // Nothing that shows came with it but its words, if any.
        if (plain) view.pasteText(plain);
        return;
      }
      view.dispatch(pasted.tr);
      const groups = own.groupNotes(pasted.notes);
      const said = inShort(groups);
      if (said || pasted.whole)
        toast(`${pasted.whole ? "The pasted signature stands here now." : "Pasted."} ${said}`.trim(), {
          duration: 9000,
          ...(groups.length > 0 ? { action: { label: "Report", onClick: () => setReport(groups) } } : {}),
        });
    },
    [],
  );

  const putWithPictures = useCallback(
    async (view: EditorView, html: string, plain: string): Promise<void> => {
      const own = await importerAhead.load();
      const embedded = embeddedPictures(own.importHtml(html).pictures);
      if (embedded.length === 0) return put(view, html, plain, own);
      const waiting = toast.loading(
        `Taking in ${embedded.length === 1 ? "a picture" : `${embedded.length} pictures`}…`,
      );
      const { found, cuts, problems } = await takeIn(embedded);
      toast.dismiss(waiting);
      for (const cut of cuts) learnCut(cut);
      for (const problem of problems) toast.error(problem);
      if (!view.isDestroyed) put(view, html, plain, own, (address) => found.get(address) ?? null);
    },
    [put, learnCut],
  );

  const take = useCallback<Pasting["take"]>(
    (view, html, plain) => {
      if (html === "" || isOwnCopy(html)) return false;
      if (importer && !/data:image/i.test(html)) put(view, html, plain, importer);
      else
        void putWithPictures(view, html, plain).catch((error: unknown) =>
          toast.error(`The paste could not be read: ${(error as Error).message}`),
        );
      return true;
    },
    [put, putWithPictures],
  );

  return { take, report, closeReport: useCallback(() => setReport(null), []) };
}
