import { describe, expect, it } from "vitest";
import { all, design, draw, drawings, size, white, type Drawing } from "../../../tests/drawn-letters";
import { soughtOf } from "./find-signature";
import { edgesAround, isDrawn, locatePieces, placeOf, reach } from "./locate-pieces";
import { piecesOf, type Piece } from "./pieces";
import { lumaOf, sumsOf } from "./plane";

const { edges, pieces } = soughtOf(design);

/** What is around the signature where it stands at 150, 150 of a sheet, in which some of it stands elsewhere. */
function around(what: readonly Drawing[]) {
  const placed = what.map((each) => ({ ...each, left: each.left + 150, top: each.top + 150 }));
  const sheet = draw(size.width + 300, size.height + 300, 1, white, placed);
  return edgesAround(sumsOf(lumaOf(sheet)), { scale: 1, left: 150, top: 150 }, edges);
}

const named = (piece: Piece): string => design.parts[piece.part]?.text ?? "";
const shifts = (what: readonly Drawing[]): Readonly<Record<string, readonly [number, number]>> =>
  Object.fromEntries(
    locatePieces(pieces, edges, around(what), "found").map(({ piece, across, down }) => [
      `${named(piece)} ${piece.words.join("")}`.trim(),
      [Math.round(across) + 0, Math.round(down) + 0] as const,
    ]),
  );

describe("pieces of a design", () => {
  it("are all where they were drawn", () => {
    const found = locatePieces(pieces, edges, around(all), "found");
    expect(found).toHaveLength(pieces.length);
    for (const { piece, across, down, score } of found) {
      // A line of one px stands half a px beside its side where px are not halved.
      const halfPx = piece.kind === "across" || piece.kind === "down" ? 0.7 : 0.2;
      expect(Math.hypot(across, down)).toBeLessThan(halfPx);
      expect(score).toBeGreaterThan(0.9);
    }
  });

  it("that moved are told by how far, and those beside them are where they were", () => {
    const moved = all.map((each) => (each === drawings.icons[1] ? { ...each, left: each.left + 90 } : each));
    expect(shifts(moved)).toMatchObject({ "Icon 1": [0, 0], "Icon 2": [90, 0], "Icon 3": [0, 0] });
  });

  it("that closed up are each found in their own new place", () => {
    const [, second, third] = drawings.icons;
    const closed = all.flatMap((each) =>
      each === second ? [] : each === third ? [{ ...each, left: third.left - 32 }] : [each],
    );
    expect(shifts(closed)).toMatchObject({ "Icon 1": [0, 0], "Icon 3": [-32, 0] });
    expect(shifts(closed)).not.toHaveProperty("Icon 2");
  });

  it("that begin another line are found as far away as the line is long", () => {
    const [, , last] = drawings.second;
    const broken = all.map((each) => (each === last ? { ...each, left: 120, top: 130 } : each));
    expect(shifts(broken)).toMatchObject({ "Second 0": [0, 0], "Second 2": [-116, 94] });
  });

  it("are where a place has them, with what is around", () => {
    const seen = around(all);
    expect([seen.width, seen.height]).toEqual([edges.width + 2 * reach, edges.height + 2 * reach]);
    const photo = pieces.find((piece) => named(piece) === "Photo");
    expect(photo && placeOf({ piece: photo, across: 3, down: -2, score: 1 })).toEqual({
      ...{ left: 13, top: 8, width: 90, height: 90 },
    });
  });

  it("that show nothing are not looked for", () => {
    const blank = { ...design, pixels: draw(size.width, size.height, 2, white, []) };
    const { edges: none } = soughtOf(blank);
    expect(piecesOf(blank).some((piece) => isDrawn(piece, none))).toBe(false);
    // A side is one only where a line runs along it.
    const { edges: open } = soughtOf({
      ...design,
      pixels: draw(size.width, size.height, 2, white, [{ ...drawings.frame, width: 150 }]),
    });
    const sides = piecesOf(design).filter(({ kind }) => kind === "across" || kind === "down");
    expect(sides.filter((side) => isDrawn(side, open)).map(({ kind }) => kind)).toEqual(["down"]);
  });
});
