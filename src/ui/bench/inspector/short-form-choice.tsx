"use client";

import { useBench } from "../bench-context";
import { areLeftOut, shortFormTargets, toggleShortForm } from "../editor/part-commands";

/** Whether the selected part, or the selected rows, are in what a reply holds. */
export function ShortFormChoice() {
  const { editor } = useBench();
  const targets = shortFormTargets(editor.state);
  const [first] = targets;
  if (!first) return null;
  const what =
    first.node.type.name === "row" ? (targets.length > 1 ? "these rows" : "this row") : "this part";
  return (
    <label className="mb-4 flex items-center gap-2">
      <input
        type="checkbox"
        checked={areLeftOut(targets)}
        onChange={() => editor.run(toggleShortForm, { focus: false })}
        className="accent-pine"
      />
      Replies leave {what} out
    </label>
  );
}
