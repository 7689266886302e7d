/** A finding: something that will go wrong for a recipient, with its place and the reason. */

import type { Mend } from "./mend";

export type FindingCode =
  | "address-not-public"
  | "font-not-web-safe"
  | "icons-of-different-sizes"
  | "leads-nowhere"
  | "link-asks-to-sign-in"
  | "link-dead"
  | "link-doubled"
  | "link-elsewhere"
  | "link-missing"
  | "link-misspelt"
  | "link-moved"
  | "link-not-an-address"
  | "link-not-open"
  | "link-on-one-character"
  | "link-repeated"
  | "link-text-names-another"
  | "link-unreachable"
  | "picture-alt-is-a-file-name"
  | "picture-moved"
  | "picture-not-hosted"
  | "picture-not-looked-at"
  | "picture-not-open"
  | "picture-stretched"
  | "picture-too-few-pixels"
  | "picture-too-heavy"
  | "picture-without-alt"
  | "pictures-too-heavy"
  | "signature-empty"
  | "signature-too-long"
  | "table-too-wide"
  | "text-hard-to-read"
  | "text-hard-to-read-in-the-dark";

/** `break`: it will fail for a recipient; `attention`: it will look worse than it could; `note`: good to know. */
export type Severity = "break" | "attention" | "note";

/** The station on which it is mended. */
export type Station = "build" | "pictures" | "links" | "proof" | "install";

export interface Finding {
  readonly code: FindingCode;
  readonly severity: Severity;
  readonly station: Station;
  /** "row 2, cell 1, picture", or "signature". */
  readonly at: string;
  readonly message: string;
  /** What puts it right in one step, where something does. */
  readonly mend?: Mend;
}
