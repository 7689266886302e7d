/** A value with its earlier and later states. Steps with one topic, one right after the other, are one step. */
export interface Steps<T> {
  readonly past: readonly T[];
  readonly present: T;
  readonly future: readonly T[];
  /** What the last step changed: a slider that is dragged makes one step, not a hundred. */
  readonly topic: string | null;
}

export type Move<T> =
  | { readonly kind: "step"; readonly to: T; readonly topic: string | null }
  | { readonly kind: "back" }
  | { readonly kind: "forth" };

export const mostSteps = 200;

export const firstStep = <T>(present: T): Steps<T> => ({ past: [], present, future: [], topic: null });

/** The very same steps when nothing changes. */
export function advance<T>(steps: Steps<T>, move: Move<T>): Steps<T> {
  const { past, present, future } = steps;
  if (move.kind === "step") {
    if (move.to === present) return steps;
    const goesOn = move.topic !== null && move.topic === steps.topic && future.length === 0;
    return {
      past: goesOn ? past : [...past, present].slice(-mostSteps),
      present: move.to,
      future: [],
      topic: move.topic,
    };
  }
  if (move.kind === "back") {
    const before = past.at(-1);
    if (past.length === 0 || before === undefined) return steps;
    return { past: past.slice(0, -1), present: before, future: [present, ...future], topic: null };
  }
  const [next, ...rest] = future;
  return next === undefined ? steps : { past: [...past, present], present: next, future: rest, topic: null };
}
