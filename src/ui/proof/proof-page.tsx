"use client";

/** The wall of proofs over a signature that is edited by its findings' mends. */
import { useMemo } from "react";
import { toast } from "sonner";
import { applyMend } from "@/core/checks";
import { compile } from "@/core/compile";
import type { KnownColors } from "@/core/layout";
import { hasShortForm, shortForm } from "@/core/signature";
import { EditingStation } from "../signature/editing/editing-station";
import { plainState } from "../signature/editing/plain-state";
import { useSingleSteps } from "../signature/editing/single-steps";
import type { OpenedStation } from "../signature/editing/opened-station";
import { useSignature } from "../signature/editing/use-signature";
import { useFindings } from "../signature/use-findings";
import { ProofWall } from "./proof-wall";
import { usePictureColors } from "../signature/stillness/use-picture-colors";
import { useTrial } from "./use-trial";
import { useKeptStillness } from "../signature/stillness/use-kept-stillness";

interface Props extends OpenedStation {
  /** The colours of its pictures, by the paths that they are drawn from. */
  readonly colors: KnownColors;
}

export function ProofPage(props: Props) {
  const { signature, person, base, pictures, answers, organisation, networks, colors } = props;
  const edited = useSignature(signature, plainState);
  const change = useSingleSteps(edited);
  const document = edited.state.doc;
  const found = useFindings(
    document,
    { person, base, pictures, answers, organisation, networks },
    edited.asOpened ? props.findings : [],
  );
  const trial = useTrial(document);
  const shown = trial.person ?? person;
  const options = useMemo(
    () => ({ destination: "webmail-paste", person: shown, base }) as const,
    [shown, base],
  );
  const html = useMemo(() => compile(document, options), [document, options]);
  const shortHtml = useMemo(
    () => (hasShortForm(document) ? compile(shortForm(document), options) : null),
    [document, options],
  );
  const pictureColors = usePictureColors(document, colors);
  const still = useKeptStillness(edited, trial.person ? null : html);
  return (
    <EditingStation
      opened={props}
      edited={edited}
      current="proof"
      findings={found.findings}
      measured={still.measured}
    >
      <ProofWall
        html={html}
        shortHtml={shortHtml}
        base={base}
        found={found.findings}
        colors={pictureColors.complete ? pictureColors.colors : null}
        trial={trial}
        busy={found.document !== document}
        onMeasured={still.onMeasured}
        onMend={(mend) => {
          const changed = change((transform) => applyMend(transform, mend));
          if (!changed) toast("That had been put right already.");
          return changed;
        }}
      />
    </EditingStation>
  );
}
