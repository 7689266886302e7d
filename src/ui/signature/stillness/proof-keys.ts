/** By what a proof is told apart from all others. */
import type { ProofKey } from "@/core/clients";

export const keyText = ({ client, mode, account }: ProofKey): string => `${client} ${mode} ${account}`;
