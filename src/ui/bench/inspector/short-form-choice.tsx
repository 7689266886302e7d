"use client";

import { useBench } from "../bench-context";
import { areLeftOut, selectedParts, toggleShortForm } from "../editor/part-commands";
import { CheckField } from "../../parts/fields/check-field";

/** Whether the selected part, or the selected rows, are in what a reply holds. */
export function ShortFormChoice() {
  const { editor } = useBench();
  const targets = selectedParts(editor.state);
  const [first] = targets;
  if (!first) return null;
  const what =
    first.node.type.name === "row" ? (targets.length > 1 ? "these rows" : "this row") : "this part";
  return (
    <CheckField
      label={`Replies leave ${what} out`}
      checked={areLeftOut(targets)}
      onChange={() => editor.run(toggleShortForm, { focus: false })}
      className="mb-4"
    />
  );
}
