"use client";

import { NodeSelection, TextSelection } from "prosemirror-state";
import { CellSelection } from "prosemirror-tables";
import type { EditorTools } from "../editor/use-editor";
import { useBench } from "../bench-context";
import type { Step } from "../editor/selection";

interface Props {
  /** Whether the whole signature is what is worked on. */
  readonly whole: boolean;
  readonly onWhole: () => void;
  /** A step was chosen. */
  readonly onStep: () => void;
}

/** Selects a step of the way to what is selected. */
function selectStep({ apply }: EditorTools, { position, node }: Step): void {
  apply((state) => {
    if (node.type.name === "cell") return state.tr.setSelection(CellSelection.create(state.doc, position));
    if (node.type.name === "row") {
      const last = position + node.nodeSize - 1 - (node.lastChild?.nodeSize ?? 0);
      return state.tr.setSelection(CellSelection.create(state.doc, position + 1, last));
    }
    if (node.isTextblock) return state.tr.setSelection(TextSelection.create(state.doc, position + 1));
    return state.tr.setSelection(NodeSelection.create(state.doc, position));
  });
}

/** The way from the signature down to what is selected; each step can be gone back to. */
export function Breadcrumb({ whole, onWhole, onStep }: Props) {
  const { editor, selection } = useBench();
  const steps = selection.path.filter(({ node }) => node.type.name !== "table");
  return (
    <nav aria-label="What is selected" className="flex flex-wrap gap-x-1 text-sm leading-[18px]">
      <button
        type="button"
        onClick={onWhole}
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
            onClick={() => {
              onStep();
              selectStep(editor, step);
            }}
            className={`rounded-sm hover:text-pine ${!whole && index === steps.length - 1 ? "font-semibold text-ink" : ""}`}
          >
            {step.label}
          </button>
        </span>
      ))}
    </nav>
  );
}
