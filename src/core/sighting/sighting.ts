/**
 * A sighting: a signature found in a picture of a message as somebody received it, with every part where it stands there and
 * in the colours that it has there. Parts are in px of the design, origin at the signature's top left, as a stand-in's are, so
 * that the same drift is told of both.
 */
import { channelsOf, colorDifference, hexOf, readableContrast, toHex, type Channels } from "../color";
import {
  around,
  driftBetween,
  grown,
  linesOf,
  shifted,
  type Box,
  type DrawnPart,
  type DrawnWord,
  type KnownColors,
  type PartDrift,
} from "../layout";
import type { Pixels } from "../pictures";
import type { DrawnDesign, WordedPart } from "./design";
import { findSignature, soughtOf, type Progress } from "./find-signature";
import { colorBehind, inkOf, reachOf } from "./ink";
import { placeOf, type Found } from "./locate-pieces";
import type { Place } from "./place";
import { isTelling, type Piece } from "./pieces";
import { lumaOf, sumsOf } from "./plane";

export interface Sighting {
  readonly place: Place;
  /** The colour that it stands on; six-digit hex. */
  readonly ground: string;
  /** What was found of the design; a part that is not in it is gone. */
  readonly shown: readonly DrawnPart[];
  /** Parts of which a picture cannot tell, too small, too faint or beyond its edge; they are shown as designed. */
  readonly unclear: readonly number[];
}

const scaled = (box: Box, { scale, left, top }: Place): Box => ({
  left: left + box.left * scale,
  top: top + box.top * scale,
  width: box.width * scale,
  height: box.height * scale,
});

const median = (values: readonly number[]): number =>
  [...values].sort((one, other) => one - other)[Math.floor(values.length / 2)] ?? 0;

/** The words that were found, where they stand; those too small to look for are where the word before them is. */
function wordsFound(
  part: WordedPart,
  pieces: readonly Piece[],
  found: readonly Found[],
): readonly DrawnWord[] {
  const shifts = new Map(found.flatMap((each) => each.piece.words.map((word) => [word, each] as const)));
  const lost = new Set(
    pieces
      .filter((piece) => isTelling(piece) && !found.some((each) => each.piece === piece))
      .flatMap(({ words }) => words),
  );
  let last: Pick<Found, "across" | "down"> = {
    across: median(found.map(({ across }) => across)),
    down: median(found.map(({ down }) => down)),
  };
  return part.words.flatMap((word, index) => {
    last = shifts.get(index) ?? last;
    return lost.has(index) ? [] : [{ ...word, ...shifted(word, last.across, last.down) }];
  });
}

/** Every half of the px of a picture: as thin strokes look on a display of half the density. */
function halved({ data, width, height }: Pixels): Pixels {
  const [across, down] = [Math.floor(width / 2), Math.floor(height / 2)];
  const out = new Uint8Array(across * down * 4);
  for (let y = 0; y < down; y++)
    for (let x = 0; x < across; x++)
      for (let channel = 0; channel < 4; channel++) {
        const at = (2 * y * width + 2 * x) * 4 + channel;
        out[(y * across + x) * 4 + channel] =
          (data[at]! + data[at + 4]! + data[at + width * 4]! + data[at + width * 4 + 4]!) / 4;
      }
  return { data: out, width: across, height: down };
}

/** Colours this close to the design's are the design's: measuring cannot tell more (CIEDE2000). */
const told = 5;

const hexOfSeen = ([red, green, blue]: Channels): string =>
  hexOf(Math.round(red), Math.round(green), Math.round(blue));

const kept = (seen: Channels, designed: string): string => {
  const hex = toHex(designed);
  return hex && colorDifference(seen, channelsOf(hex)) < told ? designed : hexOfSeen(seen);
};

/** Reads colours of parts from the picture, by what the same parts measure in the design. */
function colorReader(design: DrawnDesign, picture: Pixels, place: Place) {
  const coarse = place.scale < 1.4 && design.density >= 2;
  const pixels = coarse ? halved(design.pixels) : design.pixels;
  const own: Place = { scale: design.density / (coarse ? 2 : 1), left: 0, top: 0 };

  /** `before` and `now` are where it is drawn in the design and in the picture; px of the design. */
  return (
    part: DrawnPart,
    before: readonly Box[],
    now: readonly Box[],
  ): Pick<DrawnPart, "color" | "behind"> => {
    const designed = inkOf(
      pixels,
      before.map((box) => scaled(box, own)),
    );
    const seen = inkOf(
      picture,
      now.map((box) => scaled(box, place)),
    );
    if (!designed || !seen) return part;
    const behind = kept(seen.ground, part.behind);
    const hex = toHex(part.color);
    if (part.kind === "picture" || !hex) return { color: part.color, behind };
    const reach = reachOf(designed, channelsOf(hex));
    return { color: kept(colorBehind(seen, reach), part.color), behind };
  };
}

/** Four thin boxes around a box: what it stands on. */
function rimOf(box: Box, from: number, to: number): readonly Box[] {
  const { left, top, width, height } = grown(box, from);
  const thick = to - from;
  return [
    { left, top: top - thick, width, height: thick },
    { left, top: top + height, width, height: thick },
    { left: left - thick, top, width: thick, height },
    { left: left + width, top, width: thick, height },
  ];
}

