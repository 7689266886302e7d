/** Telling how far long work is, so often that it is seen to go on and no oftener. */
import type { Progress } from "@/contract";

/** Told of no more often than this; ms. */
const pace = 100;

/** Tells the first time at once. */
export function paced(send: (told: Progress) => void): (done: number, all: number) => void {
  let told = -Infinity;
  return (done, all) => {
    const now = Date.now();
    if (now - told < pace) return;
    told = now;
    send({ kind: "progress", done, all });
  };
}
