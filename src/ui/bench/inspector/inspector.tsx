"use client";

import { NodeSelection, TextSelection } from "prosemirror-state";
import { CellSelection } from "prosemirror-tables";
import { useEffect, useState } from "react";
import { useBench } from "../bench-context";
import type { Step } from "../editor/selection";
import { CellMeasures } from "./cell-measures";
import { PartMeasures } from "./part-measures";
import { ShortFormChoice } from "./short-form-choice";
import { SignatureSettings } from "./signature-settings";
import { TextLineMeasures } from "./text-line-measures";

/** What is selected, and its measures. */
export function Inspector() {
  const { editor, selection } = useBench();
  const [whole, setWhole] = useState(false);
  // Whoever comes back to the sheet works on what is selected there.
  useEffect(() => {
    const arrived = ({ target }: FocusEvent): void => {
      if (target instanceof Element && target.closest(".signature-editor")) setWhole(false);
    };
    document.addEventListener("focusin", arrived);
    return () => document.removeEventListener("focusin", arrived);
  }, []);

  const select = ({ position, node }: Step): void => {
    setWhole(false);
    editor.apply((state) => {
      if (node.type.name === "cell") return state.tr.setSelection(CellSelection.create(state.doc, position));
      if (node.type.name === "row") {
        const last = position + node.nodeSize - 1 - (node.lastChild?.nodeSize ?? 0);
        return state.tr.setSelection(CellSelection.create(state.doc, position + 1, last));
      }
      if (node.isTextblock) return state.tr.setSelection(TextSelection.create(state.doc, position + 1));
      return state.tr.setSelection(NodeSelection.create(state.doc, position));
    });
  };

  const steps = selection.path.filter(({ node }) => node.type.name !== "table");
  const last = steps.at(-1);
  const shownPart =
    selection.part ??
    (last && last.node.type.name !== "cell" && last.node.type.name !== "line" && last.node.type.name !== "row"
      ? last
      : null);
  return (
    <aside aria-label="Measures" className="overflow-y-auto border-l border-hairline px-4 py-3">
      <nav aria-label="What is selected" className="mb-3 flex flex-wrap gap-x-1 text-sm leading-[18px]">
        <button
          type="button"
          onClick={() => setWhole(true)}
          aria-current={whole || undefined}
          className={`rounded-sm hover:text-pine ${whole ? "font-semibold" : "text-soft"}`}
        >
          signature
        </button>
        {steps.map((step, index) => (
          <span key={step.position} className="flex gap-1 text-soft">
            ›
            <button
              type="button"
              aria-current={(!whole && index === steps.length - 1) || undefined}
              onClick={() => select(step)}
              className={`rounded-sm hover:text-pine ${!whole && index === steps.length - 1 ? "font-semibold text-ink" : ""}`}
            >
              {step.label}
            </button>
          </span>
        ))}
      </nav>
      {whole ? (
        <SignatureSettings />
      ) : shownPart ? (
        <PartMeasures part={shownPart} />
      ) : (
        <>
          <TextLineMeasures />
          <CellMeasures />
          <ShortFormChoice />
        </>
      )}
    </aside>
  );
}
