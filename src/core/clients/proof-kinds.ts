/** Which proofs there are of a signature. */
import { differsByAccount } from "./facts/limits";
import type { ProofKey } from "./received";
import type { Mode } from "./stand-in";
import { standInIds } from "./stand-ins";

export const modes: readonly Mode[] = ["light", "dark"];

/** Every kind whose proofs stillness counts, light and dark; and with an account of another provider, where that differs. */
export const proofKinds: readonly Pick<ProofKey, "client" | "account">[] = standInIds.flatMap((client) =>
  (differsByAccount(client) ? (["own", "other"] as const) : (["own"] as const)).map((account) => ({
    client,
    account,
  })),
);
