/** Finds where in a picture a design lies, at whatever scale: by the lie of its edges seen from afar, then piece by piece. */
import { correlation, peaksOf, searched } from "./correlate";
import type { DrawnDesign } from "./design";
import { edgesOf } from "./edges";
import { edgesAround, isDrawn, locatePieces, type Found, type nearby } from "./locate-pieces";
import { agreedPlace, agreement, otherScales, usualScales, type Pin, type Place } from "./place";
import { isTelling, piecesOf, type Piece } from "./pieces";
import { lumaOf, sampled, shrunk, sumsOf, type Plane, type Sums } from "./plane";

/** From afar a design is looked at in grains of so many of its px; */
const grain = 2;

/** and its edges are gathered until it is about so many px long. */
const afar = 100;

/** Of a picture that was cut close to the signature, so much of the signature's room may be beyond it; px of the design. */
const beyond = 24;

/** What is looked for. */
export interface Sought {
  /** The edges of the design, at its own scale. */
  readonly edges: Plane;
  readonly pieces: readonly Piece[];
  /** Its edges from afar, and how many grains there are in a px of them. */
  readonly lie: Plane;
  readonly gathered: number;
}

export function soughtOf(design: DrawnDesign): Sought {
  const { pixels, density } = design;
  const luma = sumsOf(lumaOf(pixels));
  const at = (step: number): Plane =>
    edgesOf(
      sampled(luma, {
        left: 0,
        top: 0,
        step: step * density,
        width: Math.max(1, Math.floor(pixels.width / density / step)),
        height: Math.max(1, Math.floor(pixels.height / density / step)),
      }),
    );
  const edges = at(1);
  const gathered = Math.max(1, Math.round(Math.max(edges.width, edges.height) / grain / afar));
  return {
    edges,
    pieces: piecesOf(design).filter((piece) => isDrawn(piece, edges)),
    lie: shrunk(at(grain), gathered),
    gathered,
  };
}

interface Guess extends Place {
  readonly score: number;
}

/** The likeliest places at one scale. */
function guessesAt(luma: Sums, { lie, gathered }: Sought, scale: number): readonly Guess[] {
  const edges = edgesOf(
    sampled(luma, {
      left: -beyond * scale,
      top: -beyond * scale,
      step: scale * grain,
      width: Math.ceil((luma.width / scale + 2 * beyond) / grain),
      height: Math.ceil((luma.height / scale + 2 * beyond) / grain),
    }),
  );
  const alike = correlation(searched(shrunk(edges, gathered)), lie);
  if (!alike) return [];
  return peaksOf(alike, 3, 6).map(({ x, y, score }) => ({
    scale,
    left: (x * gathered * grain - beyond) * scale,
    top: (y * gathered * grain - beyond) * scale,
    score,
  }));
}

export interface Match {
  readonly place: Place;
  /** The share of the design, by area, that is found where the place has it, 0 to 1. */
  readonly share: number;
  readonly found: readonly Found[];
}

const area = ({ box }: Piece): number => Math.sqrt(box.width * box.height);

const pinsOf = (found: readonly Found[], { scale, left, top }: Place): readonly Pin[] =>
  found
    .filter(({ piece }) => isTelling(piece))
    .map(({ piece, across, down, score }) => {
      const [x, y] = [piece.box.left + piece.box.width / 2, piece.box.top + piece.box.height / 2];
      return {
        from: [x, y],
        to: [left + (x + across) * scale, top + (y + down) * scale],
        weight: area(piece) * score,
      };
    });

/** Looks around a place for pieces, and moves the place to where most of them are. */
function matched(
  luma: Sums,
  design: Plane,
  pieces: readonly Piece[],
  guess: Place,
  within: keyof typeof nearby,
): Match {
  const found = locatePieces(pieces, design, edgesAround(luma, guess, design), within);
  const pins = pinsOf(found, guess);
  const place = pins.length === 0 ? guess : agreedPlace(pins, guess);
  const all = pieces.filter(isTelling).reduce((sum, piece) => sum + area(piece), 0);
  const there = pins.reduce((sum, { weight }) => sum + weight, 0);
  const grown = guess.scale / place.scale;
  return {
    place,
    share: all === 0 ? 0 : (agreement(pins, place) * there) / all,
    // From where the place has them, and not from where they were looked for.
    found: found.map((each) => {
      const { left, top } = each.piece.box;
      return {
        ...each,
        across: (left + each.across) * grown + (guess.left - place.left) / place.scale - left,
        down: (top + each.down) * grown + (guess.top - place.top) / place.scale - top,
      };
    }),
  };
}

/** From what share on a design is there; and from what share on nothing better is looked for. */
const enough = { there: 0.3, surely: 0.7 } as const;

/** How many guesses are looked at closely. */
const looked = 6;

/** The largest pieces tell a place; all of them tell the rest. */
const telling = 16;

export interface Progress {
  /** 0 to 1. */
  readonly done: number;
}

/** Usual scales are tried first, the commonest alone; the others only where none of them is surely right. */
const tried: readonly (readonly number[])[] = [usualScales.slice(0, 2), usualScales.slice(2), otherScales];

/** Null where the picture does not hold the design. */
export function findSignature(
  luma: Sums,
  sought: Sought,
  onProgress: (progress: Progress) => void = () => undefined,
): Match | null {
  const { edges, pieces } = sought;
  const largest = pieces
    .filter(isTelling)
    .sort((one, other) => area(other) - area(one))
    .slice(0, telling);
  const count = tried.flat().length;
  let done = 0;
  let best: Match | null = null;
  for (const scales of tried) {
    const guesses = scales.flatMap((scale) => {
      onProgress({ done: (done++ / count) * 0.9 });
      return guessesAt(luma, sought, scale);
    });
    for (const guess of guesses.sort((one, other) => other.score - one.score).slice(0, looked)) {
      const next = matched(luma, edges, largest, guess, "guess");
      if (best === null || next.share > best.share) best = next;
      if (best.share >= enough.surely) break;
    }
    if (best && best.share >= enough.surely) break;
  }
  if (!best) return null;
  // Once more from where it was found to be, since its scale is known better now.
  const match = matched(luma, edges, largest, best.place, "guess");
  if (match.share < enough.there) return null;
  onProgress({ done: 0.95 });
  const whole = matched(luma, edges, pieces, match.place, "found");
  return matched(luma, edges, pieces, whole.place, "found");
}