/** Where a part shows its colours, in the design and where it was found. */
function coloredBoxes(
  part: WordedPart,
  box: Box,
  words: readonly DrawnWord[],
  found: readonly Found[],
): readonly [before: readonly Box[], now: readonly Box[]] {
  if (part.kind === "text") return [part.words, words];
  // Around a picture, and within a cell that is filled.
  if (part.kind === "picture") return [rimOf(part, 1, 4), rimOf(box, 1, 4)];
  if (part.text !== "border") return [rimOf(part, -5, -2), rimOf(box, -5, -2)];
  return [found.map(({ piece }) => piece.box), found.map(placeOf)];
}

const isWithin = ({ left, top, width, height }: Box, picture: Pixels): boolean => {
  const [x, y] = [left + width / 2, top + height / 2];
  return x >= 0 && y >= 0 && x < picture.width && y < picture.height;
};

/**
 * The design as it is in a picture, at any scale, by light or in the dark, with whatever stands around it. Null where the
 * picture does not hold it.
 */
export function sightingOf(
  design: DrawnDesign,
  picture: Pixels,
  onProgress?: (progress: Progress) => void,
): Sighting | null {
  const sought = soughtOf(design);
  const match = findSignature(sumsOf(lumaOf(picture)), sought, onProgress);
  if (!match) return null;
  const { place } = match;
  const colorsOf = colorReader(design, picture, place);
  const piecesBy = grouped(sought.pieces, ({ part }) => part);
  const foundBy = grouped(match.found, ({ piece }) => piece.part);
  const unclear: number[] = [];

  const shown = design.parts.flatMap((part, index): readonly DrawnPart[] => {
    const looked = piecesBy.get(index) ?? [];
    const found = foundBy.get(index) ?? [];
    if (weight(found.map(({ piece }) => piece)) < weight(looked) / 2 || looked.length === 0) {
      const telling = part.kind === "box" ? looked.length > 0 : looked.some(isTelling);
      // Gone, if it should be there.
      if (telling && isWithin(scaled(part, place), picture)) return [];
      unclear.push(part.id);
      return [part];
    }
    const words = wordsFound(part, looked, found);
    const box =
      part.kind === "box" ? boxFound(part, found) : around(words.length > 0 ? words : found.map(placeOf));
    const [before, now] = coloredBoxes(part, box, words, found);
    const colors = colorsOf(part, before, now);
    const filled = part.kind === "box" && part.text !== "border";
    return [
      {
        ...part,
        ...box,
        ...colors,
        color: filled ? colors.behind : colors.color,
        lines: part.kind === "text" ? linesOf(words) : part.lines,
      },
    ];
  });
  const ground = inkOf(picture, [
    scaled({ left: 0, top: 0, width: sought.edges.width, height: sought.edges.height }, place),
  ]);
  return { place, ground: ground ? hexOfSeen(ground.ground) : "#FFFFFF", shown, unclear };
}

const weight = (pieces: readonly Piece[]): number =>
  pieces.reduce((sum, { box }) => sum + Math.max(box.width, box.height), 0);

/** A box whose sides went different ways is larger or smaller; a side that was not found stays with the one across. */
function boxFound({ left, top, width, height }: Box, found: readonly Found[]): Box {
  const shift = (kind: Piece["kind"], far: boolean): number | undefined =>
    found.find(
      ({ piece: { kind: own, box } }) =>
        own === kind &&
        (kind === "across" ? box.top > top + height / 2 - 5 : box.left > left + width / 2 - 5) === far,
    )?.[kind === "across" ? "down" : "across"];
  const [up, low] = [shift("across", false), shift("across", true)];
  const [start, end] = [shift("down", false), shift("down", true)];
  const [dTop, dBottom] = [up ?? low ?? 0, low ?? up ?? 0];
  const [dLeft, dRight] = [start ?? end ?? 0, end ?? start ?? 0];
  return {
    left: left + dLeft,
    top: top + dTop,
    width: width + dRight - dLeft,
    height: height + dBottom - dTop,
  };
}

function grouped<T>(values: readonly T[], by: (value: T) => number): ReadonlyMap<number, readonly T[]> {
  const groups = new Map<number, T[]>();
  for (const value of values) {
    const group = groups.get(by(value));
    if (group) group.push(value);
    else groups.set(by(value), [value]);
  }
  return groups;
}

/** A contrast this much under what is readable may be measured of a readable one: strokes are blurred, and pictures packed. */
const measuredShort = 0.93;

/** The drift of a sighting, told as a stand-in's is. Where measuring cannot tell, it is told for the better. */
export const driftOfSighting = (
  design: readonly DrawnPart[],
  { shown }: Sighting,
  colors: KnownColors = {},
): readonly PartDrift[] =>
  driftBetween(design, shown, colors).map((part) =>
    part.contrast !== null &&
    part.contrast < readableContrast &&
    part.contrast >= readableContrast * measuredShort
      ? { ...part, contrast: readableContrast }
      : part,
  );
