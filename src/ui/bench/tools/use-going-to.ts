"use client";

/** Going to a place of the document: what is there is selected, and the sheet shows it. */
import { useCallback, useEffect } from "react";
import type { Node } from "prosemirror-model";
import { NodeSelection, TextSelection, type Selection } from "prosemirror-state";
import { toast } from "sonner";
import { findPart, type PartDrift } from "@/core/layout";
import type { Person } from "@/core/people";
import { line } from "@/core/signature";
import { readBenchPlace } from "../../signature/bench-place";
import type { EditedSignature } from "../../signature/editing/use-signature";
import { takeStarted } from "../../signature/just-started";
import type { EditorTools } from "../editor/use-editor";

export interface GoingTo {
  readonly select: (at: number) => void;
  /** To a part of a proof. */
  readonly showPart: (parts: readonly PartDrift[], id: number) => void;
}

/** All of a text or a line, so that it is seen and its type can be changed at once; of what is no text, the part. */
function shownAt(document: Node, node: Node, at: number): Selection {
  if (node.isText) return TextSelection.create(document, at, at + node.nodeSize);
  if (line.is(node)) return TextSelection.create(document, at + 1, at + 1 + node.content.size);
  return NodeSelection.create(document, at);
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
        return tr.setSelection(shownAt(doc, node, at)).scrollIntoView();
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
