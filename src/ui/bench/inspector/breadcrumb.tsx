"use client";

import { useBench } from "../bench-context";
import { selectionOfPart } from "../editor/selection";

interface Props {
  /** Whether the whole signature is what is worked on. */
  readonly whole: boolean;
  readonly onWhole: () => void;
  /** A step was chosen. */
  readonly onStep: () => void;
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
              editor.apply(({ doc, tr }) => tr.setSelection(selectionOfPart(doc, step.position)));
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
