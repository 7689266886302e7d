/** What stands on the wall: which proofs there are, and which of them are shown. */
import {
  differsByAccount,
  standInIds,
  standIns,
  type Account,
  type Mode,
  type Received,
} from "@/core/clients";
import { modes, type ProofKey } from "../signature/stillness/proof-keys";

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
