/** A finding: something that will go wrong for a recipient, with its place and the reason. */

import type { StandInId } from "../clients";
import type { FindingCode } from "./catalogue";
import type { Mend } from "./mend";

/** `break`: it will fail for a recipient; `attention`: it will look worse than it could; `note`: good to know. */
export type Severity = "break" | "attention" | "note";

/** The station on which it is mended. */
export type Station = "build" | "pictures" | "links" | "proof" | "install";

/** What a check finds: its entry in the catalogue says the rest. */
export interface Found {
  readonly code: FindingCode;
  /** Of the part of the document that it is about; null where that is the whole. */
  readonly position: number | null;
  readonly message: string;
  /** What puts it right in one step, where something does. */
  readonly mend?: Mend | undefined;
  /** Where it is worse or better than the catalogue says. */
  readonly severity?: Severity;
  readonly station?: Station;
}

export interface Finding extends Omit<Found, "severity" | "station"> {
  readonly severity: Severity;
  readonly station: Station;
  /** "row 2, cell 1, picture", or "signature". */
  readonly at: string;
  /** The kinds of client in which it shows; all of them where it does not depend on the client. */
  readonly clients: readonly StandInId[];
  /** Why somebody leaves it as it is; such a finding waits for nobody. */
  readonly aside?: string;
}
