/**
 * What "partly" means, kind by kind: `client-limits.json`, read from the notes of the same public data set and told in our
 * own words. Each limit is a sentence; what carries it out stands under that sentence in `declaration-limits.ts` and its
 * neighbours, or its reason for standing nowhere in `unmodelled.ts`.
 */
import type { StandInId } from "../stand-in";
import data from "./client-limits.json" with { type: "json" };
import type { Feature } from "./features";

/** An account of the provider that makes the client, or one of another provider opened in it. */
export type Account = "own" | "other";

export interface Limit {
  readonly feature: Feature;
  readonly clients: readonly StandInId[];
  /** One sentence. */
  readonly says: string;
  /** Examples of what works and of what does not. */
  readonly keeps: readonly string[];
  readonly drops: readonly string[];
  readonly becomes?: Readonly<Record<string, string>>;
  /** It holds in accounts of this sort only. */
  readonly accounts?: Account;
  /** The source stays as it is, and what differs is how it is drawn. */
  readonly drawn?: boolean;
  readonly doubtful?: boolean;
}

export const limits = data.limits as unknown as readonly Limit[];

/** The limits that hold in a kind of client, with accounts of one sort. */
export const limitsIn = (client: StandInId, account: Account): readonly Limit[] =>
  limits.filter(
    (limit) => limit.clients.includes(client) && (limit.accounts === undefined || limit.accounts === account),
  );

/** Whether accounts of another provider are treated differently. */
export const differsByAccount = (client: StandInId): boolean =>
  limits.some(({ clients, accounts }) => accounts !== undefined && clients.includes(client));

/** A limit as the end of a sentence: "negative margins do not work". */
export const reasonOf = ({ says }: Limit): string =>
  `${/^[A-Z][a-z]/.test(says) ? says[0]?.toLowerCase() : says[0]}${says.slice(1).replace(/\.$/, "")}`;
