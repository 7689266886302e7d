/** A made-up web host: what it answers to a request. */

export interface SiteAnswer {
  readonly status: number;
  readonly headers: Readonly<Record<string, string>>;
  readonly body: Uint8Array | string;
  /** Time that passes before it answers; ms. */
  readonly after?: number;
  /** Whether it answers HEAD with 405, as some servers do. */
  readonly refusesHead?: boolean;
  /** The code of the error with which the connection ends before any answer. */
  readonly breaks?: "CERT_HAS_EXPIRED" | "ECONNREFUSED";
}

export type InventedSite = (
  url: URL,
  headers: Readonly<Record<string, string>>,
) => Promise<SiteAnswer> | SiteAnswer;
