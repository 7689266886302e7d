import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { advance, firstStep, mostSteps, type Move, type Steps } from "./steps";

const step = (to: number, topic: string | null = null): Move<number> => ({ kind: "step", to, topic });
const back: Move<number> = { kind: "back" };
const forth: Move<number> = { kind: "forth" };
const walk = (...moves: readonly Move<number>[]): Steps<number> =>
  moves.reduce(advance<number>, firstStep(0));

describe("steps", () => {
  it("are taken back and forth, and a new one forgets what was taken back", () => {
    expect(walk(step(1), step(2), back).present).toBe(1);
    expect(walk(step(1), step(2), back, back, forth).present).toBe(1);
    expect(walk(step(1), step(2), back, step(3), forth).present).toBe(3);
  });

  it("of one topic, one right after the other, are one step", () => {
    expect(walk(step(1, "slider"), step(2, "slider"), step(3, "slider"), back).present).toBe(0);
    expect(walk(step(1, "slider"), step(2, "other"), back).present).toBe(1);
    expect(walk(step(1), step(2), back).present).toBe(1);
    // After going back, the same topic begins a step of its own.
    expect(walk(step(1, "slider"), step(2), back, step(3, "slider"), back).present).toBe(1);
  });

  it("change nothing where there is nothing to change", () => {
    const start = firstStep(0);
    expect(advance(start, back)).toBe(start);
    expect(advance(start, forth)).toBe(start);
    expect(advance(start, step(0))).toBe(start);
  });

  it("are kept up to a number, the latest ones", () => {
    const many = walk(...Array.from({ length: mostSteps + 20 }, (_, index) => step(index + 1)));
    expect(many.past).toHaveLength(mostSteps);
    const first = Array.from({ length: mostSteps + 50 }, () => back).reduce(advance<number>, many);
    expect(first.present).toBe(20);
  });

  it("gone back all the way and forth again end where they were", () => {
    const move = fc.oneof(
      fc.tuple(fc.integer(), fc.constantFrom(null, "a", "b")).map(([to, topic]) => step(to, topic)),
      fc.constantFrom(back, forth),
    );
    fc.assert(
      fc.property(fc.array(move, { maxLength: 60 }), (moves) => {
        const there = walk(...moves);
        const start = moves.map(() => back).reduce(advance<number>, there);
        expect(start.present).toBe(0);
        const again = there.past.map(() => forth).reduce(advance<number>, start);
        expect(again.present).toBe(there.present);
      }),
    );
  });
});
