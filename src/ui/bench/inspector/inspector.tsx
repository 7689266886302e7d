"use client";

import { useEffect, useState } from "react";
import { useBench } from "../bench-context";
import { Breadcrumb } from "./breadcrumb";
import { CellMeasures } from "./cell-measures";
import { PartMeasures } from "./part-measures";
import { ShortFormChoice } from "./short-form-choice";
import { ShownForChoice } from "./shown-for-choice";
import { SignatureSettings } from "./signature-settings";
import { TextLineMeasures } from "./text-line-measures";

/** What is selected, and its measures. */
export function Inspector() {
  const { selection } = useBench();
  const [whole, setWhole] = useState(false);
  // Whoever comes back to the sheet works on what is selected there.
  useEffect(() => {
    const arrived = ({ target }: FocusEvent): void => {
      if (target instanceof Element && target.closest(".signature-editor")) setWhole(false);
    };
    document.addEventListener("focusin", arrived);
    return () => document.removeEventListener("focusin", arrived);
  }, []);

  const steps = selection.path.filter(({ node }) => node.type.name !== "table");
  const last = steps.at(-1);
  const shownPart =
    selection.part ??
    (last && last.node.type.name !== "cell" && last.node.type.name !== "line" && last.node.type.name !== "row"
      ? last
      : null);
  return (
    <aside aria-label="Measures" className="overflow-y-auto border-l border-hairline px-4 py-3">
      <div className="mb-3">
        <Breadcrumb whole={whole} onWhole={() => setWhole(true)} onStep={() => setWhole(false)} />
      </div>
      {whole ? (
        <SignatureSettings />
      ) : shownPart ? (
        <PartMeasures part={shownPart} />
      ) : (
        <>
          <TextLineMeasures />
          <CellMeasures />
          <ShownForChoice />
          <ShortFormChoice />
        </>
      )}
    </aside>
  );
}
