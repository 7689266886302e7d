"use client";

/** Going to a place of the document: what is there is selected, and the sheet shows it. */
import { useCallback, useEffect } from "react";
import { NodeSelection, TextSelection } from "prosemirror-state";
import { toast } from "sonner";
import { findPart, type PartDrift } from "@/core/layout";
import type { Person } from "@/core/people";
import { readBenchPlace } from "../../signature/bench-place";
import type { EditedSignature } from "../../signature/editing/use-signature";
import { takeStarted } from "../../signature/just-started";
import type { EditorTools } from "../editor/use-editor";

export interface GoingTo {
  readonly select: (at: number) => void;
  /** To a part of a proof. */
  readonly showPart: (parts: readonly PartDrift[], id: number) => void;
}

/** The address of the page may name a place to begin at. */
export function useGoingTo(
  { id, current }: Pick<EditedSignature, "id" | "current">,
  tools: EditorTools,
  person: Person | null,
): GoingTo {
  const select = useCallback(
    (at: number): void =>
      tools.apply(({ tr, doc }) => {
        const node = doc.nodeAt(at);
        if (!node) return null;
        return tr
          .setSelection(
            node.isText ? TextSelection.create(doc, at, at + node.nodeSize) : NodeSelection.create(doc, at),
          )
          .scrollIntoView();
      }),
    [tools],
  );
  useEffect(() => {
    if (takeStarted(id)) tools.focus();
    const place = readBenchPlace(location.hash);
    if (place !== null) select(place);
  }, [id, tools, select]);
  const showPart = useCallback(
    (parts: readonly PartDrift[], part: number): void => {
      const at = findPart(current().doc, person, parts, part);
      if (at === null) return void toast("It is not in what is on the sheet now.");
      select(at);
    },
    [current, person, select],
  );
  return { select, showPart };
}
