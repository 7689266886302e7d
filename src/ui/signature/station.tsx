import type { ReactNode } from "react";
import type { Finding, Station as StationId } from "@/core/checks";
import { SaveStatus } from "./editing/save-status";
import type { SaveState } from "./editing/use-saving";
import { SignatureHeader, type PersonChoice } from "./signature-header";

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
  readonly people: readonly PersonChoice[];
  readonly current: StationId;
  /** What stands beside the word that it is saved. */
  readonly besideSaved?: ReactNode;
  readonly children: ReactNode;
}

/** A screen of a signature, under its header and the line. */
export function Station({ signature, saving, people, current, besideSaved, children }: Props) {
  return (
    <>
      <SignatureHeader
        key={signature.name}
        signatureId={signature.id}
        name={signature.name}
        personId={signature.personId}
        people={people}
        current={current}
        findings={signature.findings}
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
