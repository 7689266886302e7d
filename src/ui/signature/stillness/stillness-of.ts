import type { Stillness } from "@/contract";
import type { Measured } from "./measure-proofs";

/** In how many of all proofs a signature is still; of accounts that differ the worse counts. */
export function stillness(measured: Measured): Stillness {
  const counted = new Map<string, boolean>();
  for (const { client, mode, still } of measured.values()) {
    const key = `${client} ${mode}`;
    counted.set(key, (counted.get(key) ?? true) && still);
  }
  return { still: [...counted.values()].filter(Boolean).length, all: counted.size };
}
