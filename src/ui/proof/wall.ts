/** What stands on the wall: which proofs there are, and which of them are shown. */
import {
  differsByAccount,
  picturesBlocked,
  receivedInModes,
  standInIds,
  standIns,
  type Account,
  type Message,
  type Mode,
  type Proof,
  modes,
} from "@/core/clients";
import { ordinaryConditions, type Conditions } from "../signature/stillness/conditions";

export type Family = "all" | "webmail" | "desktop" | "phone";

export interface Filters {
  readonly family: Family;
  readonly mode: Mode | "both";
  readonly account: Account;
  /** Whether pictures are shown, or blocked until the reader asks. */
  readonly pictures: "shown" | "blocked";
  /** How often an answer quotes it. */
  readonly quoted: "0" | "1" | "3";
  readonly conditions: Conditions;
}

export const everything: Filters = {
  family: "all",
  mode: "both",
  account: "own",
  pictures: "shown",
  quoted: "0",
  conditions: ordinaryConditions,
};

/** What those filters show of a message. */
export function proofsOf(message: Message, filters: Filters): readonly Proof[] {
  const { family, mode, account, pictures, quoted, conditions } = filters;
  return standInIds
    .filter((client) => family === "all" || standIns[client].family === family)
    .flatMap((client) => {
      // An account of another provider only where it differs.
      const key = { client, account: differsByAccount(client) ? account : ("own" as const) };
      const shown = receivedInModes(message, client, {
        account: key.account,
        quoted: Number(quoted),
        scale: conditions.scale,
      });
      return modes
        .filter((each) => mode === "both" || each === mode)
        .map((each) => {
          const { html, changes } = shown[each];
          return { ...key, mode: each, changes, html: pictures === "blocked" ? picturesBlocked(html) : html };
        });
    });
}
