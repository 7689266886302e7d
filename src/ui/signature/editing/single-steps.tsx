"use client";

/** Changing a signature in single steps, without a sheet: each is taken back by itself. */
import { Undo2 } from "lucide-react";
import { closeHistory, undo, undoDepth } from "prosemirror-history";
import type { Transform } from "prosemirror-transform";
import { useCallback } from "react";
import { Button } from "../../parts/button";
import type { EditedSignature } from "./use-signature";

/** Makes a change of the document; answers whether it changed anything. */
export type Change = (make: (transform: Transform) => unknown) => boolean;

type Edited = Pick<EditedSignature, "state" | "current" | "dispatch">;

export function useSingleSteps({ current, dispatch }: Edited): Change {
  return useCallback(
    (make) => {
      const tr = closeHistory(current().tr);
      make(tr);
      if (tr.docChanged) dispatch(tr);
      return tr.docChanged;
    },
    [current, dispatch],
  );
}

/** Takes the last step back; nothing where there is none. */
export function TakeBack({ edited: { state, current, dispatch } }: { edited: Edited }) {
  if (undoDepth(state) === 0) return null;
  return (
    <Button look="quiet" onClick={() => undo(current(), dispatch)}>
      <Undo2 size={15} aria-hidden />
      Take the last change back
    </Button>
  );
}
