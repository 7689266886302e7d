import { describe, expect, it } from "vitest";
import { unstillReason } from "../layout";
import type { Pixels } from "../pictures";
import {
  all,
  design,
  draw,
  drawings,
  letter,
  room,
  size,
  white,
  type Color,
} from "../../../tests/drawn-letters";
import { driftOfSighting, sightingOf } from "./sighting";

const { frame, first, second, third, icons } = drawings;

/** What is not still, by name. */
function unstill(picture: Pixels): Readonly<Record<string, string>> {
  const sighting = sightingOf(design, picture);
  if (!sighting) throw new Error("The signature was not found");
  return Object.fromEntries(
    driftOfSighting(design.parts, sighting).flatMap((part) => {
      const reason = unstillReason(part);
      return reason === null
        ? []
        : [[part.text, reason === "moved" ? `moved ${Math.round(part.moved)}` : reason]];
    }),
  );
}

// Pictures are looked through at many scales, which takes a busy machine a while.
describe("a signature in a screenshot", { timeout: 120_000 }, () => {
  it.each([1, 1.25, 1.5, 2, 3])("is found where it is, and still, at %s times", (scale) => {
    const sighting = sightingOf(design, letter(scale, all));
    expect(sighting?.place.scale).toBeCloseTo(scale, 5);
    expect((sighting?.place.left ?? 0) / scale).toBeCloseTo(room.left, 0);
    expect((sighting?.place.top ?? 0) / scale).toBeCloseTo(room.top, 0);
    expect(sighting && driftOfSighting(design.parts, sighting).filter((part) => unstillReason(part))).toEqual(
      [],
    );
  });

  it("is found at a scale that no display has", () => {
    expect(sightingOf(design, letter(1.13, all))?.place.scale).toBeCloseTo(1.13, 2);
  });

  it("is found in the dark, with the colours that it has there", () => {
    const night: Color = [26, 28, 27];
    const pale: Color = [190, 214, 176];
    const dark = all.map((each) => (each.kind === "picture" ? each : { ...each, color: pale }));
    const sighting = sightingOf(design, letter(2, dark, night));
    expect(sighting?.ground).toBe("#1A1C1B");
    const line = sighting?.shown.find(({ id }) => id === 3);
    expect([line?.color, line?.behind]).toEqual(["#BED6B0", "#1A1C1B"]);
    expect(sighting && driftOfSighting(design.parts, sighting).filter((part) => unstillReason(part))).toEqual(
      [],
    );
  });

  it("is found where only it was cut out", () => {
    const cut = draw(size.width, size.height, 1, white, all);
    expect(sightingOf(design, cut)?.place).toMatchObject({ scale: 1 });
  });

  it("tells of an icon that is gone, and not of its neighbours", () => {
    expect(
      unstill(
        letter(
          1,
          all.filter((each) => each !== icons[1]),
        ),
      ),
    ).toEqual({ "Icon 2": "missing" });
  });

  it("tells how far something moved", () => {
    const lower = all.map((each) =>
      third.includes(each as (typeof third)[number]) ? { ...each, top: each.top + 9 } : each,
    );
    expect(unstill(letter(2, lower))).toEqual({ Third: "moved 9" });
  });

  it("tells of a line that is broken otherwise", () => {
    const broken = all.map((each) => (each === second[2] ? { ...each, left: 120, top: 47 } : each));
    expect(unstill(letter(1.5, broken))).toEqual({ Second: "wrapped" });
  });

  it("tells of a text that nobody can read", () => {
    const faint = all.map((each) =>
      first.includes(each as (typeof first)[number]) ? { ...each, color: [190, 190, 190] as Color } : each,
    );
    expect(unstill(letter(2, faint))).toEqual({ First: "unreadable" });
  });

  it("tells of a border that is gone", () => {
    expect(
      unstill(
        letter(
          1,
          all.filter((each) => each !== frame),
        ),
      ),
    ).toEqual({ border: "missing" });
  });

  it("is not found where it is not", () => {
    expect(sightingOf(design, letter(1, []))).toBeNull();
    expect(sightingOf(design, draw(200, 100, 1, white, []))).toBeNull();
  });

  it("says how far it is, and never back", () => {
    const told: number[] = [];
    sightingOf(design, letter(1, []), ({ done }) => told.push(done));
    expect(told.length).toBeGreaterThan(10);
    expect(told).toEqual([...told].sort((one, other) => one - other));
    expect(told.at(-1)).toBeLessThanOrEqual(1);
  });
});
