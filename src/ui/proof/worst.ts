/** Which proofs are how far from still. */
import type { Proof, ProofKey } from "@/core/clients";
import type { Measured } from "../signature/stillness/measure-proofs";
import { keyText } from "../signature/stillness/proof-keys";

export const unrestOf = (measured: Measured): number =>
  [...measured.values()].reduce((sum, { unrest }) => sum + unrest, 0);

/** Proofs by how still they were measured to be; those that were not keep their order. */
export const leastStillFirst = (proofs: readonly Proof[], measured: Measured): readonly Proof[] => {
  const unrestOf = (proof: Proof): number => measured.get(keyText(proof))?.unrest ?? 0;
  return [...proofs].sort((one, other) => unrestOf(other) - unrestOf(one));
};

/** The least still of them; the first where all are. Throws a RangeError where nothing was measured. */
export function worstOf(measured: Measured): ProofKey {
  const [worst] = [...measured.values()].sort((one, other) => other.unrest - one.unrest);
  if (!worst) throw new RangeError("No proof was measured");
  const { client, mode, account } = worst;
  return { client, mode, account };
}
