/** Finds each piece of a design in a picture in which the design was found. */
import { correlation, peaksOf, searched, type Peak, type Searched } from "./correlate";
import { edgesOf } from "./edges";
import { grown, shifted, type Box } from "../layout";
import { isTelling, type Piece } from "./pieces";
import type { Place } from "./place";
import { sampled, type Plane, type Sums } from "./plane";

/** What one piece was found as; its shift is in px of the design, from where the place has it. */
export interface Found {
  readonly piece: Piece;
  readonly across: number;
  readonly down: number;
  /** How alike it is, −1 to 1. */
  readonly score: number;
}

/** How far around a design things are looked for that moved; px of the design. */
export const reach = 120;

/** How far around its place a piece is looked for, px of the design. */
export const nearby = {
  /** While it is only asked whether the design is here: a guess is hardly more than this off. */
  guess: 12,
  /** Most of what moves does so within this. */
  found: 48,
} as const;

/** A little of what is around a piece tells it from what is like it; px. */
const rim = 2;

/** The edges of the picture around a place, at the scale of the design: they begin `reach` before it each way. */
export function edgesAround(luma: Sums, { scale, left, top }: Place, design: Plane): Plane {
  return edgesOf(
    sampled(luma, {
      left: left - reach * scale,
      top: top - reach * scale,
      step: scale,
      width: design.width + 2 * reach,
      height: design.height + 2 * reach,
    }),
  );
}

function cut({ data, width, height }: Plane, { left, top, width: across, height: down }: Box): Plane {
  const out = new Float32Array(across * down);
  for (let y = 0; y < down; y++)
    for (let x = 0; x < across; x++) {
      const [atX, atY] = [left + x, top + y];
      if (atX >= 0 && atY >= 0 && atX < width && atY < height) out[y * across + x] = data[atY * width + atX]!;
    }
  return { data: out, width: across, height: down };
}

/** The whole px that a box covers, and so many more each way. */
function wholePx(box: Box, by: number): Box {
  const { left, top, width, height } = grown(box, by);
  const [x, y] = [Math.floor(left), Math.floor(top)];
  return { left: x, top: y, width: Math.ceil(left + width) - x, height: Math.ceil(top + height) - y };
}

/** Where between px a peak is highest, by a parabola through it and its neighbours. */
function between(plane: Plane, { x, y }: Peak): readonly [x: number, y: number] {
  const { data, width, height } = plane;
  const along = (before: number | undefined, at: number, after: number | undefined): number => {
    if (before === undefined || after === undefined) return 0;
    const bend = before - 2 * at + after;
    return bend < 0 ? Math.max(-0.5, Math.min(0.5, (before - after) / (2 * bend))) : 0;
  };
  const at = y * width + x;
  const here = data[at]!;
  return [
    x + along(x > 0 ? data[at - 1] : undefined, here, x < width - 1 ? data[at + 1] : undefined),
    y + along(y > 0 ? data[at - width] : undefined, here, y < height - 1 ? data[at + width] : undefined),
  ];
}

/** So much of a line of text is above where it would be underlined: clients underline what they link. */
const aboveUnderline = 0.72;

/** What of the design a piece is looked for as. */
function template({ kind, box }: Piece): Box {
  if (kind === "across" || kind === "down") return wholePx(box, 0);
  return wholePx(kind === "words" ? { ...box, height: box.height * aboveUnderline } : box, rim);
}

/** The likeliest places of a piece in a part of what is seen; `left` and `top` are where that begins. */
function likeliest(
  piece: Piece,
  design: Plane,
  room: Searched,
  { left, top }: Pick<Box, "left" | "top">,
): readonly Found[] {
  const own = template(piece);
  const alike = correlation(room, cut(design, own));
  if (!alike) return [];
  return peaksOf(alike, 6, 3).map((peak) => {
    const [x, y] = between(alike, peak);
    return { piece, across: left + x - reach - own.left, down: top + y - reach - own.top, score: peak.score };
  });
}

/** Where a piece may stand within so many px of where it is expected. */
function candidates(
  piece: Piece,
  design: Plane,
  seen: Plane,
  within: number,
  [across, down]: readonly [across: number, down: number] = [0, 0],
): readonly Found[] {
  const own = template(piece);
  const room = wholePx(shifted(own, Math.round(across) + reach, Math.round(down) + reach), within);
  return likeliest(piece, design, searched(cut(seen, room)), room);
}

const far = ({ across, down }: Found): number => Math.hypot(across, down);

/** From what likeness on a find is believed: where it is expected less is enough, and far away more is needed. */
const likeness = { beside: 0.6, here: 0.7, elsewhere: 0.8, surely: 0.85, far: 0.85 } as const;

