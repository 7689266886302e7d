/** What was found at a picture's address, as a recipient's mail client would meet it. */

/** Why nothing could be fetched. */
export type FetchFailure =
  | "not-an-address"
  | "private-address"
  | "no-such-host"
  | "no-connection"
  | "certificate"
  | "too-slow"
  | "too-many-redirects"
  | "too-many-bytes";

export type AddressVerdict =
  | "open"
  | "moved"
  | "page"
  | "restricted"
  | "gone"
  | "forbids-embedding"
  | "not-mail-safe"
  | "not-a-picture"
  | "server-trouble"
  | FetchFailure;

export interface AddressReport {
  /** As it was given. */
  readonly address: string;
  readonly verdict: AddressVerdict;
  /** What is so, and what to do. */
  readonly message: string;
  /** Addresses that it led through, in order. */
  readonly redirects: readonly string[];
  /** A better address that was found on the way, or null. */
  readonly better: string | null;
  readonly picture: {
    /** Told by its bytes. */
    readonly type: string;
    /** px. */
    readonly width: number;
    readonly height: number;
    readonly bytes: number;
    /** 1 for a still picture. */
    readonly frames: number;
  } | null;
}

/** Whether a picture at this address can be placed. */
export const isUsable = ({ verdict }: Pick<AddressReport, "verdict">): boolean =>
  verdict === "open" || verdict === "moved";
