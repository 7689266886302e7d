"use client";

import { useMemo, type ReactNode } from "react";
import type { EditedSignature } from "../../signature/editing/use-signature";
import type { Directory } from "../../signature/use-directory";
import type { LongestPerson } from "../tools/use-longest-person";
import { FitMark } from "./fit-mark";
import { useWhoFits } from "./use-who-fits";

interface Doing {
  readonly tryWith: LongestPerson["choose"];
  readonly select: (position: number) => void;
}

/** What says for how many the sheet does not fit; null where that is not known. */
export function useFitMark(
  { id, current, state }: EditedSignature,
  directory: Directory,
  { tryWith, select }: Doing,
): ReactNode {
  const fits = useWhoFits(state.doc, directory);
  return useMemo(
    () =>
      fits && (
        <FitMark
          signatureId={id}
          fits={fits}
          onTry={({ person }, position) => {
            tryWith({ why: "Does not fit", whose: person.name, person });
            // Where a key came between, the line may stand elsewhere.
            if (current().doc === fits.document) select(position);
          }}
        />
      ),
    [id, fits, tryWith, current, select],
  );
}