const believed = (found: Found): boolean =>
  found.score >= (far(found) <= 4 ? likeness.here : likeness.elsewhere);

const overlap = (one: Box, other: Box): number => {
  const wide = Math.min(one.left + one.width, other.left + other.width) - Math.max(one.left, other.left);
  const tall = Math.min(one.top + one.height, other.top + other.height) - Math.max(one.top, other.top);
  return wide > 0 && tall > 0
    ? (wide * tall) / Math.min(one.width * one.height, other.width * other.height)
    : 0;
};

/** Where it was found; px of the design. */
export const placeOf = ({ piece: { box }, across, down }: Found): Box => shifted(box, across, down);

/** A find counts so much less for each px that it is away: of two that are alike, the nearer one is meant. */
const perPixel = 0.0005;

/**
 * Each piece where it is most like itself, no two in one place: an icon that is gone is not found in its neighbour. What is
 * found nowhere is left out.
 */
export function locatePieces(
  pieces: readonly Piece[],
  design: Plane,
  seen: Plane,
  within: keyof typeof nearby,
): readonly Found[] {
  let everywhere: Searched | null = null;
  // A word that begins another line is as far away as its line is long.
  const anywhere = (piece: Piece): readonly Found[] => {
    everywhere ??= searched(seen);
    return likeliest(piece, design, everywhere, { left: 0, top: 0 }).filter(
      ({ score }) => score >= likeness.far,
    );
  };
  const worth = (found: Found): number => found.score - perPixel * Math.min(far(found), 150);
  const found = new Map<Piece, Found>();
  const claim = (offered: readonly Found[]): void => {
    for (const each of [...offered].sort((one, other) => worth(other) - worth(one))) {
      if (found.has(each.piece) || !believed(each)) continue;
      if ([...found.values()].some((taken) => overlap(placeOf(taken), placeOf(each)) > 0.4)) continue;
      found.set(each.piece, each);
    }
  };
  const telling = pieces.filter(isTelling);
  claim(
    telling.flatMap((piece) => {
      const close = candidates(piece, design, seen, nearby[within]);
      return within === "guess" || close.some(({ score }) => score >= likeness.surely)
        ? close
        : [...close, ...anywhere(piece)];
    }),
  );
  // What it was like close by was its neighbours: it may be farther away.
  if (within === "found") claim(telling.filter((piece) => !found.has(piece)).flatMap(anywhere));
  const told = [...found.values()];
  return [
    ...told,
    ...pieces
      // A picture that is not found by now is gone: its neighbours would be taken for it.
      .filter((piece) => !found.has(piece) && !(piece.kind === "picture" && isTelling(piece)))
      .flatMap((piece) => beside(piece, told, design, seen)),
  ];
}

/** What looks like too much else by itself, or less like itself than it should, is where what stands nearest to it went, or not. */
function beside(piece: Piece, told: readonly Found[], design: Plane, seen: Plane): readonly Found[] {
  const { left, top, width, height } = piece.box;
  const distance = ({ piece: { box } }: Found): number =>
    Math.hypot(
      Math.max(box.left - left - width, left - box.left - box.width, 0),
      Math.max(box.top - top - height, top - box.top - box.height, 0),
    );
  const nearest = [...told].sort((one, other) => distance(one) - distance(other)).slice(0, 3);
  const expectations = [[0, 0] as const, ...nearest.map(({ across, down }) => [across, down] as const)];
  const worth = (found: Found): number => found.score - perPixel * far(found);
  const best = expectations
    .flatMap((expected) => candidates(piece, design, seen, 6, expected))
    .sort((one, other) => worth(other) - worth(one))[0];
  if (!best || best.score < likeness.beside) return [];
  // Along itself a side looks the same: how far it is across is all that can be told.
  if (piece.kind === "across") return [{ ...best, across: 0 }];
  return [piece.kind === "down" ? { ...best, down: 0 } : best];
}

/** Where edges are at least this steep there is something. */
const steep = 0.25;

/** Whether there is anything at a piece to look for: of a side, a line along nearly all of it, and not what stands beside it. */
export function isDrawn({ kind, box }: Piece, design: Plane): boolean {
  const { data, width, height } = cut(design, wholePx(box, 0));
  if (kind === "words" || kind === "picture")
    return data.reduce((sum, value) => sum + value, 0) / data.length > 0.02;
  const [long, thick] = kind === "across" ? [width, height] : [height, width];
  const at = (along: number, over: number): number =>
    kind === "across" ? data[over * width + along]! : data[along * width + over]!;
  let drawn = 0;
  for (let along = 0; along < long; along++)
    for (let over = Math.floor(thick / 2) - 1; over <= Math.ceil(thick / 2); over++)
      if (at(along, over) >= steep) {
        drawn++;
        break;
      }
  return drawn >= 0.9 * long;
}
