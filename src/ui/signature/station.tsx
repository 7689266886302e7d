import type { ReactNode } from "react";
import type { Stillness } from "@/contract";
import type { Finding, Station as StationId } from "@/core/checks";
import { SaveStatus } from "./editing/save-status";
import type { SaveState } from "./editing/use-saving";
import { SignatureHeader } from "./signature-header";

interface Props {
  readonly signature: {
    readonly id: string;
    readonly name: string;
    readonly personId: string | null;
    readonly revision: number;
    readonly findings: readonly Finding[];
  };
  /** Of a view that edits; else what is shown is what is saved. */
  readonly saving?: SaveState;
  /** In how many proofs it is still; null where that is not known of what is shown. */
  readonly stillness: Stillness | null;
  /** What whom it is drawn for is called; null for nobody. */
  readonly personName: string | null;
  readonly current: StationId;
  /** Is told of another person as soon as one is chosen. */
  readonly onDrawnFor?: (id: string | null) => void;
  /** What stands beside the word that it is saved. */
  readonly besideSaved?: ReactNode;
  readonly children: ReactNode;
}

/** A screen of a signature, under its header and the line. */
export function Station(props: Props) {
  const { signature, stillness, saving, personName, current, onDrawnFor, besideSaved, children } = props;
  return (
    <>
      <SignatureHeader
        key={signature.name}
        signatureId={signature.id}
        name={signature.name}
        personId={signature.personId}
        personName={personName}
        current={current}
        findings={signature.findings}
        stillness={stillness}
        {...(onDrawnFor && { onDrawnFor })}
      >
        {besideSaved}
        {saving ? (
          <SaveStatus state={saving} />
        ) : (
          <span className="text-sm text-soft">Saved · version {signature.revision}</span>
        )}
      </SignatureHeader>
      <main className="mx-auto max-w-[1280px] px-5 pb-10 pt-4">{children}</main>
    </>
  );
}
