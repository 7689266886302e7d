/** Which proofs there are. */
import { differsByAccount, standInIds, type ProofKey } from "@/core/clients";

export const keyText = ({ client, mode, account }: ProofKey): string => `${client} ${mode} ${account}`;

export const modes = ["light", "dark"] as const;

/** Every kind whose proofs stillness counts, light and dark; and with an account of another provider, where that differs. */
export const proofKinds: readonly Pick<ProofKey, "client" | "account">[] = standInIds.flatMap((client) =>
  (differsByAccount(client) ? (["own", "other"] as const) : (["own"] as const)).map((account) => ({
    client,
    account,
  })),
);
