/** Which proofs are how far from still. */
import type { ProofKey } from "@/core/clients";
import type { Measured } from "../signature/stillness/measure-proofs";

export const unrestOf = (measured: Measured): number =>
  [...measured.values()].reduce((sum, { unrest }) => sum + unrest, 0);

/** The least still of them; the first where all are. Throws a RangeError where nothing was measured. */
export function worstOf(measured: Measured): ProofKey {
  const [worst] = [...measured.values()].sort((one, other) => other.unrest - one.unrest);
  if (!worst) throw new RangeError("No proof was measured");
  const { client, mode, account } = worst;
  return { client, mode, account };
}
