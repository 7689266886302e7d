/** Stages of the path from a key to its painted proofs, left in the browser's timeline for `npm run bench:typing`. */
export type Stage = "edit" | "compile" | "receive" | "draw";

/** Does something and says how long it took, under the name of its stage. */
export function staged<T>(stage: Stage, action: () => T): T {
  const start = performance.now();
  const result = action();
  performance.measure(`still-line ${stage}`, { start });
  return result;
}
