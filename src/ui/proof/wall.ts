/** What stands on the wall: which proofs there are, and which of them are shown. */
import {
  differsByAccount,
  standInIds,
  standIns,
  type Account,
  type Mode,
  type Received,
  type StandInId,
} from "@/core/clients";

/** One proof: a kind of client in a mode, with an account of one sort. */
export interface ProofKey {
  readonly client: StandInId;
  readonly mode: Mode;
  readonly account: Account;
}

export const keyText = ({ client, mode, account }: ProofKey): string => `${client} ${mode} ${account}`;

const modes = ["light", "dark"] as const;

/** Every proof that stillness counts, light and dark; and those with an account of another provider, where that differs. */
export const allProofs: readonly ProofKey[] = standInIds.flatMap((client) =>
  modes.flatMap((mode) =>
    (differsByAccount(client) ? (["own", "other"] as const) : (["own"] as const)).map((account) => ({
      client,
      mode,
      account,
    })),
  ),
);

export type Family = "all" | "webmail" | "desktop" | "phone";

export interface Filters {
  readonly family: Family;
  readonly mode: Mode | "both";
  readonly account: Account;
  /** Whether pictures are shown, or blocked until the reader asks. */
  readonly pictures: "shown" | "blocked";
  /** How often an answer quotes it. */
  readonly quoted: "0" | "1" | "3";
}

export const everything: Filters = {
  family: "all",
  mode: "both",
  account: "own",
  pictures: "shown",
  quoted: "0",
};

/** The proofs that a wall with these filters shows; an account of another provider only where it differs. */
export const shownProofs = ({ family, mode, account }: Filters): readonly ProofKey[] =>
  standInIds
    .filter((client) => family === "all" || standIns[client].family === family)
    .flatMap((client) =>
      modes
        .filter((each) => mode === "both" || each === mode)
        .map((each) => ({
          client,
          mode: each,
          account: differsByAccount(client) ? account : ("own" as const),
        })),
    );

export interface ShownProof extends ProofKey, Received {}
